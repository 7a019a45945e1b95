import type { BriefItem } from '../model/practice';
import type { SeasonPlanInput } from './planShapes';

/** A practice to come on the page of the plan. */
export interface ToPlan {
	id: string;
	revision: number;
	date: string;
	start: string;
	minutes: number;
	/** It has periods already. */
	isBuilt: boolean;
	brief: BriefItem[];
}

/** What the page of the plan is made from. */
export interface PlanView {
	practices: ToPlan[];
	/** What the plan is asked for, with what is locked and planned as it is stored. */
	input: SeasonPlanInput;
	drills: { id: string; name: string; rungs: { id: string; name: string }[] }[];
}
