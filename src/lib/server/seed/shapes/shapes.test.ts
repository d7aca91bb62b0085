import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { DEMO_PIECES } from '../pieces';
import { BODIES, type P } from './bodies';
import { pictureOf } from './picture';
import { facesOf, shardFaces, stl, type Face } from './surfaceNets';

const facesFor = ({ name, lengthMm, heightMm }: (typeof DEMO_PIECES)[number]['master']) =>
	BODIES[name] ? facesOf(BODIES[name]) : shardFaces(lengthMm, heightMm);
const key = (p: P) => p.map((x) => x.toFixed(5)).join(',');
/** Edges that are not walked once each way: none in a closed body (a corollary of Euler's polyhedra). */
function openEdges(faces: readonly Face[]): number {
	const walked = new Map<string, number>();
	for (const face of faces)
		face.forEach((p, i) => {
			const [a, b] = [key(p), key(face[(i + 1) % 3]!)];
			const [name, way] = a < b ? [`${a} ${b}`, 1] : [`${b} ${a}`, -1];
			walked.set(name, (walked.get(name) ?? 0) + way);
		});
	return [...walked.values()].filter((n) => n !== 0).length;
}
/** Sum of signed tetrahedra (Gauss), ml. */
const volumeMl = (faces: readonly Face[]) =>
	faces.reduce(
		(sum, [a, b, c]) =>
			sum +
			(a[0] * (b[1] * c[2] - b[2] * c[1]) +
				a[1] * (b[2] * c[0] - b[0] * c[2]) +
				a[2] * (b[0] * c[1] - b[1] * c[0])) /
				6000,
		0
	);

describe.each(DEMO_PIECES.map((p) => [p.master.name, p.master] as const))('%s', (_name, master) => {
	const faces = facesFor(master);
	it('is closed, right side out, and about as large as its master', () => {
		expect(openEdges(faces)).toBe(0);
		const ml = volumeMl(faces);
		expect(ml).toBeGreaterThan(0);
		const points = faces.flat();
		const span = [0, 1, 2].map((k) => {
			const at = points.map((p) => p[k]!);
			return at.reduce((a, b) => Math.max(a, b)) - at.reduce((a, b) => Math.min(a, b));
		});
		expect(span[2]! / master.heightMm).toBeGreaterThan(0.85);
		expect(span[2]! / master.heightMm).toBeLessThan(1.15);
		expect(span[0]! * span[1]! * span[2]!).toBeLessThan(
			1.6 * master.lengthMm * master.widthMm * master.heightMm
		);
	});
	it('has a picture that shows it on its paper', () => {
		const png = PNG.sync.read(pictureOf(faces, [200, 100, 50]));
		const paper = [...png.data.subarray(0, 3)];
		let covered = 0;
		for (let i = 0; i < png.width * png.height; i++)
			if (png.data[4 * i] !== paper[0] || png.data[4 * i + 1] !== paper[1]) covered++;
		expect(covered / (png.width * png.height)).toBeGreaterThan(0.05);
		expect(covered / (png.width * png.height)).toBeLessThan(0.8);
	});
});

it('the shard is the least of them: a pyramid of ten triangles, ⅓ of its foot by its height (Euclid XII.7)', () => {
	const faces = shardFaces(44, 118);
	expect(faces).toHaveLength(10);
	const footMm2 = (3 * Math.sqrt(3) * 22 ** 2) / 2;
	expect(volumeMl(faces)).toBeCloseTo((footMm2 * 118) / 3000, 6);
	expect(stl(faces)).toHaveLength(84 + 10 * 50);
});
