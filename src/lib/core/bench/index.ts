export { counts, isReading, sourceOf, type NewPourEvent } from './provenance';
export { SOURCES, SOURCE_WORDS, type Source } from './source';
export { offRatio, ratioNow, targetOf, type RatioNow } from './ratio';
export {
	benchSteps,
	cupStep,
	layerStep,
	parseStepId,
	stepId,
	stepName,
	type BenchStep,
	type StepName,
	type StepRef
} from './steps';
export { stepsOf, withSteps, type PlanWithSteps } from './steps/kept';
export { retimed } from './steps/times';
export { isCastablePlan } from './castablePlan';
export { castFindings, pourEvent, type CastFindings, type CastPicture, type PourEvent } from './events';
export { MOST_CAST_PICTURES, shrinkagePercent } from './cast';
export { WALL_SPOTS, WALL_SPOT_WORDS, wallStands, type WallSpot } from './wallSpots';
export { GRADE_WORDS, GRADES, type Grade } from './grades';
export { SEEN, SEEN_WORDS, type Seen } from './seenWords';
export { cupClocks, inOrder, reducePour, type CupTemp, type Graded, type PourState } from './reduce';
export { evidenceOf, partHeat } from './evidence';
export { mostPressingFirst, type Clock } from './clock';
export { clocksOf } from './clocks';
export { benchForecast } from './correct';
export { correctedPlan, type BenchForecast } from './corrected';
export { lateAdvice } from './late';
export { leftWords } from './leftWords';
export { paceOf, type Pace } from './pace';
export { mixedMassG, shotMassG, takenG } from './taken';
export { demouldTold } from './demouldTold';
export { cutOf, cutShort, waitOf, type CutShort } from './cutShort';
export { cutShortOf, layerStories, type LayerStory } from './happened';
export { coatBorne, type CoatedPull } from './coatBorne';
export { carriedOver, nextOf, type Series } from './again';
