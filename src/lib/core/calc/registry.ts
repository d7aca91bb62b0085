import { z } from 'zod';
import { budgetCalculation } from '../budget';
import type { Calculation } from '../calculation';
import { compatibilityCalculation } from '../compatibility';
import { causesCalculation } from '../faults';
import { sprueCalculation } from '../flow';
import { dewPointCalculation } from '../humidity';
import { MESH_CALCULATION } from '../mesh';
import { correctPourCalculation, mixCalculation } from '../mix';
import { chooserCalculation, mixesCalculation, MOULD_KINDS, MOULD_MODULES } from '../mould';
import { refusal, type Outcome } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { loadPlanCalculation, potCalculation, vacuumCalculation } from '../pressurePot';
import { scheduleCalculation } from '../schedule';
import { costCalculation, rotocastCalculation, shotCalculation } from '../shot';
import { displacementCalculation } from '../volume';
import { wearCalculation } from '../wear';
import { castCalculation } from './castCalculation';
import {
	catalystPlanCalculation,
	cupCalculation,
	cupFitCalculation,
	partCalculation
} from './cureCalculations';

/** Every calculation of the open interface; each stands beside what it computes. */
export const CALCULATIONS: readonly Calculation[] = [
	displacementCalculation,
	mixCalculation,
	correctPourCalculation,
	...MOULD_KINDS.map((kind) => MOULD_MODULES[kind].calculation),
	mixesCalculation,
	vacuumCalculation,
	cupCalculation,
	cupFitCalculation,
	catalystPlanCalculation,
	partCalculation,
	budgetCalculation,
	sprueCalculation,
	shotCalculation,
	castCalculation,
	rotocastCalculation,
	potCalculation,
	dewPointCalculation,
	loadPlanCalculation,
	chooserCalculation,
	costCalculation,
	compatibilityCalculation,
	causesCalculation,
	wearCalculation,
	scheduleCalculation
];

/**
 * Runs a calculation by name. Every answer is finite: an input that passes its ranges and still gives
 * NaN or infinity is refused, never passed on.
 * @returns nothing when there is no such calculation
 * @example
 * runCalculation('dew-point', { tempC: 25, relativeHumidity: 60 }); // { ok: true, value: { dewPointC: 16.693 } }
 */
export function runCalculation(name: string, input: unknown): Outcome<unknown> | undefined {
	const found = CALCULATIONS.find((c) => c.name === name);
	if (!found) return undefined;
	const outcome = outcomeOf(() => found.run(input));
	const bad = outcome.ok ? firstNotFinite(outcome.value, '') : undefined;
	return bad === undefined
		? outcome
		: refusal(`These numbers lead out of range (${bad}): check units and sizes.`);
}

function firstNotFinite(value: unknown, path: string): string | undefined {
	if (typeof value === 'number') return Number.isFinite(value) ? undefined : path;
	if (value === null || typeof value !== 'object') return undefined;
	for (const [key, inner] of Object.entries(value)) {
		const bad = firstNotFinite(inner, path ? `${path}.${key}` : key);
		if (bad !== undefined) return bad;
	}
	return undefined;
}

/**
 * The list that the interface gives of itself: names, JSON Schemas, one example each.
 * @example
 * describeCalculations().some((c) => c.name === 'mix'); // true
 */
export function describeCalculations() {
	const listed = CALCULATIONS.map((c) => ({
		name: c.name,
		about: c.about,
		schema: z.toJSONSchema(c.schema, { io: 'input', unrepresentable: 'any' }),
		example: c.example
	}));
	return [...listed, MESH_CALCULATION];
}
