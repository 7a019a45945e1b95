export { planSearch, PLAN_SECONDS } from './planSearch';
export {
	BriefItem,
	SeasonPlanInput,
	SeasonPlanOutput,
	type BriefReason,
	type BrokenRule,
	type PlannedPractice
} from './planShapes';
