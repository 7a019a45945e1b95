import type { Evaluation } from '../practice';
import { adultTwice } from './adultTwice';
import { blockEmpty } from './blockEmpty';
import { cannotRun } from './cannotRun';
import type { Finding, Rule, Severity } from './finding';
import { groupSize } from './groupSize';
import { hardAfterHard } from './hardAfterHard';
import { moveShort } from './moveShort';
import { noWarmUp } from './noWarmUp';
import { overTime } from './overTime';
import { playerTwice } from './playerTwice';
import { playerUnplaced } from './playerUnplaced';
import { slotLength } from './slotLength';
import { talkLong } from './talkLong';
import { underTime } from './underTime';
import { waiting } from './waiting';
import { zoneGone } from './zoneGone';
import { zoneTwice } from './zoneTwice';
import { adultsFewAt, adultsFewThere } from './adultsFew';
import { clearSpace } from './clearSpace';
import { contactDay } from './contactDay';
import { dailyMissing } from './dailyMissing';
import { fixtureShort } from './fixtureShort';
import { kitShort } from './kitShort';
import { likePartners } from './likePartners';
import { restrictedPlayer } from './restrictedPlayer';
import { roleMissing } from './roleMissing';
import { rungSkipped } from './rungSkipped';
import { secondEyes } from './secondEyes';
import { setupClash } from './setupClash';
import { skillTwice } from './skillTwice';
import { stopLong } from './stopLong';
import { waterGap } from './waterGap';

export { describeEdit, describeFit } from './editWords';
export { describeFinding } from './messages';
export { Finding, type FindingCode, type Place, type Severity } from './finding';

/** Every rule; the order is that of findings of the same severity and time. */
const RULES: readonly Rule[] = [
	playerTwice,
	zoneTwice,
	zoneGone,
	adultTwice,
	kitShort,
	fixtureShort,
	clearSpace,
	restrictedPlayer,
	roleMissing,
	adultsFewThere,
	adultsFewAt,
	contactDay,
	cannotRun,
	groupSize,
	playerUnplaced,
	blockEmpty,
	noWarmUp,
	overTime,
	waiting,
	moveShort,
	slotLength,
	talkLong,
	hardAfterHard,
	waterGap,
	stopLong,
	likePartners,
	setupClash,
	rungSkipped,
	underTime,
	secondEyes,
	skillTwice,
	dailyMissing
];

const WORST_FIRST: Record<Severity, number> = { stop: 0, warn: 1, hint: 2 };

/** Everything that does not work in a played practice, the worst first, then by time. */
export function check(evaluation: Evaluation): Finding[] {
	return RULES.flatMap((rule) => rule(evaluation)).sort(
		(a, b) =>
			WORST_FIRST[a.severity] - WORST_FIRST[b.severity] ||
			(a.at.fromSecond ?? -1) - (b.at.fromSecond ?? -1)
	);
}
