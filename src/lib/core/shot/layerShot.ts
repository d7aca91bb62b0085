import { budget } from '../budget/budget';
import { calibrate } from '../cure/calibrate';
import { RECOAT_CONVERSION } from '../cure/forecast';
import { crackLimitC, heatWarnings, type PartHeat } from '../cure/heat';
import { solveLayered, type LayeredRun, type LayeredSetup } from '../cure/layered';
import type { CureRecord } from '../cure/record';
import { cupMarkHeightMm, squareCupDiameterMm } from '../mix/cupLoss';
import { cupMarkErrorPercent } from '../mix/weighingError';
import { WALLS } from '../cure/wall';
import { bandOfTime, cupBands, type LayersQuestion } from '../cure/bands';
import { isCatalysed } from '../shelf/chemistry';
import { cureOf, mixedDensityGPerMl } from '../shelf/resinSums';
import { formatTime } from '../units';
import { InputError, type Warning, type WorkingLine } from '../working';
import { coloursFor, cupOf, lengthened } from './amounts';
import type { CopyBalance } from './kinds/filled/filled';
import type { LayerSpec, TimedLayer } from './layerSpec';
import type { Inputs } from './inputs';
import type { PlannedShot, ShotContext } from './planned';
import { RECOAT_SCHOOLS } from './kinds/rotocast/schools';
import type { ShotBatch } from './batch';
import type { Layer } from './layer';
import { layerAmount } from './layerAmount';
import { handsOn } from './handsOn';
import { HOLD_MARGIN, scaleWarnings } from './kinds/solid/solid';

/** Layers of one copy that are planned at most: more is another job, and each of them costs its sums. */
export const MOST_LAYERS = 24;
const THICKER = { flat: 'mostLayerMm', brush: 'coatMm', roll: 'layers' } as const;

/** So long a polyester's face keeps its tack in the air, s (common practice, no source). */
const TACKY_S = 86_400;

/**
 * Layers of one resin as the cure engine is asked for them, each at the chosen state of the last.
 * @param coolToC left to cool to this before the next, instead of following at the state of the school
 */
export function stackOf(
	resin: CureRecord,
	layers: Pick<LayeredSetup, 'layersMm' | 'fillerMix'>,
	inputs: Inputs,
	context: ShotContext,
	coolToC?: number
): LayersQuestion {
	const model = calibrate(resin);
	const recoatUntil = Math.max(resin.recoatConversion ?? RECOAT_CONVERSION, model.gelConversion + 0.01);
	const { startTempC, mouldTempC, roomTempC, mixS, school = 'gel' } = inputs;
	return {
		resin,
		setup: {
			...layers,
			mouldWallMm: context.mouldWallMm,
			wall: WALLS[context.wall ?? 'silicone'],
			startTempC,
			mouldTempC,
			roomTempC,
			mixS,
			nextAt: Math.min(model.gelConversion * RECOAT_SCHOOLS[school].of, recoatUntil - 0.005),
			recoatUntil,
			...(coolToC === undefined ? {} : { coolToC })
		}
	};
}

/**
 * Layers of one resin laid one on another, each at the chosen state of the last.
 * @param coolToC left to cool to this before the next, instead of following at the state of the school
 * @throws InputError when there are more layers than are planned, or when it would not be firm within sixty days
 */
export function timeLayers(
	specs: readonly LayerSpec[],
	inputs: Inputs,
	context: ShotContext,
	coolToC?: number
): { layers: TimedLayer[]; run: LayeredRun; stack: LayersQuestion } {
	if (specs.length > MOST_LAYERS) {
		throw new InputError(
			[THICKER[specs[0]!.way]],
			`That makes ${specs.length} layers, at most ${MOST_LAYERS} are planned: thicker ones, or in two pieces.`
		);
	}
	const slowest = specs.some((s) => s.tinted) ? lengthened(context, inputs.recipeId) : context;
	const fillerMix = specs.map((s) =>
		s.fillers.length ? cupOf(s.volumeMl, s.fillers, inputs, slowest).fillerMix : undefined
	);
	const stack = stackOf(
		cureOf(slowest.resin, context.rateFactor),
		{ layersMm: specs.map((s) => s.thicknessMm), fillerMix },
		inputs,
		context,
		coolToC
	);
	const run = solveLayered(calibrate(stack.resin), stack.setup);
	if (!Number.isFinite(run.demouldS))
		throw new InputError(['roomTempC'], 'At this temperature it is not firm within sixty days.');
	return {
		run,
		stack,
		layers: specs.map((s, i) => {
			const l = run.layers[i]!;
			return {
				...s,
				volumeMl: s.volumeMl * (1 + inputs.lossPercent / 100),
				pouredS: l.startS,
				lockS: l.gelFirstS - l.startS,
				gelS: l.gelLastS - l.startS,
				recoatFromS: l.recoatFromS - l.startS,
				// left to cool it has cured through; its air face stays tacky and takes the next one
				recoatUntilS: (coolToC === undefined ? l.recoatUntilS : l.recoatFromS + TACKY_S) - l.startS
			};
		})
	};
}

