import { calibrate } from './calibrate';
import { solvePart, type PartSetup } from './partModel';
import type { CureRecord } from './record';

/** What a polyester is called on its way: so much of what it has reached when its sheet calls it ready (from memory). */
export const POLYESTER_STAGES = { soft: 0.3, firm: 0.7 } as const;

/** When the slowest place of a polyester comes to each stage that it is known by, s after it was poured. */
export interface Stages {
	gelS: number;
	softS: number;
	firmS: number;
	hardS: number;
}

/**
 * The stages of a catalysed cast by name: wobbling gel, soft and crumbly, firm, hard: the last when its
 * sheet, in this section and room, calls it ready.
 * @returns Infinity for a stage that it does not come to
 * @example
 * stagesOf(
 *   {
 *     chemistry: 'polyester',
 *     demouldS: 14_400,
 *     character: 'gradual',
 *     catalyst: { percent: 1, referencePercent: 1, referenceGelS: 1200 }
 *   },
 *   {
 *     section: { shape: 'slab', thicknessMm: 12 },
 *     mouldWallMm: 12,
 *     startTempC: 20,
 *     mouldTempC: 20,
 *     roomTempC: 20
 *   }
 * ).gelS < 3600; // true
 */
export function stagesOf(resin: CureRecord, setup: PartSetup): Stages {
	const model = calibrate(resin);
	const run = solvePart(model, setup, { series: true });
	const reached = (conversion: number) => run.series.find((p) => p.slowest >= conversion)?.timeS ?? Infinity;
	const hardS = run.demouldS;
	const whole = run.series.findLast((p) => p.timeS <= hardS)?.slowest ?? 1;
	const gelS = reached(model.gelConversion);
	const softS = Math.max(gelS, reached(POLYESTER_STAGES.soft * whole));
	return { gelS, softS, firmS: Math.max(softS, reached(POLYESTER_STAGES.firm * whole)), hardS };
}
