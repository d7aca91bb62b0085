import { digits, formatTime } from '../../../units';
import { pumpUpS } from '../../../pressurePot/delivery';
import { pot, type PotResult } from '../../../pressurePot/pressurePot';
import { cureOf, viscosityOf } from '../../../shelf/resinSums';
import { chemistryOf } from '../../../shelf/chemistry';
import { sections, type Sections } from '../../../cure/sections';
import { alsoOf, alsoSections, alsoTakes, alsoWorking } from '../../also';
import type { Also } from '../../otherPiece';
import { InputError, type Warning } from '../../../working';
import { coloursFor, fillersOf, insertsMl, lengthened, resinOf } from '../../amounts';
import { colourCups, colourWords, togetherPotLifeS, typedCupsMl } from '../../colours';
import { B_IN_S, cupEveryS } from '../../colourSchools';
import { copyBalance } from '../filled/filled';
import { fillerWarnings } from '../../fillerWords';
import { FILLER_HEAT } from '../../../shelf/filler';
import { sectionsOf } from '../../thickest';
import type { Inputs } from '../../inputs';
import type { PlannedShot, ShotContext } from '../../planned';
import type { ShotBatch } from '../../batch';
import { slowSprue, throughSprue } from '../../throughSprue';
import { HOLD_MARGIN, solidShot, type ShotStep } from './solid';
import { budget } from '../../../budget/budget';
import type { StepRole } from '../../pouring';

/** Room that moulds leave between and above themselves in a pot, as a share (a default of ours). */
const POT_FILL = 0.8;

/** How many of the chosen moulds go in together by their volume. */
function mouldsInPot(context: ShotContext, count: number, alsoL: number): number {
	const eachL = context.mouldsVolumeMl / 1000 / count;
	const roomL = context.settings.potVolumeL * POT_FILL - alsoL;
	return Math.min(count, Math.max(1, Math.floor(roomL / eachL)));
}

/** The pot's sum for a load of these moulds, its refusal put at the field that can be changed. */
function potFor(context: ShotContext, share: number, alsoL: number): PotResult {
	const { settings } = context;
	const contentsL = (share * context.mouldsVolumeMl) / 1000 + alsoL;
	const { secondGaugeKpa, secondLPerMin } = settings;
	try {
		const air = pot({
			gaugeKpa: settings.potTargetGaugeKpa,
			altitudeM: settings.altitudeM,
			potVolumeL: settings.potVolumeL,
			contentsL,
			freeAirLPerMin: settings.freeAirLPerMin,
			ratedGaugeKpa: settings.potRatedGaugeKpa
		});
		if (secondGaugeKpa === undefined || secondLPerMin === undefined) return air;
		// the compressor is known to deliver less against pressure
		const timeToPressureS = pumpUpS(
			settings.potVolumeL - contentsL,
			settings.potTargetGaugeKpa,
			{
				freeAirLPerMin: settings.freeAirLPerMin,
				second: { gaugeKpa: secondGaugeKpa, freeAirLPerMin: secondLPerMin }
			},
			air.atmosphereKpa
		);
		if (!Number.isFinite(timeToPressureS))
			throw new InputError(['usePot'], 'The compressor stalls before that pressure: cast at less.');
		return { ...air, timeToPressureS };
	} catch (error) {
		if (error instanceof InputError) throw new InputError(['usePot'], error.message);
		throw error;
	}
}

type Step = ShotStep & { role: StepRole };

/** Everything between combining and the last thing that needs liquid resin, as it was typed. */
function stepsOf(inputs: Inputs, pressure: PotResult | undefined, fillS: number): Step[] {
	const hands = inputs.hands ?? 1;
	const each = (name: string, durationS: number | undefined, role: StepRole): Step[] =>
		(durationS ?? 0) > 0 ? [{ name, durationS: durationS! / hands, per: 'copy', role }] : [];
	const cups = Math.max(1, inputs.cups?.length ?? 0);
	const someFirst = inputs.pourWay === 'some-first';
	return [
		{
			name: cups > 1 ? `Mix ${cups} cups` : 'Mix',
			durationS: (inputs.mixS + (cups > 1 && inputs.colourSchool === 'all-at-once' ? B_IN_S : 0)) * cups,
			per: 'batch',
			role: 'mix'
		},
		...((inputs.vacuumS ?? 0) > 0
			? [{ name: 'Vacuum', durationS: inputs.vacuumS, per: 'batch' as const, role: 'vacuum' as const }]
			: []),
		...(someFirst ? each('Pour a little', inputs.pourS / 2, 'some') : []),
		...each('Brush', someFirst ? Math.max(1, inputs.brushS) : inputs.brushS, 'brush'),
		{
			name: inputs.pourWay === 'halves' ? 'Fill the halves' : someFirst ? 'Pour the rest' : 'Pour',
			durationS: (someFirst ? inputs.pourS / 2 : Math.max(inputs.pourS, fillS)) / hands,
			per: 'copy',
			role: 'pour'
		},
		...each('Flame', inputs.flameS, 'flame'),
		...each('Tap', inputs.tapS, 'tap'),
		...(inputs.pourWay === 'halves' ? each('Close', Math.max(1, inputs.closeS), 'close') : []),
		...(pressure
			? [
					{ name: 'Load and close', durationS: inputs.loadS, per: 'batch' as const, role: 'load' as const },
					{
						name: 'Pump up',
						durationS: pressure.timeToPressureS,
						per: 'batch' as const,
						role: 'pump' as const
					}
				]
			: [])
	];
}