interface Layered {
	kind: NonNullable<PlannedShot['kind']>;
	layers: readonly TimedLayer[];
	/** What the cure engine was asked. */
	stack: LayersQuestion;
	/** Of the whole stack: when it is ready, and how hot it was and is. */
	run: PartHeat & Pick<LayeredRun, 'flexibleS' | 'peakMouldFaceC'>;
	/** The hottest that its middle may get, °C; the record's unless it was typed. */
	crackLimitC?: number;
	working: WorkingLine[];
	warnings: Warning[];
	balance: CopyBalance;
	/** What the pouring step is called. */
	verb: string;
}

/** A planned cast in layers, with what the cure engine was asked: it is not kept. */
export type PlannedStack = PlannedShot & { stack: LayersQuestion };

/** The same cast when its hands are late by so much in all: every clock after that goes with it. */
const laidLate = (of: Layered, layers: readonly TimedLayer[], lateS: number): Layered => ({
	...of,
	layers,
	run: { ...of.run, demouldS: of.run.demouldS + lateS, flexibleS: of.run.flexibleS + lateS }
});

/** Copies that are laid side by side, from one cup. */
export const copiesTogether = (inputs: Inputs, context: ShotContext): number =>
	Math.min(inputs.copies, context.cavities ?? inputs.mouldIds.length, inputs.hands ?? 1);

