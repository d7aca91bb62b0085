import { describe, expect, it } from 'vitest';
import { DEMO_PIECES } from '../../server/seed/pieces';
import { DEMO_RUBBERS } from '../../server/seed/materials';
import { masterVolumeMl } from '../master';
import { rubberRecord } from '../shelf';
import { mouldInputs, planMould } from '.';

const rubber = rubberRecord.parse(DEMO_RUBBERS[0]);
const inputs = (over: object = {}) =>
	mouldInputs.parse({
		label: 'x',
		masterId: 'm',
		rubberId: 'r',
		clearanceMm: 12,
		coverMm: 14,
		lossPercent: 0,
		roomTempC: 23,
		...over
	});

describe.each(DEMO_PIECES.map((p) => [p.master.name, p.master] as const))('%s', (_name, master) => {
	it.each(['one-piece', 'open-face', 'two-part'] as const)(
		'as %s: rubber and master fill the box',
		(kind) => {
			for (const shape of ['box', 'tube'] as const) {
				const plan = planMould(inputs({ kind, shape }), master, { rubber });
				expect(plan.netVolumeMl + masterVolumeMl(master)!).toBeCloseTo(plan.grossVolumeMl, 6);
				expect(plan.a.massG + plan.b.massG).toBeCloseTo(plan.rubber.massG, 6);
				expect(plan.rubber.massG).toBeCloseTo(plan.netVolumeMl * rubber.densityGPerMl, 6);
				expect(plan.others!.map((o) => o.netMl)).toEqual(
					[...plan.others!.map((o) => o.netMl)].sort((a, b) => a - b)
				);
			}
		}
	);

	it('two halves take more rubber and twice the time of one piece, for the second cover', () => {
		const one = planMould(inputs(), master, { rubber });
		const two = planMould(inputs({ kind: 'two-part' }), master, { rubber });
		expect(two.rubber.massG).toBeGreaterThan(one.rubber.massG);
		expect(two.readyInS).toBeCloseTo(2 * one.readyInS, 6);
		expect(two.partingMm).toBeCloseTo(master.heightMm / 2, 9);
		expect(two.first!.massG + two.second!.massG).toBeCloseTo(two.rubber.massG, 9);
		expect(one.first).toBeUndefined();
	});

	it('a line that is higher up makes the first half smaller', () => {
		const at = (share: number) =>
			planMould(inputs({ kind: 'two-part', partingMm: master.heightMm * share }), master, { rubber }).first!
				.massG;
		expect(at(0.8)).toBeLessThan(at(0.5));
		expect(at(0.5)).toBeLessThan(at(0.2));
	});
});

it('inputs of the first kind get what is new by default', () => {
	expect(inputs()).toMatchObject({
		kind: 'one-piece',
		releaseId: '',
		pourResinId: '',
		sprueDiameterMm: 8,
		sprueLengthMm: 20
	});
});

it.each([
	[{ kind: 'three-part' }, 'kind'],
	[{ partingMm: 0 }, 'partingMm'],
	[{ sprueDiameterMm: 0 }, 'sprueDiameterMm'],
	[{ sprueLengthMm: 9000 }, 'sprueLengthMm'],
	[{ clearanceMm: 0 }, 'clearanceMm'],
	[{ lossPercent: 80 }, 'lossPercent'],
	[{ label: '' }, 'label']
])('%j is refused at its field', (over, field) => {
	const result = mouldInputs.safeParse({ ...inputs(), ...over });
	expect(result.error!.issues.map((i) => i.path[0])).toContain(field);
});
