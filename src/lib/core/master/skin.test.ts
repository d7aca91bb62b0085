import { beforeAll, describe, expect, it } from 'vitest';
import { DEMO_PIECES } from '../../server/seed/pieces';
import { geometry } from '../mesh/shapes.testing';
import { skinOf } from './skin';
import {
	draftProblems,
	formFromMaster,
	hasDraft,
	masterForm,
	displacedMl,
	masterFromForm,
	masterVolumeMl,
	readingSoFar,
	readVolume,
	type MasterRecord
} from '.';

let lib: Awaited<ReturnType<typeof geometry>>;
beforeAll(async () => void (lib = await geometry()));
const plain: MasterRecord = {
	...DEMO_PIECES[0]!.master,
	shape: undefined,
	footprint: 'rectangular',
	lengthMm: 80,
	widthMm: 60,
	heightMm: 40,
	readings: [{ method: 'typed', volumeMl: 50, remark: '', on: '' }],
	used: 0
};
const solids = (...pieces: { sign: 'add' | 'take'; solid: object }[]) =>
	({ ...plain, readings: [{ method: 'solids', pieces, remark: '', on: '' }] }) as unknown as MasterRecord;

describe('skin of a copy', () => {
	it('by its outer sizes: an open box, the independent library’s box less its foot', () => {
		const box = lib.Manifold.cube([80, 60, 40]);
		expect(skinOf(plain)).toEqual({
			skinAreaMm2: expect.closeTo(box.surfaceArea() - 80 * 60, 6),
			skinFrom: 'sizes',
			radiusMm: 40,
			heightMm: 40
		});
		const round = skinOf({ ...plain, footprint: 'round', lengthMm: 50, widthMm: 9 });
		const tube = lib.Manifold.cylinder(40, 25, 25, 2048);
		expect(round.skinAreaMm2 / (tube.surfaceArea() - Math.PI * 25 ** 2)).toBeCloseTo(1, 5);
		// a round piece has one width
		expect(round.radiusMm).toBe(25);
	});

	it('by the solids that it was measured by, hollows with their own skin', () => {
		const ball = skinOf(solids({ sign: 'add', solid: { shape: 'ball', diameterMm: 40 } }));
		expect(ball.skinFrom).toBe('solids');
		expect(ball.skinAreaMm2 / lib.Manifold.sphere(20, 1024).surfaceArea()).toBeCloseTo(1, 4);
		const hollow = skinOf(
			solids(
				{ sign: 'add', solid: { shape: 'box', lengthMm: 60, widthMm: 40, heightMm: 30 } },
				{ sign: 'take', solid: { shape: 'ball', diameterMm: 20 } }
			)
		);
		const without = skinOf(
			solids({ sign: 'add', solid: { shape: 'box', lengthMm: 60, widthMm: 40, heightMm: 30 } })
		);
		expect(hollow.skinAreaMm2 - without.skinAreaMm2).toBeCloseTo(Math.PI * 400, 6);
	});

	it('by its file where there is one, whatever else was measured', () => {
		const shape = { findings: { skinAreaMm2: 12_345 } } as unknown as MasterRecord['shape'];
		expect(skinOf({ ...plain, shape })).toMatchObject({ skinAreaMm2: 12_345, skinFrom: 'file' });
	});

	it('every piece of the demo has one', () => {
		expect(DEMO_PIECES.length).toBeGreaterThan(5);
		for (const { master } of DEMO_PIECES) {
			const s = skinOf(master);
			expect(s.skinAreaMm2, master.name).toBeGreaterThan(0);
			expect(s.radiusMm).toBeGreaterThan(0);
		}
	});
});

describe('the form of a master', () => {
	const form = formFromMaster(plain);

	it.each([
		['overflow', { overflowMassG: 99.7, waterTempC: 25 }, 100],
		['rise', { beforeMl: 100, afterMl: 180 }, 80],
		['mould-water', { waterMassG: 49.9, waterTempC: 20 }, 50],
		['cast', { castMassG: 108, castDensityGPerMl: 1.08 }, 100],
		['typed', { volumeMl: 33 }, 33],
		['solids', { pieces: [{ sign: 'add', shape: 'box', lengthMm: 10, widthMm: 10, heightMm: 10 }] }, 1]
	] as const)('%s: what is typed becomes a reading beside the others', (method, typed, volumeMl) => {
		const filled = { ...form, method, ...typed, remark: 'by hand' } as unknown as typeof form;
		expect(hasDraft(filled)).toBe(true);
		expect(draftProblems(filled)).toEqual([]);
		expect(readingSoFar(filled)).toMatchObject({ method, remark: 'by hand' });
		const record = masterFromForm(masterForm.parse(filled));
		expect(record.readings).toHaveLength(2);
		expect(record.readings[0]).toEqual(plain.readings[0]);
		expect(record.readings[1]).toMatchObject({ method });
		expect(readVolume(record.readings[1]!).volumeMl).toBeCloseTo(volumeMl, 0);
	});

	it('a reading that is half typed is asked for at its own field, and nothing of the record is lost', () => {
		const half = { ...form, method: 'rise' as const, beforeMl: 100 };
		expect(readingSoFar(half)).toBeUndefined();
		expect(draftProblems(half).map((p) => p.path)).toContainEqual(['afterMl']);
		const result = masterForm.safeParse(half);
		expect(result.error!.issues.map((i) => i.path)).toContainEqual(['afterMl']);
	});

	it('a solid without a size is asked for at that piece', () => {
		const pieces = [{ sign: 'add', shape: 'box', lengthMm: 10, widthMm: 10 }];
		const result = masterForm.safeParse({ ...form, method: 'solids', pieces });
		expect(JSON.stringify(result.error!.issues.map((i) => i.path))).toMatch(/pieces.*0.*heightMm/);
	});

	it('untouched, it keeps what it had; without a reading its volume is not known, and half a reading is asked for', () => {
		expect(hasDraft(form)).toBe(false);
		expect(masterFromForm(masterForm.parse(form)).readings).toEqual(plain.readings);
		const none = masterFromForm(masterForm.parse({ ...form, readings: [] }));
		expect([masterVolumeMl(none), displacedMl(none)]).toEqual([undefined, 0]);
		const half = masterForm.safeParse({ ...form, readings: [], method: 'rise', beforeMl: 200 });
		expect(half.error?.issues[0]?.path).toEqual(['afterMl']);
	});

	it('a 3D file’s volume is never taken from a form', () => {
		const mesh = {
			method: 'mesh' as const,
			sha256: 'a'.repeat(64),
			fileName: 'x.stl',
			unit: 'mm' as const,
			scale: 1,
			parts: [0],
			volumeMl: 80,
			remark: '',
			on: ''
		};
		const before = { readings: [mesh], traps: [] } as unknown as MasterRecord;
		const lied = { ...form, readings: [...plain.readings, { ...mesh, volumeMl: 9999 }] } as typeof form;
		const kept = masterFromForm(lied, before);
		expect(kept.readings.at(-1)).toMatchObject({ method: 'mesh', volumeMl: 80 });
		// and one that the server never made is left out
		expect(masterFromForm(lied).readings).toEqual(plain.readings);
	});
});
