import { beforeAll, describe, expect, it } from 'vitest';
import { geometry } from '../mesh/shapes.testing';
import { SOLID_SHAPES, solidVolumeMl, type Solid } from '../volume';
import {
	draftProblems,
	formFromMaster,
	masterForm,
	masterFromForm,
	masterRecord,
	masterVolumeMl,
	readVolume,
	spreadOf,
	trapsFromLook,
	volumeReading,
	type VolumeReading
} from '.';
import { undercutAdvice } from './advice';
import { studyFile } from './study';

let lib: Awaited<ReturnType<typeof geometry>>;
beforeAll(async () => void (lib = await geometry()));
const reading = (raw: object) => volumeReading.parse(raw);
const ml = (raw: object) => readVolume(reading(raw)).volumeMl;

describe('volume, every way in use', () => {
	it('water by Kell: 99.821 g at 20 °C are 100 ml, spilled or out of the mould (CRC Handbook)', () => {
		expect(ml({ method: 'overflow', overflowMassG: 99.821, waterTempC: 20 })).toBeCloseTo(100, 2);
		expect(ml({ method: 'mould-water', waterMassG: 99.705, waterTempC: 25 })).toBeCloseTo(100, 2);
	});
	it('rise, weighed cast, and as typed, by hand', () => {
		expect(ml({ method: 'rise', beforeMl: 250, afterMl: 334 })).toBe(84);
		expect(ml({ method: 'cast', castMassG: 105, castDensityGPerMl: 1.05 })).toBeCloseTo(100, 9);
		expect(ml({ method: 'typed', volumeMl: 12.5 })).toBe(12.5);
	});

	it('every plain solid against the independent library', () => {
		const c = 512;
		const bodies: [Solid, number][] = [
			[{ shape: 'box', lengthMm: 30, widthMm: 20, heightMm: 10 }, lib.Manifold.cube([30, 20, 10]).volume()],
			[{ shape: 'tube', diameterMm: 30, heightMm: 40 }, lib.Manifold.cylinder(40, 15, 15, c).volume()],
			[{ shape: 'cone', diameterMm: 30, heightMm: 40 }, lib.Manifold.cylinder(40, 15, 0, c).volume()],
			[
				{ shape: 'frustum', diameterMm: 30, topDiameterMm: 14, heightMm: 40 },
				lib.Manifold.cylinder(40, 15, 7, c).volume()
			],
			[{ shape: 'ball', diameterMm: 40 }, lib.Manifold.sphere(20, c).volume()],
			[{ shape: 'half ball', diameterMm: 40 }, lib.Manifold.sphere(20, c).trimByPlane([0, 0, 1], 0).volume()],
			[
				{ shape: 'wedge', lengthMm: 30, widthMm: 20, heightMm: 10 },
				lib.Manifold.hull([
					[0, 0, 0],
					[30, 0, 0],
					[0, 20, 0],
					[30, 20, 0],
					[0, 0, 10],
					[30, 0, 10]
				]).volume()
			],
			[
				{ shape: 'pyramid', lengthMm: 30, widthMm: 20, heightMm: 10 },
				lib.Manifold.hull([
					[0, 0, 0],
					[30, 0, 0],
					[0, 20, 0],
					[30, 20, 0],
					[11, 7, 10]
				]).volume()
			],
			[
				{ shape: 'torus', diameterMm: 60, ringDiameterMm: 12 },
				lib.Manifold.revolve(lib.CrossSection.circle(6, c).translate([24, 0]), c).volume()
			]
		];
		expect(new Set(bodies.map(([s]) => s.shape)).size).toBe(SOLID_SHAPES.length);
		for (const [solid, mm3] of bodies)
			expect(solidVolumeMl(solid) / (mm3 / 1000), solid.shape).toBeCloseTo(1, 3);
	});

	it('solids are added and taken off; more off than there is, or a ring too thick, is refused', () => {
		const box = { shape: 'box', lengthMm: 50, widthMm: 50, heightMm: 20 };
		const hole = { shape: 'tube', diameterMm: 20, heightMm: 20 };
		expect(
			ml({
				method: 'solids',
				pieces: [
					{ sign: 'add', solid: box },
					{ sign: 'subtract', solid: hole }
				]
			})
		).toBeCloseTo(50 - Math.PI * 2, 9);
		const off = volumeReading.safeParse({ method: 'solids', pieces: [{ sign: 'subtract', solid: box }] });
		expect(off.error!.issues[0]!.path).toEqual(['pieces']);
		const ring = { shape: 'torus', diameterMm: 20, ringDiameterMm: 15 };
		const thick = volumeReading.safeParse({ method: 'solids', pieces: [{ sign: 'add', solid: ring }] });
		expect(thick.error!.issues[0]!.path).toEqual(['pieces', 0, 'solid', 'ringDiameterMm']);
		expect(
			volumeReading.safeParse({ method: 'rise', beforeMl: 300, afterMl: 300 }).error!.issues[0]!.path
		).toEqual(['afterMl']);
	});

	it('readings are compared by half of their range', () => {
		const all = [100, 104, 102].map((volumeMl) => reading({ method: 'typed', volumeMl }));
		expect(spreadOf(all)).toMatchObject({ count: 3, lowMl: 100, highMl: 104, meanMl: 102 });
		expect(spreadOf(all)!.halfShare).toBeCloseTo(2 / 102, 12);
		expect(spreadOf(all.slice(1, 2))).toBeUndefined();
	});
});