/** A cast poured in one go: from one cup, or from several colours together. */
export function planSolid(inputs: Inputs, context: ShotContext): PlannedShot {
	refuseFlame(inputs, context);
	const slowest = slowestCup(inputs, context);
	const { settings } = context;
	const count = inputs.mouldIds.length;
	const also = alsoOf(inputs, context);
	const alsoL = also.reduce((sum, a) => sum + a.outsideMl, 0) / 1000;
	const inPot = inputs.usePot ? mouldsInPot(context, count, alsoL) : count;
	const pressure = inputs.usePot ? potFor(context, inPot / count, alsoL) : undefined;
	const cavities = context.cavities ?? count;
	const setInMl = insertsMl(inputs, context);
	// "3 oz and 3 oz": the cups say it, whatever the moulds take
	const typedMl = typedCupsMl({ cups: inputs.cups ?? [] });
	const castMl = typedMl === undefined ? context.cavityVolumeMl - setInMl : typedMl / inputs.copies;
	const fills = throughSprue(inputs, context, castMl);
	const steps = stepsOf(inputs, pressure, fills?.fillS ?? 0);
	const { where, waits } = slowestPlace(sectionsOf(inputs, context), also, inputs, slowest);
	const shot = solidShot({
		cavityVolumeMl: castMl,
		sprueVolumeMl: typedMl === undefined ? inputs.sprueVolumeMl : 0,
		...alsoTakes(also),
		loss:
			typedMl !== undefined
				? { by: 'percent', percent: 0 }
				: context.taken?.one
					? { by: 'taken', share: context.taken.one.share, pours: context.taken.one.pours }
					: inputs.lossBy === 'film'
						? { by: 'film' }
						: { by: 'percent', percent: inputs.lossPercent },
		copies: inputs.copies,
		cavitiesAtOnce: cavities,
		...(inPot < count ? { potCopies: Math.max(1, Math.floor((cavities * inPot) / count)) } : {}),
		...resinOf(context),
		fillers: fillersOf(inputs, context),
		fillerHeat: FILLER_HEAT[context.filler?.family ?? 'mineral powder'],
		cure: cureOf(slowest.resin, context.rateFactor),
		viscosityMpaS: viscosityOf(context.resin, inputs.startTempC),
		where,
		steps: steps.map(({ name, durationS, per }) => ({ name, durationS, per })),
		startTempC: inputs.startTempC,
		mouldTempC: inputs.mouldTempC,
		roomTempC: inputs.roomTempC,
		marginPercent: settings.marginPercent,
		scaleResolutionG: settings.scaleResolutionG,
		cupMl: settings.mixingCupMl,
		scaleCapacityG: settings.scaleCapacityG
	});
	const batches = shot.batches.map((b) => tinted(b, inputs, context));
	const first = batches[0]!;
	const together = first.cups ? colourWords(first.cups, inputs) : { working: [], warnings: [] };
	const late: Warning[] =
		first.cups && !first.fits && shot.batches[0]!.fits
			? [
					{
						code: 'cups-late',
						severity: 'harm',
						message: 'Combined one after another, the first cup is too thick before the last is poured.',
						action: 'Fewer colours, a second pair of hands, cooler parts, or smaller cups.'
					}
				]
			: [];
	return {
		kind: 'solid',
		where,
		// colours poured together have clocks of their own, of the resin alone: the quicker, careful case
		...(shot.fillerMix && !inputs.cups?.length ? { fillerMix: shot.fillerMix } : {}),
		shot: {
			...shot,
			// it stays in the pot until the pressure may be let out
			demouldS: pressure ? Math.max(shot.demouldS, shot.holdUntilS) : shot.demouldS,
			batches,
			working: [...(fills?.working ?? []), ...alsoWorking(also), ...shot.working, ...together.working],
			warnings: [
				...late,
				...waits,
				...slowSprue(fills, inputs, context.sprue),
				...thickResin(first.slackS, inputs, context),
				...shot.warnings,
				...fillerWarnings(first, shot.holdUntilS / (1 + HOLD_MARGIN), inputs, context),
				...together.warnings,
				...shortCups(typedMl, context.cavityVolumeMl - setInMl, inputs)
			]
		},
		...(also.length > 0 ? { also } : {}),
		...(pressure ? { pot: pressure } : {}),
		roles: steps.map((s) => s.role),
		balance: copyBalance({
			cavityMl: context.cavityVolumeMl,
			castMl: Math.min(castMl, context.cavityVolumeMl - setInMl),
			castG: (Math.min(castMl, context.cavityVolumeMl - setInMl) * first.massG) / first.volumeMl,
			inserts: inputs.inserts ?? []
		})
	};
}

