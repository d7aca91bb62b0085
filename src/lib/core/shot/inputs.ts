import { z } from 'zod';
import type { ResinRecord } from '../shelf/resin';
import { cureOf, mixable, mixedDensityGPerMl, viscosityOf } from '../shelf/resin';
import { pot, type PotResult } from '../pot/pot';
import { digits, formatTime } from '../units';
import { InputError, type Warning } from '../working';
import type { WorkshopSettings } from '../workshop/settings';
import { mix, type Filler } from '../mix/mix';
import { cup } from '../cure/cup';
import { budget } from '../budget/budget';
import { cupMarkHeightMm, squareCupDiameterMm } from '../mix/cupLoss';
import { cupMarkErrorPercent } from '../mix/weighingError';
import { copyBalance, FILL_KINDS, FILLS, insertInput, type CopyBalance } from './filled';
import { rotocast, rotocastInput, type Rotocast } from './rotocast';
import {
	HOLD_MARGIN,
	scaleWarnings,
	solidShot,
	solidShotInput,
	type LayerCup,
	type ShotBatch,
	type ShotStep,
	type SolidShot
} from './solid';

const stepS = (what: string) =>
	z
		.number({ error: `Type how long ${what} takes, such as 0:45 or 45 s.` })
		.min(0, 'A step cannot take less than no time.')
		.max(36_000, 'A step over ten hours: check the unit.');

const shape = solidShotInput.shape;

const roto = rotocastInput.shape;

/** What the maker types to size a shot. */
export const shotInputs = z.object({
	/** Solid, in rolled layers, or a rolled shell that is filled afterwards. */
	kind: z.enum(['solid', 'rotocast', 'filled']).default('solid'),
	masterId: z.string().min(1, 'Choose the master that is cast.'),
	mouldIds: z
		.array(z.string().min(1))
		.min(1, 'Choose at least one mould: without a mould there is nothing to pour into.')
		.max(60, 'At most 60 moulds at once.'),
	resinId: z.string({ error: 'Choose a resin from the shelf.' }).min(1, 'Choose a resin from the shelf.'),
	/** What the mould is coated with before the pull; empty: nothing. */
	releaseId: z.string().max(40).default(''),
	copies: shape.copies,
	sprueVolumeMl: z
		.number({ error: 'Type the volume of sprue and vents, such as 6 ml, or 0.' })
		.min(0, 'The sprue cannot be less than nothing.')
		.max(100_000, 'Over 100 l of sprue: check the unit.'),
	lossBy: z.enum(['film', 'percent']).default('film'),
	lossPercent: z
		.number({ error: 'Type the loss in percent, such as 10 %.' })
		.min(0, 'The loss cannot be less than nothing.')
		.max(100, 'Over as much again lost: check the loss.')
		.default(10),
	sectionMm: shape.sectionMm,
	/** Filler through and through; empty: none. */
	fillerId: z.string().max(40).default(''),
	fillerPercent: z
		.number({ error: 'Type the filler in percent of the whole by weight, such as 20 %.' })
		.min(0, 'The filler cannot be less than nothing.')
		.max(95, 'At most 95 % leaves any resin.')
		.default(20),
	/** Wire, weights, plates set into each copy. */
	inserts: z.array(insertInput).max(10, 'At most 10 things set in.').default([]),
	wallMm: roto.wallMm.default(4),
	layers: roto.layers,
	areaMm2: roto.areaMm2.optional(),
	rimLengthMm: roto.rimLengthMm,
	turnS: roto.turnS,
	school: roto.school,
	fillKind: z.enum(FILL_KINDS).default('plaster'),
	fillDensityGPerMl: z
		.number({ error: 'Type its density in place, such as 1.7 g/ml, or leave it empty.' })
		.positive('It weighs something.')
		.max(12, 'Over 12 g/ml: check the unit.')
		.optional(),
	mixS: stepS('mixing').default(45),
	pourS: stepS('pouring one copy').default(20),
	/** Pairs of hands: that many pour, or roll, at once. */
	hands: z
		.number({ error: 'Type how many pairs of hands, such as 1.' })
		.int('Hands come in pairs.')
		.min(1, 'At least one pair of hands.')
		.max(12, 'Over twelve pairs of hands: more than a bench holds.')
		.default(1),
	usePot: z.boolean().default(false),
	loadS: stepS('loading and closing the pot').default(30),
	startTempC: shape.startTempC,
	mouldTempC: shape.mouldTempC,
	roomTempC: shape.roomTempC,
	relativeHumidity: z
		.number({ error: 'Type the relative humidity in percent, such as 45.' })
		.min(1, 'Relative humidity is 1–100 %.')
		.max(100, 'Relative humidity is 1–100 %.')
});
export type ShotInputs = z.output<typeof shotInputs>;

