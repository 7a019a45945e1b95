import { setMinutes } from '../practice';
import type { Finding, Rule } from './finding';

/** A talk is longer than players listen. */
export const talkLong: Rule = ({ practice, context, windows }) =>
	practice.periods.flatMap((period, index): Finding[] => {
		const most = Math.floor(context.limits.talkMinutes);
		if (period.kind !== 'talk' || period.minutes <= most || most < 1) return [];
		return [
			{
				code: 'talk-long',
				severity: 'warn',
				at: { period: period.id, fromSecond: windows[index].fromSecond },
				values: { minutes: period.minutes, limit: most },
				fixes: [setMinutes(practice, period.id, most)]
			}
		];
	});
