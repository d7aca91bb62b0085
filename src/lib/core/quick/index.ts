export {
	AMOUNT_FIELDS,
	AMOUNT_WAYS,
	AMOUNT_WORDS,
	quickInput,
	quickResin,
	RESIN_WAYS,
	type AmountWay,
	type QuickInput
} from './input';
export { QUICK_SECTION_MM, QUICK_WALL_MM, quickAmounts, quickShot, quickSizes, quickVolume } from './quick';
export { quickMaster, quickMould, quickPlan } from './keep';