/** What the records say about the shot: master, moulds, resin and workshop. */
export interface ShotContext {
	cavityVolumeMl: number;
	mouldWallMm: number;
	/** Outer volume of the chosen moulds together, ml. */
	mouldsVolumeMl: number;
	/** Cavities of the chosen moulds together; one each unless said. */
	cavities?: number | undefined;
	/** Skin of one copy without its openings, mm²; by its file or its outer sizes. */
	skinAreaMm2?: number | undefined;
	/** Half the piece's width, mm: what turns. */
	radiusMm?: number | undefined;
	/** Its height, mm: what drains. */
	heightMm?: number | undefined;
	resin: ResinRecord;
	/** The filler's densities, when there is one. */
	filler?: { name: string; densityGPerMl: number; bulkDensityGPerMl?: number | undefined } | undefined;
	/** The container's own speed, learned from readings. */
	rateFactor?: number | undefined;
	settings: WorkshopSettings;
}

export interface PlannedShot {
	/** Shots kept before there were other kinds have none: they are solid. */
	kind?: ShotInputs['kind'];
	shot: SolidShot;
	pot?: PotResult;
	/** What each timed step is, in the order of the steps. */
	roles: ('mix' | 'pour' | 'load' | 'pump')[];
	/** Layers of one copy with their clocks. */
	rotocast?: Rotocast;
	/** One copy: what fills it, what it weighs, how it floats. */
	balance?: CopyBalance;
}

/** The pot's sum for these moulds, its refusal put at the field that can be changed. */
function potFor(context: ShotContext): PotResult {
	const { settings } = context;
	try {
		return pot({
			gaugeKpa: settings.potTargetGaugeKpa,
			altitudeM: settings.altitudeM,
			potVolumeL: settings.potVolumeL,
			contentsL: context.mouldsVolumeMl / 1000,
			freeAirLPerMin: settings.freeAirLPerMin,
			ratedGaugeKpa: settings.potRatedGaugeKpa
		});
	} catch (error) {
		if (error instanceof InputError) throw new InputError(['usePot'], error.message);
		throw error;
	}
}

type Inputs = Omit<ShotInputs, 'masterId' | 'resinId' | 'releaseId'>;

/** Sizes the shot from what was typed and what the records say. Throws as `solidShot`, `rotocast` and `pot` do. */
export function planShot(inputs: Inputs, context: ShotContext): PlannedShot {
	return inputs.kind === 'rotocast' || inputs.kind === 'filled'
		? planRolled(inputs, context)
		: planSolid(inputs, context);
}

function fillersOf(inputs: Inputs, context: ShotContext): Filler[] {
	if (!context.filler || !inputs.fillerId || !(inputs.fillerPercent > 0)) return [];
	const { name, densityGPerMl, bulkDensityGPerMl } = context.filler;
	return [
		{
			name,
			densityGPerMl,
			...(bulkDensityGPerMl === undefined ? {} : { bulkDensityGPerMl }),
			amount: inputs.fillerPercent,
			per: 'total-mass-percent'
		}
	];
}

