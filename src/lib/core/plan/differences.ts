import type { PourPlan } from './pourPlan';
import { formatQuantity, formatTime, type UnitSystem } from '../units';

/** Under this share a figure counts as the same. */
const SAME = 0.01;

/** One figure that is otherwise by today's records than it was kept. */
export interface Difference {
	/** What it is, such as `A` or `pot life`. */
	what: string;
	/** As it was kept, and as it is now, in words. */
	kept: string;
	now: string;
}

/**
 * What of the plan of a pour is otherwise by today's records: what is weighed, pot life, hold and demould, by
 * over one
 * percent. Nothing when it holds.
 * @example
 * planDifferences(planOf(), planOf({ potLifeS: 100 })).map((d) => d.what); // ['pot life']
 */
export function planDifferences(kept: PourPlan, now: PourPlan, units: UnitSystem = 'metric'): Difference[] {
	const found: Difference[] = [];
	const compare = (
		what: string,
		a: number | undefined,
		b: number | undefined,
		show: (v: number) => string
	) => {
		if (a === undefined && b === undefined) return;
		const larger = Math.max(Math.abs(a ?? 0), Math.abs(b ?? 0));
		if (a !== undefined && b !== undefined && Math.abs(a - b) <= SAME * larger) return;
		found.push({ what, kept: a === undefined ? 'none' : show(a), now: b === undefined ? 'none' : show(b) });
	};
	const mass = (v: number) => formatQuantity(v, 'mass', units);
	const cups = (plan: PourPlan) => plan.layers ?? plan.cups ?? [plan];
	const [before, after] = [cups(kept), cups(now)];
	if (before.length !== after.length)
		found.push({ what: 'cups', kept: `${before.length}`, now: `${after.length}` });
	else
		before.forEach((cup, i) => {
			const of = before.length > 1 ? `cup ${i + 1}, ` : '';
			const other = after[i]!;
			compare(`${of}A`, cup.a.massG, other.a.massG, mass);
			if (cup.b.massG > 0 || other.b.massG > 0) compare(`${of}B`, cup.b.massG, other.b.massG, mass);
			compare(`${of}catalyst`, cup.catalyst?.massG, other.catalyst?.massG, mass);
			compare(`${of}pot life`, cup.potLifeS, other.potLifeS, formatTime);
		});
	if (kept.pot || now.pot) compare('hold', kept.holdUntilS, now.holdUntilS, formatTime);
	compare('pot pressure', kept.pot?.targetGaugeKpa, now.pot?.targetGaugeKpa, (v) =>
		formatQuantity(v, 'pressure', units)
	);
	compare('demould', kept.demouldS, now.demouldS, formatTime);
	return found;
}
