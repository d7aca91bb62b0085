export {
	budget,
	budgetInput,
	stepInput,
	DEFAULT_MARGIN_PERCENT,
	type BudgetInput,
	type BudgetResult,
	type Deadline
} from './budget';
export { budgetCalculation } from './calculation';
