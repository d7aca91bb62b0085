import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dopri5, type OdeOptions } from './dopri5';
import { findRoot } from './findRoot';

const options = (relTol: number, n = 1): OdeOptions => ({
	relTol,
	absTol: new Array<number>(n).fill(relTol),
	firstStep: 1e-3,
	maxStep: Infinity,
	maxSteps: 100_000
});
const never = () => false;

describe('dopri5 (Dormand & Prince 1980) against closed forms', () => {
	it('decay y′ = −y', () => {
		const end = dopri5((_t, y, out) => (out[0] = -y[0]!), 0, [1], 5, options(1e-9), never);
		expect(end.ended).toBe('reached');
		expect(end.y[0]!).toBeCloseTo(Math.exp(-5), 9);
	});

	it('a circle closes after 2π', () => {
		const f = (_t: number, y: readonly number[], out: number[]) => {
			out[0] = y[1]!;
			out[1] = -y[0]!;
		};
		const end = dopri5(f, 0, [1, 0], 2 * Math.PI, options(1e-10, 2), never);
		expect(end.y[0]!).toBeCloseTo(1, 8);
		expect(end.y[1]!).toBeCloseTo(0, 8);
	});

	it('a right-hand side of time alone is integrated: ∫₀^π sin = 2', () => {
		const end = dopri5((t, _y, out) => (out[0] = Math.sin(t)), 0, [0], Math.PI, options(1e-10), never);
		expect(end.y[0]!).toBeCloseTo(2, 9);
	});

	it('a tighter tolerance is a smaller error', () => {
		const error = (tol: number) =>
			Math.abs(
				dopri5((t, y, out) => (out[0] = y[0]! * Math.cos(t)), 0, [1], 10, options(tol), never).y[0]! -
					Math.exp(Math.sin(10))
			);
		expect(error(1e-9)).toBeLessThan(error(1e-5));
		expect(error(1e-9)).toBeLessThan(1e-7);
	});

	it('dense output is the solution inside the step', () => {
		const worst = { error: 0, steps: 0 };
		dopri5(
			(_t, y, out) => (out[0] = -2 * y[0]!),
			0,
			[1],
			4,
			options(1e-8),
			(step) => {
				worst.steps++;
				for (const share of [0.1, 0.35, 0.5, 0.8]) {
					const t = step.t0 + share * (step.t1 - step.t0);
					worst.error = Math.max(worst.error, Math.abs(step.dense(t, 0) - Math.exp(-2 * t)));
				}
				return false;
			}
		);
		expect(worst.steps).toBeGreaterThan(3);
		expect(worst.error).toBeLessThan(1e-6);
	});

	it('stops where it is told, runs out of steps, and says so', () => {
		const grow = (_t: number, y: readonly number[], out: number[]) => (out[0] = y[0]!);
		expect(dopri5(grow, 0, [1], 10, options(1e-6), (s) => s.y1[0]! > 5).ended).toBe('stopped');
		expect(dopri5(grow, 0, [1], 1e9, { ...options(1e-6), maxSteps: 20 }, never).ended).toBe('too-many-steps');
	});

	it('a right-hand side that is no number ends as a value, not as a hang', () => {
		const end = dopri5((_t, _y, out) => (out[0] = NaN), 0, [1], 1, options(1e-6), never);
		expect(end.ended).toBe('not-finite');
	});
});

describe('findRoot (Illinois)', () => {
	it('does not call a point a root that it has not looked at: x⁹ − 1e-9 on 0…10 has its root at 0.1', () => {
		const r = findRoot((x) => x ** 9 - 1e-9, 0, 10, 1e-9);
		expect(r.converged).toBe(true);
		expect(r.x).toBeCloseTo(0.1, 8);
		// a root that is closed in has a change of sign within the tolerance
		for (const [f, lo, hi] of [
			[(x: number) => x ** 15 - 1e-15, 0, 10],
			[(x: number) => Math.tanh(1e3 * (x - 0.123)), -1, 1],
			[(x: number) => Math.exp(x) - 1e-6, -100, 10]
		] as const) {
			const { x, converged } = findRoot(f, lo, hi, 1e-8);
			expect(converged).toBe(true);
			expect(f(x - 1e-8) * f(x + 1e-8)).toBeLessThanOrEqual(0);
		}
	});
	it('finds the root of any rising cubic inside its bracket', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -50, max: 50, noNaN: true }),
				fc.double({ min: 0.1, max: 9, noNaN: true }),
				(root, slope) => {
					const r = findRoot((x) => (x - root) ** 3 + slope * (x - root), -100, 100, 1e-10, 200);
					expect(r.converged).toBe(true);
					expect(r.x).toBeCloseTo(root, 5);
				}
			)
		);
	});
	it('an end that is a root is taken at once', () => {
		expect(findRoot((x) => x, 0, 1, 1e-9)).toMatchObject({ x: 0, converged: true, evaluations: 2 });
		expect(findRoot((x) => x - 1, 0, 1, 1e-9)).toMatchObject({ x: 1, converged: true });
	});
	it('without a change of sign it says that it has no root', () => {
		expect(findRoot((x) => x * x + 1, -1, 2, 1e-9)).toMatchObject({ converged: false });
	});
	it('and when it runs out of evaluations', () => {
		expect(findRoot((x) => Math.cbrt(x - 0.3), -1, 1, 1e-15, 4).converged).toBe(false);
	});
});
