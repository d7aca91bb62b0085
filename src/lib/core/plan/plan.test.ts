import { describe, expect, it } from 'vitest';
import {
	pourMeetings,
	releaseThing,
	resinThing,
	RIGID_THINGS,
	rigidThing,
	rubberThing
} from '../compatibility';
import { planDifferences } from '.';
import { lessonPlan } from '../practice/lesson';
import { WORKSHOP_DEFAULTS } from '../workshop';

const flexible = resinThing('r', { name: 'Fender', family: 'flexible urethane' });
const fast = resinThing('f', { name: 'White', family: 'fast urethane' });
const wax = releaseThing('w', { name: 'Wax', kind: 'wax', paintable: 'as its kind' });
const levels = (resin: typeof flexible, source: 'printed' | 'bought' | 'cast resin', release?: typeof wax) =>
	pourMeetings({ resin, moulds: [rigidThing(source)], release }).map(
		(w) => `${w.code} ${w.severity ?? 'care'}`
	);

describe('what touches in a pour (handbook of the trade: common practice, no source)', () => {
	it('a flexible urethane in a bare printed mould harms; with a release it is a care', () => {
		expect(levels(flexible, 'printed')).toContain('sticks harm');
		expect(levels(flexible, 'printed', wax)).toContain('sticks care');
		expect(levels(fast, 'printed')).toContain('sticks harm');
	});
	it('bought polyethylene lets go, silicone lets go', () => {
		expect(levels(flexible, 'bought')).toEqual([]);
		const rubber = rubberThing('s', { name: 'Blue', cureKind: 'addition', use: 'pour' });
		const said = pourMeetings({ resin: flexible, moulds: [rubber] });
		expect(said.filter((w) => w.severity === 'harm')).toEqual([]);
	});
	it('what was found "never again" here harms whatever the rules say', () => {
		const [bought] = RIGID_THINGS;
		const own = { first: flexible.key, second: bought!.key, verdict: 'never again' as const, note: 'tore' };
		const said = pourMeetings({ resin: flexible, moulds: [bought!], release: wax }, [own]);
		expect(said.map((w) => w.severity)).toContain('harm');
	});
});

describe('a kept plan against one by today’s records', () => {
	const plan = lessonPlan(WORKSHOP_DEFAULTS);
	it('under a percent it holds; over it, both figures are said', () => {
		const a = { ...plan.a, massG: plan.a.massG * 1.009 };
		expect(planDifferences(plan, { ...plan, a })).toEqual([]);
		const moved = planDifferences(plan, {
			...plan,
			a: { ...plan.a, massG: plan.a.massG * 2 },
			potLifeS: plan.potLifeS / 2
		});
		expect(moved.map((d) => d.what)).toEqual(['A', 'pot life']);
		expect(moved[0]!.kept).not.toBe(moved[0]!.now);
	});
	it('each cup and each layer for itself, and how many there are', () => {
		const cup = { ...plan, name: 'x', startTempC: 21, colours: [] };
		const two = { ...plan, cups: [cup, cup] };
		const other = { ...plan, cups: [cup, { ...cup, b: { ...cup.b, massG: cup.b.massG * 1.2 } }] };
		expect(planDifferences(two, other).map((d) => d.what)).toEqual(['cup 2, B']);
		expect(planDifferences(two, { ...plan, cups: [cup] }).map((d) => d.what)).toEqual(['cups']);
	});
	it('a pressure or a catalyst that came or went is one, too', () => {
		const pot = { name: 'Pot', targetGaugeKpa: 275, ratedGaugeKpa: 400, bubbleDiameterRatio: 0.65 };
		const catalyst = { massG: 2, volumeMl: 1.8, drops: 36 };
		const now = { ...plan, pot: { ...pot, targetGaugeKpa: 200 }, catalyst };
		expect(planDifferences({ ...plan, pot }, now).map((d) => d.what)).toEqual(['catalyst', 'pot pressure']);
	});
});
