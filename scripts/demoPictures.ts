// Draws the pictures of the demo's invented knob and measures them: npx tsx scripts/demoPictures.ts
// What it writes lies in src/lib/server/seed/knob/ and is kept with the sources.
import { createRequire } from 'node:module';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'fflate';
import { chromium } from '@playwright/test';
import { stlBytes } from '../src/lib/core/photo';
import {
	ball,
	cone,
	picture,
	printed,
	raised,
	sixteen,
	together,
	type Lens
} from '../src/lib/core/photo/rendered.testing';
import { Sitting } from '../src/lib/photo/sitting';
import { vision, type Library } from '../src/lib/photo/vision';

const OUT = join(import.meta.dirname, '..', 'src', 'lib', 'server', 'seed', 'knob');
const LENS: Lens = { w: 1000, h: 750, f: 1250, cx: 504, cy: 372, k1: -0.06, k2: 0.02 };
const BRASS = [176, 132, 62] as const;
/** A stair post's knob: foot, neck and ball. */
const knob = together(
	[cone(25, 22, 9, BRASS), raised(cone(12, 9, 14, BRASS), 9), raised(ball(19, BRASS), 20)],
	0
);

const require = createRequire(import.meta.url);
const { cv } = await vision(() =>
	Promise.resolve({ library: { cv: require('@techstark/opencv-js') as Library } })
);
const pictures = sixteen(430, 26).map((from, i) =>
	picture({ solid: knob, print: printed('medium'), lens: LENS, from, seed: 100 + i })
);
const sitting = new Sitting(cv);
for (const [i, p] of pictures.entries())
	await sitting.add(String(i).padStart(2, '0'), () => Promise.resolve(p));
for (const { id } of sitting.place()) await sitting.outline(id);
const { mesh, ids, volumeMl, lowMl, highMl } = sitting.body({ steps: 56, flatTop: false });
mkdirSync(OUT, { recursive: true });
writeFileSync(join(OUT, 'body.stl.gz'), gzipSync(stlBytes(mesh), { level: 9, mtime: 0 }));
writeFileSync(
	join(OUT, 'found.json'),
	`${JSON.stringify({ pictures: ids.length, lowShare: 1 - lowMl / volumeMl, highShare: highMl / volumeMl - 1 }, null, '\t')}\n`
);
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage();
for (const [i, { width, height, data }] of pictures.entries()) {
	const url = await page.evaluate(
		({ width, height, points }) => {
			const canvas = Object.assign(document.createElement('canvas'), { width, height });
			const bytes = Uint8ClampedArray.from(atob(points), (c) => c.charCodeAt(0));
			canvas.getContext('2d')!.putImageData(new ImageData(bytes, width, height), 0, 0);
			return canvas.toDataURL('image/jpeg', 0.72);
		},
		{ width, height, points: Buffer.from(data).toString('base64') }
	);
	writeFileSync(join(OUT, `${String(i).padStart(2, '0')}.jpg`), Buffer.from(url.split(',')[1]!, 'base64'));
}
await browser.close();
console.log({ volumeMl, lowMl, highMl });
