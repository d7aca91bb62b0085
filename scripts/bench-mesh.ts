// Times of the mesh core on about a million triangles, run by `npm run bench`.
import { writeFileSync } from 'node:fs';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import { bestPositions } from '../src/lib/core/mesh/position';
import { findTraps } from '../src/lib/core/mesh/traps';
import { findUndercuts } from '../src/lib/core/mesh/undercuts';
import { loadMesh, quickMeasureBytes } from '../src/lib/core/mesh';

const row = (what: string, value: string, aim: string) =>
	console.log(`${what.padEnd(46)} ${value.padStart(12)}   aim ${aim}`);
function medianMs(work: () => unknown, times: number): number {
	const all = Array.from({ length: times }, () => {
		const start = performance.now();
		work();
		return performance.now() - start;
	});
	return all.sort((x, y) => x - y)[Math.floor(times / 2)]!;
}

/** A knobbly ball of about a million triangles as a binary STL: many local tops, like a figure. */
function knobbly(): Uint8Array {
	const [rows, columns] = [708, 708];
	const point = (i: number, j: number) => {
		const [a, b] = [(Math.PI * i) / rows, (2 * Math.PI * (j % columns)) / columns];
		const r = 40 + 6 * Math.sin(5 * a) * Math.cos(7 * b) + 3 * Math.sin(11 * a);
		return [r * Math.sin(a) * Math.cos(b), r * Math.sin(a) * Math.sin(b), r * Math.cos(a)];
	};
	const bytes = new Uint8Array(84 + 50 * 2 * rows * columns);
	const view = new DataView(bytes.buffer);
	view.setUint32(80, 2 * rows * columns, true);
	let at = 84;
	for (let i = 0; i < rows; i++)
		for (let j = 0; j < columns; j++) {
			const [p, q, r, s] = [point(i, j), point(i + 1, j), point(i + 1, j + 1), point(i, j + 1)];
			for (const face of [
				[p, q, r],
				[p, r, s]
			]) {
				face.forEach((corner, c) =>
					corner!.forEach((x, k) => view.setFloat32(at + 12 + 12 * c + 4 * k, x, true))
				);
				at += 50;
			}
		}
	return bytes;
}

const bytes = knobbly();
// kept for the browser's turn when a path is given
if (process.argv[2]) writeFileSync(process.argv[2], bytes);
const count = ((bytes.length - 84) / 50 / 1e6).toFixed(2);
const ours = () => quickMeasureBytes(bytes)!;
const loader = new STLLoader();
const theirs = () => {
	const p = loader.parse(bytes.buffer as ArrayBuffer).attributes['position']!.array;
	let six = 0;
	let twice = 0;
	for (let i = 0; i < p.length; i += 9) {
		const [ux, uy, uz] = [p[i + 3]! - p[i]!, p[i + 4]! - p[i + 1]!, p[i + 5]! - p[i + 2]!];
		const [wx, wy, wz] = [p[i + 6]! - p[i]!, p[i + 7]! - p[i + 1]!, p[i + 8]! - p[i + 2]!];
		const [nx, ny, nz] = [uy * wz - uz * wy, uz * wx - ux * wz, ux * wy - uy * wx];
		six += p[i]! * nx + p[i + 1]! * ny + p[i + 2]! * nz;
		twice += Math.hypot(nx, ny, nz);
	}
	return { volume: six / 6, area: twice / 2 };
};
const [a, b] = [ours(), theirs()];
row('volume against the common loader and a loop', `× ${(a.volume / b.volume).toFixed(9)}`, 'equal');
row(
	`${count} M triangles to volume and area, ratio`,
	`× ${(medianMs(ours, 9) / medianMs(theirs, 9)).toFixed(2)}`,
	'below 0.5'
);
row(
	'the same, with holes, shells and a second way',
	`${medianMs(() => loadMesh(bytes, 'x.stl'), 3).toFixed(0)} ms`,
	''
);
const { mesh } = loadMesh(bytes, 'x.stl');
row(
	'air traps of one position',
	`${medianMs(() => findTraps(mesh, [0, 0, 1]), 3).toFixed(0)} ms`,
	'under 2 s'
);
row('undercuts of one pull', `${medianMs(() => findUndercuts(mesh, [0, 0, 1]), 3).toFixed(0)} ms`, '');
row('best position', `${(medianMs(() => bestPositions(mesh), 1) / 1000).toFixed(1)} s`, 'under 20 s');