function planSolid(inputs: Inputs, context: ShotContext): PlannedShot {
	const pressure = inputs.usePot ? potFor(context) : undefined;
	const hands = inputs.hands ?? 1;
	const steps: (ShotStep & { role: PlannedShot['roles'][number] })[] = [
		{ name: 'Mix', durationS: inputs.mixS, per: 'batch', role: 'mix' },
		{ name: 'Pour', durationS: inputs.pourS / hands, per: 'copy', role: 'pour' }
	];
	if (pressure) {
		steps.push(
			{ name: 'Load and close', durationS: inputs.loadS, per: 'batch', role: 'load' },
			{ name: 'Pump up', durationS: pressure.timeToPressureS, per: 'batch', role: 'pump' }
		);
	}
	const insertsMl = (inputs.inserts ?? []).reduce((sum, i) => sum + i.volumeMl, 0);
	if (insertsMl >= context.cavityVolumeMl) {
		throw new InputError(
			['inserts'],
			`What is set in takes ${digits(insertsMl)} ml and the cavity holds ${digits(context.cavityVolumeMl)} ml.`
		);
	}
	const { densityAGPerMl, densityBGPerMl, ratio, catalyst } = mixable(context.resin);
	const shot = solidShot({
		cavityVolumeMl: context.cavityVolumeMl - insertsMl,
		sprueVolumeMl: inputs.sprueVolumeMl,
		loss: inputs.lossBy === 'film' ? { by: 'film' } : { by: 'percent', percent: inputs.lossPercent },
		copies: inputs.copies,
		cavitiesAtOnce: context.cavities ?? inputs.mouldIds.length,
		resin: { densityAGPerMl, ...(densityBGPerMl && ratio ? { densityBGPerMl, ratio } : {}) },
		...(catalyst ? { catalyst } : {}),
		fillers: fillersOf(inputs, context),
		cure: cureOf(context.resin, context.rateFactor),
		viscosityMpaS: viscosityOf(context.resin, inputs.startTempC),
		sectionMm: inputs.sectionMm,
		mouldWallMm: context.mouldWallMm,
		steps: steps.map(({ name, durationS, per }) => ({ name, durationS, per })),
		startTempC: inputs.startTempC,
		mouldTempC: inputs.mouldTempC,
		roomTempC: inputs.roomTempC,
		marginPercent: context.settings.marginPercent,
		scaleResolutionG: context.settings.scaleResolutionG
	});
	const first = shot.batches[0]!;
	const castMl = context.cavityVolumeMl - insertsMl;
	return {
		kind: 'solid',
		shot,
		...(pressure ? { pot: pressure } : {}),
		roles: steps.map((s) => s.role),
		balance: copyBalance({
			cavityMl: context.cavityVolumeMl,
			castMl,
			castG: (castMl * first.massG) / first.volumeMl,
			inserts: inputs.inserts ?? []
		})
	};
}

/** A cup's amounts and clock, as every layer of a rotocast has its own. */
function cupOf(volumeMl: number, inputs: Inputs, context: ShotContext) {
	const { densityAGPerMl, densityBGPerMl, ratio, catalyst } = mixable(context.resin);
	const mixed = mix({
		resin: { densityAGPerMl, ...(densityBGPerMl && ratio ? { densityBGPerMl, ratio } : {}) },
		...(catalyst ? { catalyst } : {}),
		target: { volumeMl },
		fillers: fillersOf(inputs, context),
		scaleResolutionG: context.settings.scaleResolutionG
	});
	const clock = cup({
		resin: cureOf(context.resin, context.rateFactor),
		massG: mixed.a.massG + mixed.b.massG,
		startTempC: inputs.startTempC,
		roomTempC: inputs.roomTempC
	});
	return { mixed, clock };
}

