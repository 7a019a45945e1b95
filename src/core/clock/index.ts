export { fit, FitInput, FitOutput } from './fit';
