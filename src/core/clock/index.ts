export { fit, FitInput, Rank, type FitOutput } from './fit';
