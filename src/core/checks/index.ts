export { describeEdit, describeFailure, describeFit } from './editWords';
export { describeFinding } from './messages';
export { check, faultsIn } from './check';
export { fixesFor, fixesWithoutAsking } from './fixesFor';
export {
	Finding,
	type Among,
	type Fault,
	type FindingCode,
	type Place,
	type Severity,
	type Trouble
} from './finding';
