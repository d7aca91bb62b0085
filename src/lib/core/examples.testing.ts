/** What the examples of the front doors stand on: a cube of 40 mm, what it is moulded in and what it is cast from. */
import type { PourEvent } from './bench';
import type { ForecastInput } from './cure';
import type { Pull } from './ledger';
import { masterRecord } from './master';
import type { Mesh } from './mesh';
import { MOULD_MODULES, mouldInputs, planMould, type MakingPlan, type MouldKind } from './mould';
import { mouldFigures, type PlanRecords, type ShotToPour, type SizingQuestion } from './plan';
import { INSPECTION_DEFAULTS, vesselRecord } from './pressurePot';
import { castableInputs, planCastable, type CastableRecords } from './castable';
import { line, order, recipe, workshop } from './orders/workshop.testing';
import { resinThing } from './compatibility';
import { planShot } from './shot';
import { context, inputs as typedShot, urethane } from './shot/kinds/shots.testing';
import { rimOf, type View } from './photo';
import { ball, silhouette, sixteen } from './photo/rendered.testing';
import { WORKSHOP_DEFAULTS } from './workshop';
import {
	castableRecord,
	colourRecord,
	containerRecord,
	fillerRecord,
	recipeRecord,
	releaseRecord,
	rubberRecord,
	thermoplasticRecord
} from './shelf';

export const cube = masterRecord.parse({
	name: 'Cube',
	material: 'glass or glazed',
	footprint: 'rectangular',
	lengthMm: 40,
	widthMm: 40,
	heightMm: 40,
	readings: [{ method: 'typed', volumeMl: 64 }]
});
/** Seven outlines of a ball of 40 mm, 33.5 ml, that stands on the mat. */
export const ballViews = sixteen(300, 20)
	.slice(0, 7)
	.map((from): View => {
		const lens = { w: 200, h: 150, f: 240, cx: 99.5, cy: 74.5, k1: 0, k2: 0 };
		return {
			camera: { widthPx: 200, heightPx: 150, focalPx: 240, centrePx: [99.5, 74.5], bend: [0, 0] },
			pose: { rotation: from.rows, translationMm: from.shift },
			rim: rimOf({ widthPx: 200, heightPx: 150, piece: silhouette(ball(20), lens, from) })!
		};
	});
export const blue = rubberRecord.parse({
	name: 'Blue',
	cureKind: 'addition',
	densityGPerMl: 1.1,
	ratioA: 1,
	ratioB: 1,
	workingTimeS: 1800,
	cureTimeS: 14_400,
	viscosityMpaS: 20_000,
	shoreA: 25,
	note: ''
});
export const softening = thermoplasticRecord.parse({
	name: 'Kettle',
	softenTempC: 90,
	densityGPerMl: 1,
	coolS: 3600
});
export const spheres = fillerRecord.parse({
	name: 'Spheres',
	family: 'hollow spheres',
	densityGPerMl: 0.2,
	bulkDensityGPerMl: 0.12,
	grainMm: 0.06,
	note: ''
});
export const red = colourRecord.parse({
	name: 'Red',
	kind: 'dye',
	densityGPerMl: 1.05,
	dropsPerMl: 28,
	mostPercent: 2
});
export const wax = releaseRecord.parse({ name: 'Wax', kind: 'wax' });
export const tin = containerRecord.parse({
	materialId: 'r',
	part: 'A',
	sizeG: 1000,
	weighedG: 800,
	openedOn: '2026-01-10',
	openings: 4
});
export const pressure = vesselRecord.parse({
	kind: 'pot',
	name: 'Pot',
	volumeL: 18,
	diameterMm: 260,
	shelvesMm: [180, 100],
	ratedGaugeKpa: 413,
	targetGaugeKpa: 275,
	freeAirLPerMin: 90,
	dues: INSPECTION_DEFAULTS
});
const typedFor = (kind: MouldKind) =>
	mouldInputs.parse({
		label: 'Cube',
		masterId: 'm',
		rubberId: 'r',
		thermoplasticId: 't',
		kind,
		clearanceMm: 10,
		coverMm: 10,
		lossPercent: 0,
		roomTempC: 23
	});
