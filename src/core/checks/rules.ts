import type { Evaluation } from '../playing';
import { ageUnsuited, tooHard } from './ageUnsuited';
import { adultsFewAt, adultsFewThere } from './adultsFew';
import { adultTwice } from './adultTwice';
import { onceFor } from './onceFor';
import { blockEmpty } from './blockEmpty';
import { cannotRun } from './cannotRun';
import { clearSpace, lookUpClose } from './clearSpace';
import { clearanceDue } from './clearanceDue';
import { contactDay, contactRamp, contactRow, contactWeek } from './contact';
import { dailyMissing } from './dailyMissing';
import type { Rule, Severity, Trouble } from './finding';
import { drillLong } from './drillLong';
import { floorShort } from './floorShort';
import { fixtureShort } from './fixtureShort';
import { gameNear } from './gameNear';
import { groupSize } from './groupSize';
import { hardAfterHard } from './hardAfterHard';
import { hardLong } from './hardLong';
import { kitShort } from './kitShort';
import { loadDay, loadRest, loadWeek } from './loads';
import { likePartners } from './likePartners';
import { moveShort } from './moveShort';
import { noWarmUp } from './noWarmUp';
import { asOne, broughtAbout, notHere } from './notHere';
import { overTime } from './overTime';
import { playerTwice } from './playerTwice';
import { playerUnplaced } from './playerUnplaced';
import { restrictedPlayer } from './restrictedPlayer';
import { roleMissing } from './roleMissing';
import { rungSkipped } from './rungSkipped';
import { secondEyes } from './secondEyes';
import { setupClash } from './setupClash';
import { skillTwice } from './skillTwice';
import { slotLength } from './slotLength';
import { standLong } from './standLong';
import { stopLong } from './stopLong';
import { sunInEyes, sunOnCatch } from './sunInEyes';
import { talkLong } from './talkLong';
import { unattended } from './unattended';
import { underTime } from './underTime';
import { waiting } from './waiting';
import { waterGap } from './waterGap';
import { zoneGone } from './zoneGone';
import { zoneSmall } from './zoneSmall';
import { zoneTwice } from './zoneTwice';

/** Every rule; the order is that of findings of the same severity and time. */
const RULES: readonly Rule[] = [
	playerTwice,
	zoneTwice,
	zoneGone,
	zoneSmall,
	adultTwice,
	kitShort,
	fixtureShort,
	clearSpace,
	restrictedPlayer,
	roleMissing,
	adultsFewThere,
	adultsFewAt,
	contactDay,
	contactWeek,
	contactRow,
	contactRamp,
	tooHard,
	gameNear,
	loadDay,
	loadWeek,
	loadRest,
	cannotRun,
	groupSize,
	playerUnplaced,
	blockEmpty,
	noWarmUp,
	overTime,
	unattended,
	waiting,
	standLong,
	moveShort,
	slotLength,
	talkLong,
	hardAfterHard,
	hardLong,
	drillLong,
	ageUnsuited,
	waterGap,
	stopLong,
	lookUpClose,
	likePartners,
	setupClash,
	rungSkipped,
	underTime,
	secondEyes,
	skillTwice,
	sunInEyes,
	sunOnCatch,
	clearanceDue,
	dailyMissing,
	floorShort
];

/** Worst first. */
export const RANK: Record<Severity, number> = { stop: 0, warn: 1, hint: 2 };

/** What a rule finds in a practice. */
export interface Found {
	rule: Rule;
	troubles: readonly Trouble[];
}

/** Everything that is wrong in a played practice, rule by rule, each place by itself. */
export const troublesIn = onceFor((evaluation: Evaluation): readonly Found[] => {
	const found: Found[] = RULES.map((rule) => ({ rule, troubles: rule.find(evaluation) }));
	const all = found.flatMap(({ troubles }) => troubles);
	const one = asOne(evaluation, broughtAbout(evaluation, all));
	return one ? [{ rule: notHere, troubles: [one] }, ...found] : found;
});
