/**
 * Runge–Kutta 5(4) of Dormand & Prince, J. Comput. Appl. Math. 6 (1980) 19, with step control
 * and the continuous extension of Hairer, Nørsett & Wanner, Solving ODEs I, II.6.
 * Systems here have one to three unknowns; plain arrays are quick enough.
 */

/** Right-hand side: writes dy/dt into `out`. */
type Rhs = (t: number, y: readonly number[], out: number[]) => void;

/** Value of the solution anywhere inside the step just taken. */
type Dense = (t: number, component: number) => number;

export interface StepInfo {
	readonly t0: number;
	readonly t1: number;
	readonly y0: readonly number[];
	readonly y1: readonly number[];
	readonly dense: Dense;
}

export interface OdeOptions {
	readonly relTol: number;
	readonly absTol: readonly number[];
	readonly firstStep: number;
	readonly maxStep: number;
	readonly maxSteps: number;
}

/** How the integration ended. Numerical endings are values, not exceptions. */
export interface OdeEnd {
	readonly t: number;
	readonly y: readonly number[];
	readonly steps: number;
	readonly ended: 'stopped' | 'reached' | 'too-many-steps' | 'not-finite';
}

const A = [
	[1 / 5],
	[3 / 40, 9 / 40],
	[44 / 45, -56 / 15, 32 / 9],
	[19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
	[9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
	[35 / 384, 0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84]
] as const;
const C = [1 / 5, 3 / 10, 4 / 5, 8 / 9, 1, 1] as const;
const E = [71 / 57600, 0, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40] as const;
const D = [
	-12715105075 / 11282082432,
	0,
	87487479700 / 32700410799,
	-10690763975 / 1880347072,
	701980252875 / 199316789632,
	-1453857185 / 822651844,
	69997945 / 29380423
] as const;

/**
 * Integrates y' = f(t, y) from t0 until `onStep` returns true, `tEnd` is reached, or steps run out.
 * `onStep` sees every accepted step and may ask its dense output for events inside it.
 */
export function dopri5(
	f: Rhs,
	t0: number,
	start: readonly number[],
	tEnd: number,
	options: OdeOptions,
	onStep: (step: StepInfo) => boolean
): OdeEnd {
	const n = start.length;
	const k: number[][] = Array.from({ length: 7 }, () => new Array<number>(n).fill(0));
	let t = t0;
	let y = [...start];
	let h = Math.min(options.firstStep, options.maxStep, tEnd - t0);
	f(t, y, k[0]!);
	const stage = new Array<number>(n).fill(0);
	for (let steps = 0; steps < options.maxSteps; steps++) {
		if (t >= tEnd) return { t, y, steps, ended: 'reached' };
		h = Math.min(h, options.maxStep, tEnd - t);
		for (let s = 0; s < 6; s++) {
			const row = A[s]!;
			for (let i = 0; i < n; i++) {
				let sum = 0;
				for (let j = 0; j <= s; j++) sum += row[j]! * k[j]![i]!;
				stage[i] = y[i]! + h * sum;
			}
			f(t + C[s]! * h, stage, k[s + 1]!);
		}
		// the sixth stage point is the new value (first same as last)
		let error = 0;
		for (let i = 0; i < n; i++) {
			let e = 0;
			for (let s = 0; s < 7; s++) e += E[s]! * k[s]![i]!;
			const scale = options.absTol[i]! + options.relTol * Math.max(Math.abs(y[i]!), Math.abs(stage[i]!));
			error += ((h * e) / scale) ** 2;
		}
		error = Math.sqrt(error / n);
		if (!Number.isFinite(error)) {
			if (h < 1e-12) return { t, y, steps, ended: 'not-finite' };
			h *= 0.1;
			continue;
		}
		const factor = Math.min(5, Math.max(0.2, 0.9 * error ** -0.2));
		if (error > 1) {
			h *= factor;
			continue;
		}
		const y1 = [...stage];
		const step = { t0: t, t1: t + h, y0: y, y1, dense: denseOutput(t, h, y, y1, k) };
		const stop = onStep(step);
		t += h;
		y = y1;
		if (stop) return { t, y, steps: steps + 1, ended: 'stopped' };
		[k[0], k[6]] = [k[6]!, k[0]!];
		h *= factor;
	}
	return { t, y, steps: options.maxSteps, ended: 'too-many-steps' };
}

/** Fourth-order continuous extension of one step. Only good until the next step overwrites `k`. */
function denseOutput(
	t: number,
	h: number,
	y0: readonly number[],
	y1: readonly number[],
	k: readonly (readonly number[])[]
): Dense {
	return (at, i) => {
		const theta = (at - t) / h;
		const rest = 1 - theta;
		const dy = y1[i]! - y0[i]!;
		const b = h * k[0]![i]! - dy;
		const c = dy - h * k[6]![i]! - b;
		let d = 0;
		for (let s = 0; s < 7; s++) d += D[s]! * k[s]![i]!;
		return y0[i]! + theta * (dy + rest * (b + theta * (c + rest * h * d)));
	};
}
