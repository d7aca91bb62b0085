import { describe, expect, it } from 'vitest';
import { mouldOf, recordsOfCube, shotOfCube } from '../examples.testing';
import { composePlan, otherPiece, pourPlan } from '../plan';
import { benchSteps } from '../bench';
import { cube } from '../examples.testing';
import { InputError } from '../working';
import type { OtherPiece } from './otherPiece';
import { context, inputs } from './kinds/shots.testing';
import { planShot } from './planShot';

const ring: OtherPiece = {
	mouldId: 'ring',
	name: 'M14 Ring',
	masterName: 'Ring',
	volumeMl: 9,
	sprueMl: 1,
	cavities: 2,
	outsideMl: 40,
	mouldWallMm: 8,
	thinnestMm: 4
};
const typed = (over: object = {}) => inputs({ kind: 'solid', lossBy: 'percent', lossPercent: 0, ...over });
const plan = (over: object, others: OtherPiece[] = [ring]) =>
	planShot(typed(over), { ...context, others }, false);
const mlOf = (over: object) => plan(over).shot.batches[0]!.volumeMl;

describe('one cup for several pieces', () => {
	it('by hand: two rings of 9 ml with 1 ml of sprue each are 20 ml more in the cup, and in A and B by their ratio', () => {
		const alone = plan({}).shot.batches[0]!;
		const both = plan({ also: [{ mouldId: 'ring', copies: 2 }] }).shot.batches[0]!;
		expect(both.volumeMl - alone.volumeMl).toBeCloseTo(20, 9);
		expect(both.alsoMl).toBe(20);
		expect(both.a.massG / both.b.massG).toBeCloseTo(alone.a.massG / alone.b.massG, 9);
		// a larger cup goes off sooner, and there is more to pour
		expect(both.potLifeS).toBeLessThan(alone.potLifeS);
		expect(both.steps.find((s) => /^Pour/.test(s.name))!.name).toMatch(/×3$/);
	});
	it('every cup fills them again, and the working adds up', () => {
		const two = plan({ copies: 2, mouldIds: ['m1'], also: [{ mouldId: 'ring', copies: 1 }] });
		expect(two.shot.batches).toHaveLength(2);
		expect(two.shot.volumeMl).toBeCloseTo(2 * mlOf({ also: [{ mouldId: 'ring', copies: 1 }] }), 9);
		expect(two.shot.working.find((w) => /M14 Ring/.test(w.what))!.result).toMatch(/^10.ml/);
	});
	it('goes by the piece that is firm last, and says so', () => {
		const plate: OtherPiece = { ...ring, mouldId: 'foil', name: 'M20 Foil', thinnestMm: 0.8 };
		const own = plan({ sectionMm: 6 });
		const slow = plan({ sectionMm: 6, also: [{ mouldId: 'foil', copies: 1 }] }, [plate]);
		expect(slow.shot.demouldS).toBeGreaterThan(own.shot.demouldS);
		expect(slow.shot.warnings.map((w) => w.code)).toContain('other-is-later');
		const quick = plan({ sectionMm: 2, also: [{ mouldId: 'ring', copies: 1 }] });
		expect(quick.shot.warnings.map((w) => w.code)).not.toContain('other-is-later');
	});
	it.each([
		['one that stands ready no more', [{ mouldId: 'gone', copies: 1 }], /choose another/],
		[
			'one twice',
			[
				{ mouldId: 'ring', copies: 1 },
				{ mouldId: 'ring', copies: 1 }
			],
			/there twice/
		],
		['more than it holds', [{ mouldId: 'ring', copies: 3 }], /holds 2 at once/]
	])('refuses %s at its line', (_, also, words) => {
		let said: unknown;
		try {
			plan({ also });
		} catch (error) {
			said = error;
		}
		expect(said).toBeInstanceOf(InputError);
		expect((said as InputError).path[0]).toBe('also');
		expect((said as InputError).message).toMatch(words);
	});
	it('layers and colours together fill the piece that they are measured for alone', () => {
		const layered = planShot(
			inputs({ kind: 'rotocast', also: [{ mouldId: 'ring', copies: 1 }] }),
			{ ...context, others: [ring] },
			false
		);
		expect(layered.also).toBeUndefined();
	});
	it('the plan for the bench names each mould with what is cast in it, and looks over, closes and grades all of them', () => {
		const made = { id: 'r', number: 14, label: 'Ring', ...mouldOf('one-piece') };
		const other = otherPiece(made, { record: { ...cube, name: 'Ring' }, volumeMl: 9 });
		const asked = { ...shotOfCube.inputs, also: [{ mouldId: 'r', copies: 1 }] };
		const planned = planShot(asked, { ...context, others: [other] }, false);
		const pour = composePlan({ ...shotOfCube, inputs: asked, planned }, 0, {
			...recordsOfCube,
			others: [made]
		});
		expect(pourPlan.safeParse(pour).success).toBe(true);
		expect(pour.moulds.map((m) => [m.number, m.masterName])).toEqual([
			[recordsOfCube.moulds[0]!.number, undefined],
			[14, 'Ring']
		]);
		expect(pour.closing).toHaveLength(2);
		expect(benchSteps(pour).find((s) => s.id === 'look')!.detail).toMatch(/M14/);
	});
});
