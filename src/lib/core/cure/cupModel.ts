import { dopri5, type OdeEnd, type StepInfo } from '../numeric/dopri5';
import { squareCupDiameterMm } from '../mix/cupLoss';
import { arrhenius, curingRate, type Kinetics } from './kinetics';

/** Heat loss of a standing cup to still air, W/m²·K (from memory: convection and radiation together). */
export const CUP_LOSS_W_PER_M2K = 12;

/** Everything that the lumped cup needs, all numbers settled. */
export interface CupSetup {
	readonly kinetics: Kinetics;
	readonly massG: number;
	readonly densityGPerMl: number;
	readonly specificHeatJPerGK: number;
	readonly startTempC: number;
	readonly roomTempC: number;
	/** Outer surface of the resin in its cup, m². */
	readonly areaM2: number;
	readonly lossWPerM2K: number;
}

/** Surface of resin in a cup as tall as it is wide, both ends counted, m²: 1.5·π·d². */
export function standardCupAreaM2(massG: number, densityGPerMl: number): number {
	const d = squareCupDiameterMm(massG / densityGPerMl) / 1000;
	return 1.5 * Math.PI * d * d;
}

/**
 * Integrates conversion and temperature of a cup from combining until `onStep` says stop.
 * State: [conversion 0…1, temperature °C, inhibitor left 1…0]. While inhibitor is left nothing cures.
 */
export function integrateCup(
	setup: CupSetup,
	tEndS: number,
	onStep: (step: StepInfo) => boolean,
	relTol = 1e-6
): OdeEnd {
	const { kinetics } = setup;
	const coolPerS = (setup.lossWPerM2K * setup.areaM2) / (setup.massG * setup.specificHeatJPerGK);
	const options = {
		relTol,
		absTol: [1e-7, 1e-4, 1e-6],
		firstStep: Math.min(1, 0.01 / kinetics.k23PerS),
		maxStep: Infinity,
		maxSteps: 20_000
	};
	let t = 0;
	let state: readonly number[] = [0, setup.startTempC, 0];
	if (Number.isFinite(kinetics.inductionPerS)) {
		const induction = runInduction(setup, coolPerS, tEndS, options, onStep);
		if (induction.ended !== 'stopped' || induction.y[2]! > 1e-6) return induction;
		t = induction.t;
		state = induction.y;
	}
	return dopri5(
		(_t, y, out) => {
			const rate = curingRate(kinetics, y[0]!, y[1]!);
			out[0] = rate;
			out[1] = kinetics.riseK * rate - coolPerS * (y[1]! - setup.roomTempC);
			out[2] = 0;
		},
		t,
		state,
		tEndS,
		options,
		onStep
	);
}

/** The inhibitor is used up at a rate that only temperature (and the catalyst in it) rules. */
function runInduction(
	setup: CupSetup,
	coolPerS: number,
	tEndS: number,
	options: Parameters<typeof dopri5>[4],
	onStep: (step: StepInfo) => boolean
): OdeEnd {
	const { kinetics } = setup;
	let endS = NaN;
	let endTempC = setup.startTempC;
	const end = dopri5(
		(_t, y, out) => {
			out[0] = 0;
			out[1] = -coolPerS * (y[1]! - setup.roomTempC);
			out[2] = -kinetics.inductionPerS * arrhenius(kinetics.activationJPerMol, y[1]!);
		},
		0,
		[0, setup.startTempC, 1],
		tEndS,
		options,
		(step) => {
			if (step.y1[2]! > 0) return onStep(step);
			endS = crossing(step, 2, 0);
			endTempC = step.dense(endS, 1);
			onStep({ ...step, t1: endS, y1: [0, endTempC, 0] });
			return true;
		}
	);
	return Number.isNaN(endS) ? end : { ...end, t: endS, y: [0, endTempC, 0] };
}

/** What of a resin a cup runs on. */
type CupResin = Pick<CupSetup, 'kinetics' | 'densityGPerMl' | 'specificHeatJPerGK'>;
/** A cup as tall as wide, in a room. */
interface PlainCup {
	massG: number;
	startTempC: number;
	roomTempC: number;
}

const plainSetup = (resin: CupResin, { massG, startTempC, roomTempC }: PlainCup): CupSetup => ({
	kinetics: resin.kinetics,
	densityGPerMl: resin.densityGPerMl,
	specificHeatJPerGK: resin.specificHeatJPerGK,
	massG,
	startTempC,
	roomTempC,
	areaM2: standardCupAreaM2(massG, resin.densityGPerMl),
	lossWPerM2K: CUP_LOSS_W_PER_M2K
});

function reachesS(resin: CupResin, cup: PlainCup, conversion: number, horizonS: number): number {
	let atS = Infinity;
	integrateCup(plainSetup(resin, cup), horizonS, (step) => {
		if (step.y1[0]! < conversion) return false;
		atS = crossing(step, 0, conversion);
		return true;
	});
	return atS;
}

const HORIZON_S = 60 * 86_400;

/** When a cup of this resin gels, s after combining; Infinity when it does not within the horizon. */
export const cupGelS = (
	resin: CupResin & { gelConversion: number },
	cup: PlainCup,
	horizonS = HORIZON_S
): number => reachesS(resin, cup, resin.gelConversion, horizonS);

/** When it is too thick to pour, s after combining; Infinity when it is not within the horizon. */
export const cupPotLifeS = (
	resin: CupResin & { potLifeConversion: number },
	cup: PlainCup,
	horizonS = HORIZON_S
): number => reachesS(resin, cup, resin.potLifeConversion, horizonS);

/** How hot it gets, °C. */
export function cupPeakC(resin: CupResin, cup: PlainCup, horizonS = HORIZON_S): number {
	let peakC = cup.startTempC;
	integrateCup(plainSetup(resin, cup), horizonS, (step) => {
		for (let q = 1; q <= 4; q++)
			peakC = Math.max(peakC, step.dense(step.t0 + ((step.t1 - step.t0) * q) / 4, 1));
		// past its peak and half way back
		return step.y1[0]! > 0.02 && step.y1[1]! - cup.roomTempC < 0.5 * (peakC - cup.roomTempC);
	});
	return peakC;
}

/** When a component passes a level inside a step: bisection on the dense output. */
export function crossing(step: StepInfo, component: number, level: number): number {
	let lo = step.t0;
	let hi = step.t1;
	const rising = step.y1[component]! > step.y0[component]!;
	for (let i = 0; i < 48; i++) {
		const mid = (lo + hi) / 2;
		if (step.dense(mid, component) >= level === rising) hi = mid;
		else lo = mid;
	}
	return (lo + hi) / 2;
}
