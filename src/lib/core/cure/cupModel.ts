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

/**
 * When a cup of this resin gels, s after combining; Infinity when it does not within the horizon.
 * @param massG of resin in a cup as tall as wide
 */
export function cupGelS(
	model: Omit<CupSetup, 'massG' | 'startTempC' | 'roomTempC' | 'areaM2' | 'lossWPerM2K'> & {
		gelConversion: number;
	},
	{ massG, startTempC, roomTempC }: { massG: number; startTempC: number; roomTempC: number },
	horizonS = 60 * 86_400
): number {
	const { kinetics, densityGPerMl, specificHeatJPerGK, gelConversion } = model;
	const areaM2 = standardCupAreaM2(massG, densityGPerMl);
	const lossWPerM2K = CUP_LOSS_W_PER_M2K;
	let gelS = Infinity;
	integrateCup(
		{ kinetics, massG, densityGPerMl, specificHeatJPerGK, startTempC, roomTempC, areaM2, lossWPerM2K },
		horizonS,
		(step) => {
			if (step.y1[0]! < gelConversion) return false;
			gelS = crossing(step, 0, gelConversion);
			return true;
		}
	);
	return gelS;
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