describe('a master with its readings', () => {
	const record = masterRecord.parse({
		name: 'Whelk',
		material: 'plaster',
		footprint: 'rectangular',
		lengthMm: 60,
		widthMm: 50,
		heightMm: 40,
		readings: [
			{ method: 'typed', volumeMl: 40 },
			{ method: 'rise', beforeMl: 200, afterMl: 242 }
		],
		used: 1,
		traps: [{ source: 'file', place: 'Pocket 1', volumeMl: 1 }]
	});

	it('goes by the chosen one', () => {
		expect(masterVolumeMl(record)).toBe(42);
		expect(masterRecord.safeParse({ ...record, used: 2 }).error!.issues[0]!.path).toEqual(['used']);
	});

	it('records of the first kind are taken over with their one reading', () => {
		const { readings: _readings, used: _used, ...rest } = record;
		const solid = { shape: 'ball', diameterMm: 40 };
		const old = masterRecord.parse({ ...rest, reading: { method: 'solid', solid } });
		expect(old.readings).toHaveLength(1);
		expect(masterVolumeMl(old)).toBeCloseTo((Math.PI * 64) / 6, 9);
	});

	it('a reading that is typed is added; none typed leaves the list; half typed is said at its field', () => {
		const form = formFromMaster(record);
		expect(masterFromForm(form, record)).toEqual(record);
		const more = masterFromForm({ ...form, overflowMassG: 41, waterTempC: 20 }, record);
		expect(more.readings.map((r) => r.method)).toEqual(['typed', 'rise', 'overflow']);
		expect(more.used).toBe(1);
		const half = masterForm.safeParse({ ...form, method: 'cast', castMassG: 40 });
		expect(half.error!.issues.map((i) => i.path[0])).toContain('castDensityGPerMl');
		expect(draftProblems({ ...form, method: 'typed' }).map((p) => p.path)).toEqual([['volumeMl']]);
	});

	it('what a 3D file measured is never taken from a form', () => {
		const mesh: VolumeReading = {
			method: 'mesh',
			sha256: 'a'.repeat(64),
			fileName: 'x.stl',
			unit: 'mm',
			scale: 1,
			volumeMl: 41,
			on: '',
			remark: ''
		};
		const kept = { ...record, readings: [...record.readings, mesh], used: 2 };
		const forged = { ...formFromMaster(kept), readings: [...record.readings, { ...mesh, volumeMl: 99 }] };
		expect(masterVolumeMl(masterFromForm(forged, kept))).toBe(41);
		expect(() => masterFromForm(forged, record)).toThrow();
	});

	it('places that were looked for stand beside those of the file', () => {
		const traps = trapsFromLook({ places: [{ place: 'left hand', cure: 'brush in' }] }, record.traps);
		expect(traps.map((t) => [t.source, t.place])).toEqual([
			['file', 'Pocket 1'],
			['look', 'left hand']
		]);
		expect(trapsFromLook({ places: [] }, traps)).toEqual(record.traps);
	});
});

it('undercut advice goes from any rubber to the softest with a seam (common practice, no source)', () => {
	expect(undercutAdvice(0.01, 9, 50)).toMatch(/any rubber/);
	expect(undercutAdvice(0.2, 2, 50)).toMatch(/Shallow/);
	expect(undercutAdvice(0.2, 8, 50)).toMatch(/soft rubber.*8 mm/i);
	expect(undercutAdvice(0.4, 20, 50)).toMatch(/still a little flexible/);
});

it('a file is studied with the maker’s choices: volume, pockets, skin without its open face', async () => {
	const { meshOf, stlOf } = await import('../mesh/shapes.testing');
	const mesh = meshOf(
		lib.Manifold.cube([60, 20, 10], true).add(lib.Manifold.cube([8, 8, 30]).translate([15, -4, 0]))
	);
	const choice = {
		sha256: 'b'.repeat(64),
		fileName: 'post.stl',
		unit: 'mm' as const,
		scale: 1,
		up: [0, 0, 1] as [number, number, number],
		openings: [],
		openFaces: []
	};
	const { shape, traps, reading: found } = studyFile(stlOf(mesh), choice, '2026-11-23');
	expect(found).toMatchObject({ method: 'mesh', on: '2026-11-23' });
	expect(readVolume(found).volumeMl).toBeCloseTo(12 + 1.6, 3);
	expect(traps).toEqual([]);
	expect(shape.findings.sizesMm.map(Math.round)).toEqual([60, 20, 35]);
	const opened = studyFile(stlOf(mesh), { ...choice, openFaces: [0] }, '').shape.findings;
	expect(opened.skinAreaMm2).toBeLessThan(shape.findings.skinAreaMm2 - 50);
	const larger = studyFile(stlOf(mesh), { ...choice, scale: 2 }, '').shape.findings;
	expect(larger.volumeMl).toBeCloseTo(8 * shape.findings.volumeMl, 3);
});