/** Of the pieces that one cup fills the one that is firm last: the whole load goes by it, and it is said. */
function slowestPlace(
	own: Sections,
	also: readonly Also[],
	inputs: Inputs,
	context: ShotContext
): { where: Sections; waits: Warning[] } {
	if (also.length === 0) return { where: own, waits: [] };
	const cure = cureOf(context.resin, context.rateFactor);
	const outS = (where: Sections) => sections(cure, where, inputs).demouldS;
	const mine = outS(own);
	const all = also.map((a) => ({ a, where: alsoSections(a, inputs) }));
	const [last] = all.map((x) => ({ ...x, s: outS(x.where) })).sort((x, y) => y.s - x.s);
	if (!last || last.s <= mine) return { where: own, waits: [] };
	return {
		where: last.where,
		waits: [
			{
				code: 'other-is-later',
				message: `${last.a.name} is firm after ${formatTime(last.s)}, this piece after ${formatTime(mine)}: the times go by the later.`,
				action: 'Take each out when it is firm, or leave them all until then.'
			}
		]
	};
}

/** Styrene burns, and a closed mould has no back. */
function refuseFlame({ flameS }: Inputs, { resin, open }: ShotContext): void {
	if (!(flameS > 0)) return;
	if (chemistryOf(resin.family) === 'polyester')
		throw new InputError(
			['flameS'],
			'No flame over polyester: its styrene burns. Prick the bubbles, or warm the mould.'
		);
	if (!open)
		throw new InputError(['flameS'], 'A flame goes over an open back: not all of these moulds have one.');
}

/** Cups that were typed for themselves and do not fill the moulds. */
function shortCups(typedMl: number | undefined, eachMl: number, inputs: Inputs): Warning[] {
	const neededMl = inputs.copies * (eachMl + inputs.sprueVolumeMl);
	if (typedMl === undefined || typedMl >= neededMl) return [];
	return [
		{
			code: 'cups-short',
			message: `The cups hold ${digits(typedMl)} ml, and the moulds with their sprues take ${digits(neededMl)} ml.`,
			action: 'More in each cup, or leave their amounts empty: then they share the volume of the mould.'
		}
	];
}

/** Of one colour its own cure; of several the one that is lengthened the most: the part waits for it. */
function slowestCup(inputs: Inputs, context: ShotContext): ShotContext {
	const ids = inputs.cups?.length ? inputs.cups.map((c) => c.recipeId) : [inputs.recipeId];
	return ids
		.map((id) => lengthened(context, id))
		.reduce((a, b) => ((b.resin.lengtheningPercent ?? 0) > (a.resin.lengtheningPercent ?? 0) ? b : a));
}

/** The batch with its colours: one recipe for all of it, or a cup for each with a clock of its own. */
function tinted(batch: ShotBatch, inputs: Inputs, context: ShotContext): ShotBatch {
	if (!inputs.cups?.length) {
		const colours = coloursFor(inputs.recipeId ?? '', batch.a.massG + batch.b.massG, context);
		return colours.length ? { ...batch, colours } : batch;
	}
	const cups = colourCups(batch.volumeMl, inputs, context);
	const potLifeS = togetherPotLifeS(cups, cupEveryS(inputs.colourSchool, inputs.mixS));
	const share = potLifeS / batch.potLifeS;
	const band = batch.potLifeBand && {
		...batch.potLifeBand,
		lowS: batch.potLifeBand.lowS * share,
		highS: batch.potLifeBand.highS * share
	};
	const times = budget({
		steps: batch.steps,
		potLifeS,
		marginPercent: context.settings.marginPercent,
		...(band ? { potLifeLowS: band.lowS } : {})
	});
	return {
		...batch,
		cups,
		potLifeS,
		...(band ? { potLifeBand: band } : {}),
		budget: times,
		slackS: times.slackS,
		fits: times.fits
	};
}

/** From here on a resin keeps the air that is stirred into it, mPa·s (common practice, no source). */
const KEEPS_AIR_MPAS = 500;
/** What a vacuum takes of the pot life: up, foam falls, down, s (common practice, no source). */
const VACUUM_S = 180;

/** A thick resin keeps its bubbles and creeps through a sprue: what is done against it, and what that costs. */
function thickResin(slackS: number, inputs: Inputs, context: ShotContext): Warning[] {
	const mpaS = viscosityOf(context.resin, inputs.startTempC);
	if (mpaS < KEEPS_AIR_MPAS || inputs.vacuumS > 0 || inputs.pourWay === 'syringe') return [];
	const left = slackS - VACUUM_S;
	return [
		{
			code: 'thick-resin',
			message: `${digits(mpaS, 0)} mPa·s at ${digits(inputs.startTempC, 0)} °C keeps the air that is stirred in.`,
			action:
				left > 0
					? `A vacuum of about ${formatTime(VACUUM_S)} leaves ${formatTime(left)} of slack: type it under Vacuum. Or a syringe, or warmer parts.`
					: `A vacuum of about ${formatTime(VACUUM_S)} does not fit into its pot life: a syringe, warmer parts, or pressure.`
		}
	];
}
