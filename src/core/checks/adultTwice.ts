import { both, once } from './clashes';
import type { Finding, Rule } from './finding';

/** An adult is asked for in two blocks at the same second. */
export const adultTwice: Rule = ({ adultClashes }) =>
	once(adultClashes).map((clash): Finding => {
		const { person, second } = clash;
		const { lead, eyes, copies } = second.block;
		return {
			code: 'adult-twice',
			severity: 'stop',
			at: {
				adult: person,
				period: second.period.id,
				block: second.block.id,
				fromSecond: second.fromSecond
			},
			values: both(clash),
			fixes: [
				{
					type: 'set-block',
					block: second.block.id,
					set: {
						...(lead === person && { lead: null }),
						...(eyes === person && { eyes: null }),
						copies: copies.map((copy) => ({
							...copy,
							adults: copy.adults.filter((id) => id !== person)
						}))
					}
				}
			]
		};
	});
