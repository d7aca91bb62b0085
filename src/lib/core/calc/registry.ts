import { z } from 'zod';
import { refusal, type Outcome } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { budget, budgetInput } from '../budget';
import { catalystPlan, catalystPlanInput, cupFit, cupFitInput, cupInput } from '../cure';
import { cupAnswer, partAnswer, partQuery } from './cureAnswers';
import { sprue, sprueInput } from '../flow';
import { dewPointC, dewPointInput } from '../humidity';
import { correctPour, correctPourInput, mix, mixInput } from '../mix';
import { meshQuery } from '../mesh/answer';
import {
	blockPlanInput,
	jacketInput,
	mixesInput,
	mouldBlock,
	mouldBlockInput,
	planBlock,
	planJacket,
	planPress,
	planRigid,
	planTwoPart,
	pressInput,
	rigidInput,
	splitMixes,
	twoPartInput
} from '../mould';
import { pot, potInput, vacuum, vacuumInput } from '../pot';
import { rotocast, rotocastInput, shotAnswer, shotQuery } from '../shot';
import { displacement, displacementInput } from '../volume';
import { wearForecast, wearInput } from '../wear';

/** A calculation that the screens use and that scripts may ask for. */
export interface Calculation {
	readonly name: string;
	readonly about: string;
	readonly schema: z.ZodType;
	readonly example: unknown;
	/** Checks and computes. Throws ZodError or InputError for input that no sum can be made from. */
	readonly run: (input: unknown) => unknown;
}

function calculation<S extends z.ZodType>(
	name: string,
	about: string,
	schema: S,
	example: z.input<S>,
	run: (input: z.output<S>, raw: z.input<S>) => unknown
): Calculation {
	return {
		name,
		about,
		schema,
		example,
		run: (input) => run(schema.parse(input), input as z.input<S>)
	};
}

const fastWhite = {
	potLifeS: 150,
	demouldS: 900,
	character: 'quick' as const
};

const TIN = {
	densityGPerMl: 1.1,
	ratio: { by: 'weight' as const, a: 100, b: 10 },
	workingTimeS: 2400,
	cureTimeS: 57_600,
	refTempC: 23,
	cureKind: 'condensation' as const
};

