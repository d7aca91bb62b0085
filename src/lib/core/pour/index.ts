export { pourPlan, type PourPlan } from './plan';
export { benchSteps, type BenchStep } from './steps';
export { FAULTS, GRADES, pourEvent, type Grade, type PourEvent } from './events';
export { inOrder, reducePour, type PourState } from './reduce';
export { clocksOf, type Clock } from './clocks';
export { benchForecast, correctedPlan, type BenchForecast } from './correct';
export { lateAdvice } from './late';
