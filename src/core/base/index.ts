export { assertNever } from './assertNever';
export { fieldsOf, inFields, type Field } from './finiteField';
export { badInput, type Failure, type Outcome } from './failure';
export { dealByWeight, fitsTimes, SAME_INSTANT, splitEvenly } from './numbers';
export { fail, ok, type Result } from './result';
export {
	bestWithin,
	runSearch,
	type Found,
	type Progress,
	type Search,
	type SearchTime
} from './search';
export { sameValue } from './sameValue';
export { isSamePath, pathText, type Path } from './path';
export { misfitText, placeText, type Misfit } from './misfit';