/** The cube's mould of a kind: what was typed and what came of it. */
export const mouldOf = (kind: MouldKind, more: Partial<ReturnType<typeof typedFor>> = {}) => {
	const inputs = { ...typedFor(kind), ...more };
	return { inputs, plan: planMould(inputs, cube, { rubber: blue, thermoplastic: softening }) };
};
/** A fast white of 6 mm between silicone walls, everything at 23 °C. */
export const whiteInMould: ForecastInput = {
	resin: { potLifeS: 150, demouldS: 900, character: 'quick' },
	massG: 100,
	startTempC: 23,
	roomTempC: 23,
	mouldTempC: 23,
	thicknessMm: 6,
	mouldWallMm: 12,
	readings: []
};
export const reddish = recipeRecord.parse({
	name: 'Reddish',
	resinId: 'r',
	resinMassG: 100,
	doses: [{ colourId: 'red', massG: 0.5 }]
});
/** The cube as a mesh, its foot on the ground: eight corners, twelve triangles. */
export const cubeMesh: Mesh = {
	vertices: Float64Array.from(
		[0, 1, 2, 3, 4, 5, 6, 7].flatMap((i) => [1, 2, 4].map((bit) => (i & bit ? 40 : 0)))
	),
	indices: Uint32Array.from([
		0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6, 1, 3, 5, 3, 7, 5
	])
};
/** Steps that were done, by their seconds after the first of January 2026. */
export const doneAt = (times: Readonly<Record<string, number>>): PourEvent[] =>
	Object.entries(times).map(([stepId, s], i) => ({
		id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
		atMs: Date.UTC(2026, 0, 1) + s * 1000,
		kind: 'step-done',
		stepId
	}));
const planned = {
	potLifeS: 150,
	usableS: 127,
	pouredByS: 60,
	settledByS: 92,
	holdUntilS: 300,
	demouldS: 900
};
/** A pull of M4 that was poured in time. */
export const pulled: Pull = {
	id: 'p',
	pourId: 'q',
	mouldId: 'm',
	mouldNumber: 4,
	mouldLabel: 'Cube',
	pullNumber: 3,
	masterName: 'Cube',
	resinName: 'White',
	copies: 1,
	grade: 'good',
	combinedAt: new Date(Date.UTC(2026, 0, 1)),
	body: {
		batchIndex: 0,
		batchCount: 1,
		massG: 114,
		roomTempC: 21,
		relativeHumidity: 44,
		mouldTempC: 21,
		conditionsRead: true,
		faults: [],
		note: '',
		planned,
		real: { pouredByS: 58, settledByS: 95 }
	}
};
/** The cube's mould of a kind as it is made at the bench. */
export const makingOf = (kind: MouldKind): MakingPlan => ({
	number: 7,
	label: 'Cube',
	masterName: 'Cube',
	kind,
	materialName: 'Blue',
	cureKind: 'addition',
	sealing: 'none',
	shape: 'box',
	seamSide: 'back',
	degas: 'none',
	pours: mouldOf(kind).plan.pours.map(({ name, massG }) => ({ name, massG, mixes: 1, setS: 14_400 })),
	...MOULD_MODULES[kind].making(mouldOf(kind).inputs, mouldOf(kind).plan, {
		rubber: blue,
		thermoplastic: softening
	}),
	masterVolumeMl: 64,
	cavities: 1,
	workingTimeS: 1800
});
/** What the shelf and the books say about a cast of the cube. */
export const recordsOfCube: PlanRecords = {
	master: { record: cube, volumeMl: 64 },
	moulds: [{ id: 'm', number: 4, label: 'Cube', ...mouldOf('one-piece') }],
	resin: urethane,
	tins: {},
	settings: WORKSHOP_DEFAULTS,
	spares: [],
	recipes: [],
	touching: { resin: resinThing('r', urethane), moulds: [] },
	experiences: [],
	stamps: []
};
const typedSolid = typedShot({ kind: 'solid' });
/** A solid shot of the cube as it stands on the page that sizes it. */
export const sizingOfCube: SizingQuestion = {
	inputs: typedSolid,
	master: { record: cube, volumeMl: 64 },
	moulds: [{ id: 'm', face: null, ...mouldFigures(mouldOf('one-piece'), 64) }],
	resin: { id: 'r', record: urethane },
	settings: WORKSHOP_DEFAULTS,
	recipes: [],
	colours: [],
	presses: [],
	experiences: [],
	cost: { mouldPulls: 30, scrapPercent: 10, mouldCost: 60, hourly: 18 }
};
/** A solid shot of the cube, as it was kept. */
export const shotOfCube: ShotToPour = {
	id: 's',
	number: 1,
	inputs: typedSolid,
	planned: planShot(typedSolid, context, false)
};

export const plasterTyped = castableInputs.parse({
	materialId: 'p',
	masterId: 'm',
	mouldIds: ['1'],
	copies: 1,
	lossPercent: 0
});
const bag = castableRecord.parse({
	name: 'Bag',
	sort: 'plaster',
	waterPerPowder: 0.6,
	workS: 600,
	demouldS: 2400
});
export const plasterPlanned = planCastable(plasterTyped, bag, {
	volumeMl: 64,
	moulds: [{ name: 'M1', cavities: 1 }],
	...WORKSHOP_DEFAULTS
});
export const plasterRecords: CastableRecords = {
	masterName: 'Cube',
	moulds: recordsOfCube.moulds,
	record: bag,
	settings: WORKSHOP_DEFAULTS
};

/** Two ammonites by Friday in one mould: what the examples of orders plan. */
export const ammonites = workshop([order('1', 4, [line('l', 2, [recipe('a')])])]);
