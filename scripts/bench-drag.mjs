// How the cure screen feels while a slider is dragged: lag of the answer, longest task of the main thread.
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { root } from './lib/paths.mjs';

const FLAGS = [
	'--no-sandbox',
	'--disable-gpu',
	'--no-first-run',
	'--disable-background-networking',
	'--disable-sync'
];

/** Drags the mass for three seconds at sixty moves a second; returns medians and the worst task, ms. */
export async function drag(url) {
	const { chromium } = createRequire(join(root, 'package.json'))('playwright-core');
	const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: FLAGS });
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${url}/cure`, { waitUntil: 'networkidle' });
		await page.locator('.js-plotly-plot').nth(1).waitFor();
		return await page.evaluate(async () => {
			const tasks = [];
			new PerformanceObserver((list) => list.getEntries().forEach((e) => tasks.push(e))).observe({
				type: 'longtask'
			});
			const slider = document.querySelector('[aria-label="In the cup, by dragging"]');
			const plot = document.querySelector('.js-plotly-plot');
			const lags = [];
			let asked = 0;
			plot.addEventListener('drawn', () => {
				if (asked) lags.push(performance.now() - asked);
				asked = 0;
			});
			const lo = Number(slider.min);
			const hi = Number(slider.max);
			for (let i = 0; i < 180; i++) {
				slider.value = String(lo + (hi - lo) * (0.3 + 0.3 * Math.sin(i / 15)));
				asked ||= performance.now();
				slider.dispatchEvent(new Event('input', { bubbles: true }));
				await new Promise((done) => setTimeout(done, 16));
			}
			const letGoMs = performance.now();
			await new Promise((done) => setTimeout(done, 900));
			const longest = (some) => Math.max(0, ...some.map((e) => e.duration));
			lags.sort((a, b) => a - b);
			return {
				lagMs: lags[Math.floor(lags.length / 2)] ?? NaN,
				lag95Ms: lags[Math.floor(lags.length * 0.95)] ?? NaN,
				answers: lags.length,
				longestTaskMs: longest(tasks.filter((e) => e.startTime < letGoMs)),
				// once it stands still the charts are drawn anew on axes that fit
				restTaskMs: longest(tasks.filter((e) => e.startTime >= letGoMs))
			};
		});
	} finally {
		await browser.close();
	}
}

/** Drags a bar of the board to and fro for three seconds; how many bars there are, and what a frame takes, ms. */
export async function dragBoard(url) {
	const { chromium } = createRequire(join(root, 'package.json'))('playwright-core');
	const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: FLAGS });
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${url}/orders/board`, { waitUntil: 'networkidle' });
		const bar = page.locator('.bar.movable').first();
		await bar.evaluate((element) => element.scrollIntoView({ block: 'nearest', inline: 'center' }));
		return await bar.evaluate(async (element) => {
			const frame = () => new Promise((done) => requestAnimationFrame(done));
			const at = (type, x) =>
				element.dispatchEvent(
					new PointerEvent(type, { clientX: x, clientY: 1, button: 0, pointerId: 1, bubbles: true })
				);
			// nothing holds a pointer that no hand moves
			element.setPointerCapture = () => {};
			at('pointerdown', 0);
			await frame();
			const frames = [];
			for (let i = 0; i < 180; i++) {
				const from = performance.now();
				at('pointermove', 90 * Math.sin(i / 12));
				await frame();
				frames.push(performance.now() - from);
			}
			at('pointercancel', 0);
			frames.sort((a, b) => a - b);
			return {
				bars: document.querySelectorAll('.bar').length,
				frameMs: frames[Math.floor(frames.length / 2)],
				frame95Ms: frames[Math.floor(frames.length * 0.95)]
			};
		});
	} finally {
		await browser.close();
	}
}

/** Reads a file of about a million triangles in the browser; the longest task of the main thread meanwhile, ms. */
export async function largeFile(url, path) {
	const { chromium } = createRequire(join(root, 'package.json'))('playwright-core');
	const browser = await chromium.launch({
		executablePath: '/usr/bin/chromium',
		args: [
			...FLAGS.filter((f) => f !== '--disable-gpu'),
			'--use-angle=swiftshader',
			'--enable-unsafe-swiftshader'
		]
	});
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${url}/masters/from-file`, { waitUntil: 'networkidle' });
		await page.evaluate(() => {
			globalThis.tasks = [];
			new PerformanceObserver((list) =>
				list.getEntries().forEach((e) => globalThis.tasks.push(e.duration))
			).observe({
				type: 'longtask'
			});
		});
		const start = Date.now();
		await page.locator('input[type=file]').first().setInputFiles(path);
		await page.locator('aside .answer').first().waitFor({ timeout: 60_000 });
		const shownS = (Date.now() - start) / 1000;
		await page.getByText(/Air stays in|No air stays/).waitFor({ timeout: 60_000 });
		const studiedS = (Date.now() - start) / 1000;
		await page.waitForTimeout(1500);
		return { shownS, studiedS, longestTaskMs: await page.evaluate(() => Math.max(0, ...globalThis.tasks)) };
	} finally {
		await browser.close();
	}
}
