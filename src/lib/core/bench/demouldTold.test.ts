import { expect, it } from 'vitest';
import type { PourPlan } from '../plan/pourPlan';
import { demouldTold } from './demouldTold';
import type { PourState } from './reduce';

const plan = {
	cure: { potLifeS: 150, demouldS: 900, character: 'quick' },
	holdUntilS: 375,
	demouldS: 900
} as PourPlan;
const told = (seen: PourState['seen'], demouldedAtMs?: number) =>
	demouldTold(plan, {
		combinedAtMs: 1e12,
		pouredAtMs: 1e12 + 60_000,
		...(demouldedAtMs === undefined ? {} : { demouldedAtMs }),
		seen,
		temps: []
	} as unknown as PourState).map(({ what, atS }) => [what, atS]);

it('what was tried in the mould counts at its time; of a cast that is out the last word, at the moment it came out', () => {
	const tried = { what: 'demould-soft', timeS: 560 } as const;
	expect(told([tried])).toEqual([['soft', 500]]);
	const out = 1e12 + 960_000;
	const slip = { what: 'demould-locked', timeS: 970 } as const;
	const meant = { what: 'demould-right', timeS: 975 } as const;
	expect(told([tried, slip, meant], out)).toEqual([
		['soft', 500],
		['right', 900]
	]);
	expect(told([{ what: 'strings', timeS: 170 }], out)).toEqual([]);
});
