export { fit, FitInput, FitOutput, Rank } from './fit';
