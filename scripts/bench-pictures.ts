// Times of a body from sixteen pictures, run by `npm run bench`; the pictures are drawn first and not counted.
import { createRequire } from 'node:module';
import { cone, picture, printed, sixteen, type Lens } from '../src/lib/core/photo/rendered.testing';
import { Sitting } from '../src/lib/photo/sitting';
import { vision, type Library } from '../src/lib/photo/vision';

const row = (what: string, ms: number, aim: string) =>
	console.log(`${what.padEnd(46)} ${`${(ms / 1000).toFixed(1)} s`.padStart(12)}   aim ${aim}`);
const LENS: Lens = { w: 1200, h: 900, f: 1160, cx: 606, cy: 445, k1: -0.06, k2: 0.02 };

const require = createRequire(import.meta.url);
const { cv } = await vision(() =>
	Promise.resolve({ library: { cv: require('@techstark/opencv-js') as Library } })
);
const solid = cone(26, 18, 60);
const pictures = sixteen(420, 30).map((from, i) =>
	picture({ solid, print: printed('medium'), lens: LENS, from, seed: i + 1 })
);
const sitting = new Sitting(cv);
const start = performance.now();
for (const [i, p] of pictures.entries())
	await sitting.add(String(i).padStart(2, '0'), () => Promise.resolve(p));
const sights = sitting.place();
const placed = performance.now();
for (const { id } of sights) await sitting.outline(id);
const cut = performance.now();
const body = sitting.body({ steps: 112, flatTop: false });
const done = performance.now();
row('16 pictures judged and placed', placed - start, 'none');
row('16 outlines', cut - placed, 'none');
row('body of 16 outlines', done - cut, 'under 3 s with one outline anew');
row('16 pictures to a volume, decoding aside', done - start, 'under 60 s');
console.log(
	`  ${body.volumeMl.toFixed(1)} ml, between ${body.lowMl.toFixed(1)} and ${body.highMl.toFixed(1)}; true ${solid.volumeMl.toFixed(1)}`
);
