export { masterAndRubber, resinAndMould } from './compat';
