import { z } from 'zod';
import { budgetCalculation } from '../budget';
import type { Calculation } from '../calculation';
import { sprueCalculation } from '../flow';
import { dewPointCalculation } from '../humidity';
import { meshQuery } from '../mesh/answer';
import { correctPourCalculation, mixCalculation } from '../mix';
import { mixesCalculation, MOULD_KINDS, MOULD_MODULES } from '../mould';
import { refusal, type Outcome } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { potCalculation, vacuumCalculation } from '../pot';
import { rotocastCalculation, shotCalculation } from '../shot';
import { displacementCalculation } from '../volume';
import { wearCalculation } from '../wear';
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
	rotocastCalculation,
	potCalculation,
	dewPointCalculation,
	wearCalculation
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

/** A small closed body as text, for the example: a sixth of a cube of 30 mm. */
const TETRAHEDRON_STL = `solid wedge
${[
	[0, 2, 1],
	[0, 1, 3],
	[0, 3, 2],
	[1, 2, 3]
]
	.map(
		(face) =>
			`facet normal 0 0 0\nouter loop\n${face
				.map((i) => `vertex ${[1, 2, 3].map((axis) => (axis === i ? 30 : 0)).join(' ')}`)
				.join('\n')}\nendloop\nendfacet`
	)
	.join('\n')}
endsolid wedge
`;

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
	const mesh = {
		name: 'mesh',
		about:
			'Volume, holes, air traps and undercuts of a 3D file. The file is the raw body; this schema is the query’s.',
		body: 'an STL, OBJ, PLY or 3MF file',
		schema: z.toJSONSchema(meshQuery, { io: 'input', unrepresentable: 'any' }),
		example: { query: 'unit=mm&up=0,0,1&pull=0,1,0&name=wedge.stl', body: TETRAHEDRON_STL }
	};
	return [...listed, mesh];
}