/** Every calculation of the open interface, by name. */
export const CALCULATIONS: readonly Calculation[] = [
	calculation(
		'displacement',
		'Volume of a part from the water that it spilled.',
		displacementInput,
		{ overflowMassG: 84.8, waterTempC: 20 },
		displacement
	),
	calculation(
		'mix',
		'Amounts of A, B, fillers and catalyst for a volume or a mass.',
		mixInput,
		{
			resin: { densityAGPerMl: 1.08, densityBGPerMl: 0.97, ratio: { by: 'weight', a: 100, b: 90 } },
			target: { volumeMl: 100 }
		},
		(_input, raw) => mix(raw)
	),
	calculation(
		'correct-pour',
		'What to add after too much of one part was poured.',
		correctPourInput,
		{ ratio: { by: 'weight', a: 100, b: 90 }, pouredAG: 110, pouredBG: 90 },
		(input) => {
			const c = correctPour(input);
			const suffix = c.unit === 'g' ? 'G' : 'Ml';
			return {
				[`addA${suffix}`]: c.addA,
				[`addB${suffix}`]: c.addB,
				[`total${suffix}`]: c.total,
				[`discard${suffix}`]: c.discard,
				[`takeOutA${suffix}`]: c.takeOutA,
				[`takeOutB${suffix}`]: c.takeOutB,
				working: c.working
			};
		}
	),
	calculation(
		'mould-block',
		'Rubber for a one-piece block round a master.',
		mouldBlockInput,
		{
			cavity: { shape: 'box', lengthMm: 90, widthMm: 70, heightMm: 60 },
			masterVolumeMl: 85,
			rubber: {
				densityGPerMl: 1.1,
				ratio: { by: 'weight', a: 100, b: 10 },
				workingTimeS: 2400,
				cureTimeS: 57_600,
				refTempC: 23,
				cureKind: 'condensation'
			},
			roomTempC: 21,
			lossPercent: 4
		},
		(_input, raw) => mouldBlock(raw)
	),
	calculation(
		'cup',
		'Pot life, gel, temperature and peak of resin in its cup.',
		cupInput,
		{ resin: fastWhite, massG: 100, startTempC: 23, roomTempC: 23 },
		(_input, raw) => cupAnswer(raw)
	),
	calculation(
		'cup-fit',
		'The cup corrected by temperatures that were read, with a band.',
		cupFitInput,
		{
			resin: fastWhite,
			massG: 200,
			startTempC: 24,
			roomTempC: 22,
			readings: [
				{ timeS: 40, tempC: 27 },
				{ timeS: 80, tempC: 34 }
			]
		},
		(_input, raw) => cupFit(raw)
	),
	calculation(
		'catalyst-plan',
		'The usual catalyst share for a mass, a section and a room, and the highest that neither cracks nor runs out of time.',
		catalystPlanInput,
		{
			resin: {
				chemistry: 'polyester',
				demouldS: 14_400,
				character: 'gradual',
				catalyst: { percent: 1, referencePercent: 1, referenceGelS: 1200 }
			},
			massG: 300,
			thicknessMm: 25,
			startTempC: 20,
			roomTempC: 20,
			crackLimitC: 110,
			neededS: 300
		},
		(_input, raw) => catalystPlan(raw)
	),
	calculation(
		'part',
		'Gel at core and wall, when a section may be flexed out and demoulded, its heat, and how sure that is.',
		partQuery,
		{
			resin: fastWhite,
			section: { shape: 'slab', thicknessMm: 6 },
			mouldWallMm: 12,
			startTempC: 23,
			mouldTempC: 23,
			roomTempC: 23
		},
		(_input, raw) => partAnswer(raw)
	),
	calculation(
		'budget',
		'Steps against a pot life.',
		budgetInput,
		{
			steps: [
				{ name: 'mix', durationS: 45 },
				{ name: 'pour', durationS: 30 }
			],
			potLifeS: 150
		},
		(_input, raw) => budget(raw)
	),
	calculation(
		'pot',
		'Bubbles under pressure, pump-up time and stored energy.',
		potInput,
		{
			gaugeKpa: 275.79,
			altitudeM: 0,
			potVolumeL: 9.5,
			contentsL: 2,
			freeAirLPerMin: 100,
			ratedGaugeKpa: 400
		},
		pot
	),
	calculation(
		'mould-two-part',
		'Rubber for both halves of a two-part block, the clay between, and when it is ready.',
		z.strictObject(twoPartInput.shape),
		{
			master: { footprint: 'rectangular', lengthMm: 60, widthMm: 40, heightMm: 50 },
			masterVolumeMl: 80,
			shape: 'box',
			clearanceMm: 12,
			coverMm: 15,
			partingMm: 20,
			rubber: {
				densityGPerMl: 1.1,
				ratio: { by: 'weight', a: 100, b: 10 },
				workingTimeS: 2400,
				cureTimeS: 14_400,
				refTempC: 23,
				cureKind: 'addition'
			},
			roomTempC: 21,
			lossPercent: 4
		},
		(_input, raw) => planTwoPart(raw)
	),
	calculation(
		'mould-open-face',
		'Rubber for an open-face block round a master that lies on its flat back.',
		z.strictObject(blockPlanInput.shape),
		{
			master: { footprint: 'rectangular', lengthMm: 90, widthMm: 60, heightMm: 18 },
			masterVolumeMl: 60,
			shape: 'box',
			clearanceMm: 12,
			coverMm: 12,
			rubber: TIN,
			roomTempC: 21,
			lossPercent: 4
		},
		(_input, raw) => planBlock(raw)
	),
	calculation(
		'mould-jacket',
		'Coats of rubber, and the shell round them.',
		jacketInput,
		{
			master: { footprint: 'round', lengthMm: 180, widthMm: 180, heightMm: 260 },
			skinMm: 8,
			coats: 4,
			rubber: TIN,
			roomTempC: 21,
			lossPercent: 6
		},
		(_input, raw) => planJacket(raw)
	),
	calculation(
		'mould-press',
		'Both halves of a press mould of a re-meltable thermoplastic.',
		pressInput,
		{
			master: { footprint: 'rectangular', lengthMm: 40, widthMm: 30, heightMm: 30 },
			masterVolumeMl: 20,
			clearanceMm: 8,
			coverMm: 10,
			partingMm: 15,
			material: { densityGPerMl: 0.95, softenTempC: 95, coolS: 3600 },
			roomTempC: 21
		},
		(_input, raw) => planPress(raw)
	),
	calculation(
		'mould-rigid',
		'A bought, printed or cast rigid mould: its outside, putty and bands.',
		rigidInput,
		{
			master: { footprint: 'rectangular', lengthMm: 60, widthMm: 40, heightMm: 50 },
			masterVolumeMl: 80,
			source: 'printed',
			parts: 2
		},
		(_input, raw) => planRigid(raw)
	),
	calculation(
		'mould-mixes',
		'A pour of rubber split into mixes that scale, cup and degassing vessel take.',
		mixesInput,
		{ massG: 1800, densityGPerMl: 1.11, cupMl: 1000, workingTimeS: 2400 },
		(_input, raw) => splitMixes(raw)
	),
	calculation(
		'vacuum',
		'How far a mix rises under vacuum, whether its vessel holds it, and what time it takes.',
		vacuumInput,
		{ mixVolumeMl: 300, vesselMl: 2000, chamberL: 12, pumpLPerMin: 70, targetKpa: 3 },
		(_input, raw) => vacuum(raw)
	),
	calculation(
		'rotocast',
		'A hollow cast in rolled layers: mass, rolling time and recoat window of each.',
		rotocastInput,
		{
			resin: { potLifeS: 150, demouldS: 900, character: 'gradual' },
			areaMm2: 42_000,
			wallMm: 4,
			densityGPerMl: 1.05,
			viscosityMpaS: 150,
			roomTempC: 23,
			mouldTempC: 23,
			mouldWallMm: 12
		},
		(_input, raw) => rotocast(raw)
	),
	calculation(
		'shot',
		'A shot of any kind: amounts, cups against their pot life, demould.',
		shotQuery,
		{
			kind: 'solid',
			cavityVolumeMl: 120,
			sprueVolumeMl: 6,
			copies: 2,
			resin: { densityAGPerMl: 1.08, densityBGPerMl: 0.97, ratio: { by: 'weight', a: 100, b: 90 } },
			cure: fastWhite,
			steps: [
				{ name: 'mix', durationS: 40 },
				{ name: 'pour', durationS: 15, per: 'copy' }
			],
			startTempC: 21,
			roomTempC: 21
		},
		(_input, raw) => shotAnswer(raw)
	),
	calculation(
		'sprue',
		'Time to fill a cavity through a sprue by gravity, and the sprue that would do.',
		sprueInput,
		{ volumeMl: 120, diameterMm: 8, lengthMm: 25, viscosityMpaS: 150, densityGPerMl: 1.06, remainingS: 90 },
		(_input, raw) => sprue(raw)
	),
	calculation(
		'dew-point',
		'Dew point by Magnus.',
		dewPointInput,
		{ tempC: 25, relativeHumidity: 60 },
		(input) => ({ dewPointC: dewPointC(input) })
	),
	calculation(
		'wear',
		'Pulls left in a mould from its family, the heat of its pulls and what was seen of it.',
		wearInput,
		{
			prior: { family: 'platinum', release: 'none' },
			pulls: [{}, {}, {}, {}, {}, {}, {}, { scores: { detail: 1, tear: 0 } }],
			copiesWanted: 30
		},
		(_input, raw) => wearForecast(raw)
	)
];

/**
 * Runs a calculation by name. Every answer is finite: an input that passes its ranges and still gives
 * NaN or infinity is refused, never passed on.
 * @returns nothing when there is no such calculation
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

/** The list that the interface gives of itself: names, JSON Schemas, one example each. */
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