function planRolled(inputs: Inputs, context: ShotContext): PlannedShot {
	const areaMm2 = inputs.areaMm2 ?? context.skinAreaMm2;
	if (!areaMm2)
		throw new InputError(['areaMm2'], 'Type the skin to cover, such as 420 cm2: this master has none.');
	const cure = cureOf(context.resin, context.rateFactor);
	const one = rotocast({
		resin: cure,
		areaMm2,
		wallMm: inputs.wallMm,
		...(inputs.layers === undefined ? {} : { layers: inputs.layers }),
		densityGPerMl: mixedDensityGPerMl(context.resin),
		viscosityMpaS: viscosityOf(context.resin, 23),
		rimLengthMm: inputs.rimLengthMm,
		turnS: inputs.turnS,
		...(context.radiusMm ? { radiusMm: context.radiusMm } : {}),
		...(context.heightMm ? { drainMm: context.heightMm } : {}),
		roomTempC: inputs.roomTempC,
		mouldTempC: inputs.mouldTempC,
		startTempC: inputs.startTempC,
		mouldWallMm: context.mouldWallMm,
		mixS: inputs.mixS,
		school: inputs.school,
		lossPercent: inputs.lossPercent
	});
	const castMl = one.totalVolumeMl / (1 + inputs.lossPercent / 100);
	if (castMl > context.cavityVolumeMl) {
		throw new InputError(
			['wallMm'],
			`A wall of ${digits(inputs.wallMm)} mm takes ${digits(castMl)} ml and the piece holds ${digits(context.cavityVolumeMl)} ml: cast it solid, or take a thinner wall.`
		);
	}
	const together = Math.min(inputs.copies, context.cavities ?? inputs.mouldIds.length, inputs.hands ?? 1);
	const steps = [
		{ name: 'Mix', durationS: inputs.mixS, role: 'mix' as const },
		{ name: together > 1 ? `Pour ×${together}` : 'Pour', durationS: inputs.pourS, role: 'pour' as const }
	];
	const batchOf = (copies: number): ShotBatch => {
		const cups = one.layers.map((layer): LayerCup & { cup: ReturnType<typeof cupOf> } => {
			const made = cupOf(layer.volumeMl * copies, inputs, context);
			const { mixed, clock } = made;
			return {
				...layer,
				massG: mixed.total.massG,
				volumeMl: mixed.total.volumeMl,
				a: mixed.a,
				b: mixed.b,
				...(mixed.catalyst ? { catalyst: mixed.catalyst } : {}),
				potLifeS: clock.potLifeS,
				cup: made
			};
		});
		const first = cups[0]!;
		const { mixed, clock } = first.cup;
		const times = budget({
			steps: steps.map(({ name, durationS }) => ({ name, durationS })),
			potLifeS: clock.potLifeS,
			marginPercent: context.settings.marginPercent
		});
		const cupDiameterMm = squareCupDiameterMm(Math.max(mixed.a.volumeMl, mixed.b.volumeMl));
		const pouredMl = (copies * one.totalVolumeMl) / (1 + inputs.lossPercent / 100);
		return {
			copies,
			pouredMl,
			lossMl: copies * one.totalVolumeMl - pouredMl,
			volumeMl: first.volumeMl,
			massG: first.massG,
			a: first.a,
			b: first.b,
			...(first.catalyst ? { catalyst: first.catalyst } : {}),
			fillers: mixed.fillers,
			layers: cups.map(({ cup: _cup, ...layer }) => layer),
			potLifeS: clock.potLifeS,
			clockSource: `cup model on the ${clock.working[0]?.source ?? 'sheet'}`,
			gelTimeS: clock.gelTimeS,
			peakTempC: clock.peakTempC,
			steps: steps.map(({ name, durationS }) => ({ name, durationS })),
			budget: times,
			slackS: times.slackS,
			fits: times.fits,
			schools: {
				scale: { resolutionG: context.settings.scaleResolutionG, errorPercent: mixed.ratioErrorPercent },
				marks: {
					cupDiameterMm,
					markAMm: cupMarkHeightMm(mixed.a.volumeMl, cupDiameterMm),
					markBMm: cupMarkHeightMm(mixed.b.volumeMl, cupDiameterMm),
					errorPercent:
						mixed.b.volumeMl > 0 ? cupMarkErrorPercent(mixed.a.volumeMl, mixed.b.volumeMl, cupDiameterMm) : 0
				}
			}
		};
	};
	const batches: ShotBatch[] = [];
	for (let left = inputs.copies; left > 0; left -= together) batches.push(batchOf(Math.min(together, left)));
	const first = batches[0]!;
	const all = (of: (l: LayerCup) => number) =>
		batches.reduce((sum, b) => sum + b.layers!.reduce((s, l) => s + of(l), 0), 0);
	const balance = copyBalance({
		cavityMl: context.cavityVolumeMl,
		castMl,
		castG: castMl * (first.massG / first.volumeMl),
		inserts: inputs.inserts ?? [],
		...(inputs.kind === 'filled'
			? {
					fill: {
						kind: inputs.fillKind,
						densityGPerMl: inputs.fillDensityGPerMl ?? FILLS[inputs.fillKind].densityGPerMl,
						lossPercent: inputs.lossPercent
					}
				}
			: {})
	});
	const late: Warning[] = first.fits
		? []
		: [
				{
					code: 'does-not-fit',
					level: 'harm',
					message: `The first layer runs ${formatTime(-first.slackS)} past the usable pot life.`,
					action: 'Mix and pour quicker, cool the parts, or take a slower resin.'
				}
			];
	return {
		kind: inputs.kind,
		shot: {
			batches,
			largestBatch: first.fits ? together : 0,
			volumeMl: all((l) => l.volumeMl),
			massG: all((l) => l.massG),
			demouldS: one.demouldS,
			holdUntilS: one.layers.at(-1)!.gelS * (1 + HOLD_MARGIN),
			peakMouldFaceC: one.peakMouldFaceC,
			working: [...one.working, ...first.budget.working, ...balance.working],
			warnings: [...late, ...one.warnings, ...scaleWarnings(first), ...balance.warnings]
		},
		roles: steps.map((s) => s.role),
		rotocast: one,
		balance
	};
}
