export { planSearch, PLAN_SECONDS } from './planSearch';
export {
	SeasonPlanInput,
	SeasonPlanOutput,
	type BriefReason,
	type BrokenRule,
	type PlanItem,
	type PlannedPractice
} from './planShapes';
export { asPlanned, isFree, type Planned } from './fromPractice';
export type { PlanView, ToPlan } from './planView';
