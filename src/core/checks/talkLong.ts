import { setMinutes } from '../building';
import { mostTalkMinutes } from '../practice';
import type { Rule, Trouble } from './finding';

/** A talk is longer than players listen. */
export const talkLong: Rule<'talk-long'> = {
	find: ({ practice, context, windows }) =>
		practice.periods.flatMap((period, index): Trouble<'talk-long'>[] => {
			const most = mostTalkMinutes(period, context.limits);
			if (period.kind !== 'talk' || period.minutes <= most || most < 1) return [];
			return [
				{
					code: 'talk-long',
					severity: 'warn',
					at: { period: period.id, fromSecond: windows[index].fromSecond },
					values: { minutes: period.minutes, limit: most }
				}
			];
		}),
	weigh: ({ values }) => values.minutes,
	*propose({ practice }, { at, values }) {
		yield setMinutes(practice, at.period ?? '', values.limit);
	}
};
