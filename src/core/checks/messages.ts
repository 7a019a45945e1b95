import { assertNever } from '../base';
import { clockAt, dayName } from '../conditions';
import { kept } from '../words';
import type { Trouble } from './finding';
import { inOwnWords, list, minutes, namesIn, offset, percent, type Plan } from './speech';

/** A finding in one plain sentence, in the words of the team. */
export const describeFinding = (trouble: Trouble, plan: Plan): string =>
	inOwnWords(findingWords(trouble, plan), plan);

function findingWords({ code, at, values }: Trouble, plan: Plan): string {
	const names = namesIn(plan);
	const numbers = (key: string) => Number(values[key]);
	const clock = (second: number) => clockAt(plan.practice.start, second);
	const ids = (key: string, own: string | undefined) => {
		const several = values[key];
		return Array.isArray(several) && several.length > 0 ? several : [own ?? ''];
	};
	const blocks = ids('blocks', at.block);
	const players = ids('players', at.player);
	const all = list(blocks.map(names.block));
	/** A verb for one block, or for several. */
	const verb = (one: string, many: string) => (blocks.length === 1 ? one : many);
	const clash = () => {
		const [first, second] = [names.block(values.first), names.block(values.second)];
		return first === second ? `two blocks of ${first}` : `${first} and in ${second}`;
	};
	switch (code) {
		case 'player-twice':
			return `${list(players.map(names.player))} ${players.length === 1 ? 'is' : 'are'} in ${clash()} at ${clock(numbers('atSecond'))}.`;
		case 'adult-twice':
			return `${names.adult(at.adult ?? '')} is in ${clash()} at ${clock(numbers('atSecond'))}${blocks.length > 1 ? `, and in ${blocks.length - 1} more at once` : ''}.`;
		case 'zone-twice':
			return `Zone ${names.zone(at.zone ?? '')} holds ${names.block(values.first)} and ${names.block(values.second)} from ${clock(numbers('fromSecond'))} to ${clock(numbers('toSecond'))}.`;
		case 'zone-gone':
			return `${all} ${verb('stands in a zone', 'stand in zones')} that this ground does not have.`;
		case 'group-size':
			return `${names.block(at.block)} takes ${values.min} to ${values.max} players; a group has ${values.players}.`;
		case 'too-few-players':
			return `${names.block(at.block)} cannot run: ${values.reason}.`;
		case 'block-empty':
			return at.block
				? `${names.block(at.block)} has nobody or no drill.`
				: `${kept(String(values.name))} has no drill yet.`;
		case 'player-unplaced':
			return `${list(players.map(names.player))} ${players.length === 1 ? 'has' : 'have'} no place in ${list(ids('periods', at.period).map(names.period))}.`;
		case 'over-time':
			return `The periods take ${minutes(numbers('planned'))}: ${numbers('overMinutes')} over the ${numbers('minutes')} there are.`;
		case 'under-time':
			return `${minutes(numbers('spareMinutes'))} of ${numbers('minutes')} are not used yet.`;
		case 'no-warm-up':
			return `${names.block(at.block)} is hard work (effort ${values.effort}) after ${minutes(numbers('minutes'))} of warm-up; it needs ${numbers('needed')}.`;
		case 'waiting':
			return `In ${names.block(at.block)} ${values.players} wait ${percent(values.waitShare)} of the time, up to ${Math.round(numbers('longestWaitSeconds'))} s at a stretch.`;
		case 'move-short':
			return `${names.period(at.period ?? '')} leaves ${values.moveSeconds} s to change stations; ${values.metres} m take ${values.needed} s.`;
		case 'slot-length':
			return `Slots of ${offset(numbers('minutes') * 60)} min in ${names.period(at.period ?? '')}: ${values.least} to ${values.most} suit this age.`;
		case 'talk-long':
			return `${names.period(at.period ?? '')} lasts ${minutes(numbers('minutes'))}; players listen for ${numbers('limit')}.`;
		case 'hard-after-hard':
			return `${kept(String(values.first))} (effort ${values.effort}) and ${kept(String(values.second))} (effort ${values.nextEffort}) follow each other without a rest.`;
		case 'kit-short':
			return `${all} and what runs beside ${verb('it', 'them')} need ${values.needed} × ${kept(String(values.item))}; there are ${values.has}.`;
		case 'fixture-short':
			return `${names.block(at.block)} needs ${kept((values.items as string[]).join(', '))} for each copy; zone ${names.zone(String(values.zone))} serves ${values.serves} of ${values.copies}.`;
		case 'role-missing':
			return `${all} ${verb('needs', 'need')} ${values.count} × ${names.unit(String(values.role))} in each group; one has ${values.has}.`;
		case 'adults-few':
			if (values.zones)
				return `No adult is with the players in ${all}: under ${values.under}, there must be one in each zone.`;
			return at.block
				? `${all} ${verb('needs', 'need')} ${values.needed === 1 ? 'an adult' : `${values.needed} adults`} with each copy; one has ${numbers('adults') === 0 ? 'none' : values.adults}.`
				: `${values.players} players of this age need ${values.needed} adults who may have them in charge (one for ${values.each}); ${values.adults} are there${values.until === undefined ? '' : ` until ${clock(numbers('until'))}`}.`;
		case 'restricted-player':
			return `${names.player(at.player ?? '')} is kept out of ${values.from}${values.until ? ` up to and including ${dayName(String(values.until))}` : ''} by ${kept(String(values.setBy))}, and is in ${all}.`;
		case 'contact-day':
			return `With ${all} a player has ${minutes(numbers('minutes'))} of hard contact today; the limit is ${numbers('limit')}.`;
		case 'water-gap':
			return `${minutes(numbers('minutes'))} without water from ${clock(at.fromSecond ?? 0)}; the limit is ${numbers('limit')}.`;
		case 'stop-long':
			return `${all} ${verb('is', 'are')} stopped for ${percent(values.stopShare)} of the time; ${percent(values.limit)} is the limit.`;
		case 'second-eyes':
			return `${all} ${verb('is live and nobody else watches it', 'are live and nobody else watches them')}; ${names.adult(String(values.adult))} is free.`;
		case 'like-partners':
			return `${names.block(at.block)} is for players of like strength; two of a group are ${numbers('apart').toFixed(1)} ratings apart.`;
		case 'clear-space':
			return `${names.block(at.block)} needs ${values.clear} m clear around it; ${names.block(values.other)} is ${numbers('gap') < 0.05 ? 'right beside it' : `${numbers('gap').toFixed(1)} m away`}.`;
		case 'rung-skipped':
			return `${names.block(at.block)} climbs to "${kept(String(values.to))}" without "${kept(String(values.missing))}" before it.`;
		case 'skill-twice':
			return `${all} ${verb('has', 'have')} the same main skill as ${names.block(values.first)}: ${names.skill(String(values.skill))}.`;
		case 'daily-missing':
			return `${names.drill(String(values.drill))} is for every practice and not in this one.`;
		case 'setup-clash':
			return `${names.block(at.block)}${blocks.length > 1 ? ` and ${blocks.length - 1} more beside it` : ''} ${verb('takes', 'take')} ${values.seconds} s to lay out; ${names.block(values.first)} leaves its ground ${values.free} s before.`;
		default:
			return assertNever(code);
	}
}
