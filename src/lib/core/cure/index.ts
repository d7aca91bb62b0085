export { CHARACTERS, CURE_DEFAULTS, cureRecord, type Character, type CureRecord } from './record';
export { arrhenius } from './kinetics';
export { calibrate } from './calibrate';
export type { CureModel } from './model';
export { cup, cupInput, tempC, type CupInput, type CupPoint, type CupResult } from './cup';
export { crackLimitC, CRACK_LIMIT_C, heatWarnings, HOT_CORE_C, type PartHeat } from './heat';
export { bandOfTime, cupBands, sectionsBands, surer, type Band, type TimeBand } from './bands';
export { SPREADS, type SpreadName } from './spread';
export { sections, type Sections } from './sections';
export { WALL_KINDS, WALLS, type WallKind } from './wall';
export {
	DEMOULD_SIGNS,
	learnDemould,
	type DemouldSeen,
	type DemouldSign,
	type TaughtDemould
} from './demouldLearning';
export { part, partInput, type PartInput, type PartResult } from './part';
export {
	cupFit,
	cupFitInput,
	UNSETTLED,
	PRIOR_LN_RATE,
	READING_ERROR_C,
	type CupFitInput,
	type CupFitResult
} from './cupFit';
export { catalystPlan, catalystPlanInput, type CatalystPlan, type CatalystPlanInput } from './catalystPlan';
export {
	forecast,
	forecastBands,
	forecastInput,
	RECOAT_CONVERSION,
	type Forecast,
	type ForecastBands,
	type ForecastInput
} from './forecast';
export { POLYESTER_STAGES, stagesOf, type Stages } from './stages';
export { bandsAlong } from './bandsAlong';