/** Every cup of a shot that is built up in layers, for all copies that are worked on at once. */
export function layerShot(of: Layered, inputs: Inputs, context: ShotContext): PlannedStack {
	const { marginPercent, scaleResolutionG } = context.settings;
	const together = copiesTogether(inputs, context);
	const hands = handsOn(of.layers, {
		mixS: inputs.mixS,
		pourS: inputs.pourS,
		spare: (inputs.hands ?? 1) > together
	});
	const one = laidLate(of, hands.layers, hands.lateS);
	const steps = [
		{ name: 'Mix', durationS: inputs.mixS, role: 'mix' as const },
		{
			name: together > 1 ? `${one.verb} ×${together}` : one.verb,
			durationS: inputs.pourS,
			role: 'pour' as const
		}
	];
	const sure = cupBands({
		resin: cureOf(context.resin, context.rateFactor),
		massG: Math.max(0.1, one.layers[0]!.volumeMl * mixedDensityGPerMl(context.resin)),
		startTempC: inputs.startTempC,
		roomTempC: inputs.roomTempC
	}).potLifeS;
	const batchOf = (copies: number): ShotBatch => {
		const cups = one.layers.map((layer) => {
			// a layer without colour is as quick as its sheet says, whatever lies on it
			const recipeId = layer.tinted ? layer.recipeId || inputs.recipeId : '';
			const { mixed, clock, fillerMix } = cupOf(
				Math.max(layer.volumeMl * copies, layer.leastMl ?? 0),
				layer.fillers,
				inputs,
				lengthened(context, recipeId)
			);
			const resinG = mixed.a.massG + mixed.b.massG;
			const cup: Layer = {
				thicknessMm: layer.thicknessMm,
				pouredS: layer.pouredS,
				...(layer.combinedS === undefined ? {} : { combinedS: layer.combinedS }),
				lockS: layer.lockS,
				gelS: layer.gelS,
				recoatFromS: layer.recoatFromS,
				recoatUntilS: layer.recoatUntilS,
				serves: layer.serves,
				...(layer.sags ? { sags: true } : {}),
				way: layer.way,
				...(layer.turns === undefined ? {} : { turns: layer.turns }),
				...(layer.layS === undefined ? {} : { layS: layer.layS }),
				...(layer.levelMm === undefined ? {} : { levelMm: layer.levelMm }),
				...(layer.setsIn?.length ? { setsIn: layer.setsIn } : {}),
				...(mixed.fillers.length
					? { fillers: mixed.fillers.map(({ name, massG, volumeMl }) => ({ name, massG, volumeMl })) }
					: {}),
				...(fillerMix ? { fillerMix } : {}),
				...(layer.tinted ? { colours: coloursFor(recipeId ?? '', resinG, context) } : {}),
				a: mixed.a,
				b: mixed.b,
				...(mixed.catalyst ? { catalyst: mixed.catalyst } : {}),
				potLifeS: clock.potLifeS,
				standing: { peakTempC: clock.peakTempC, peakTimeS: clock.peakTimeS }
			};
			return { cup, mixed, clock };
		});
		const { cup: first, mixed, clock } = cups[0]!;
		const potLifeBand = bandOfTime(clock.potLifeS, sure);
		const times = budget({
			steps: steps.map(({ name, durationS }) => ({ name, durationS })),
			potLifeS: clock.potLifeS,
			marginPercent,
			potLifeLowS: potLifeBand.lowS
		});
		const cupDiameterMm = squareCupDiameterMm(Math.max(mixed.a.volumeMl, mixed.b.volumeMl));
		const allMl = cups.reduce((sum, c) => sum + c.mixed.total.volumeMl, 0);
		const pouredMl =
			(copies * one.layers.reduce((sum, l) => sum + l.volumeMl, 0)) / (1 + inputs.lossPercent / 100);
		return {
			copies,
			pouredMl,
			lossMl: allMl - pouredMl,
			volumeMl: mixed.total.volumeMl,
			massG: mixed.total.massG,
			a: first.a,
			b: first.b,
			...(mixed.catalyst ? { catalyst: mixed.catalyst } : {}),
			fillers: mixed.fillers,
			layers: cups.map((c) => c.cup),
			potLifeS: clock.potLifeS,
			potLifeBand,
			clockSource: `cup model on the ${clock.working[0]?.source ?? 'sheet'}`,
			gelTimeS: clock.gelTimeS,
			peakTempC: clock.peakTempC,
			steps: steps.map(({ name, durationS }) => ({ name, durationS })),
			budget: times,
			slackS: times.slackS,
			fits: times.fits,
			schools: {
				scale: { resolutionG: scaleResolutionG, errorPercent: mixed.ratioErrorPercent },
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
	const last = one.layers.at(-1)!;
	const late: Warning[] = first.fits
		? []
		: [
				{
					code: 'does-not-fit',
					severity: 'harm',
					message: `The first layer runs ${formatTime(-first.slackS)} past the usable pot life.`,
					action: 'Mix and pour quicker, cool the parts, or take a slower resin.'
				}
			];
	return {
		kind: one.kind,
		shot: {
			batches,
			largestBatch: first.fits ? together : 0,
			volumeMl: batches.reduce((sum, b) => sum + b.pouredMl + b.lossMl, 0),
			massG: batches.reduce((sum, b) => sum + b.layers!.reduce((s, l) => s + layerAmount(l).massG, 0), 0),
			demouldS: one.run.demouldS,
			flexibleS: one.run.flexibleS,
			maturedS: one.run.maturedS,
			holdUntilS: (last.pouredS + last.gelS) * (1 + HOLD_MARGIN),
			peakMouldFaceC: one.run.peakMouldFaceC,
			working: [...one.working, ...first.budget.working, ...one.balance.working],
			warnings: [
				...late,
				...heatWarnings(
					one.run,
					one.crackLimitC ?? crackLimitC(cureOf(context.resin)),
					isCatalysed(context.resin.family)
				),
				...hands.warnings,
				...one.warnings,
				...scaleWarnings(first),
				...one.balance.warnings
			]
		},
		roles: steps.map((s) => s.role),
		balance: one.balance,
		stack: one.stack
	};
}
