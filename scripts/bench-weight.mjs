// What a page costs before anybody presses anything: its script as it is sent, and its longest task on a slow processor.
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { root } from './lib/paths.mjs';

/** How much slower than this machine the processor is made. */
const SLOWED = 4;
/** So often each page is opened: the middle one of its longest tasks counts. */
const TIMES = 3;
/** What comes after the page, such as a chart, is waited for as long, ms. */
const LATER_MS = 4000;

/** The pages that are opened most, and what their script may weigh, kB. A pour that is open is found by its clock. */
export const WEIGHED = [
	['bench', '/', 110],
	['shot', '/shots/new', 150],
	['pour', undefined, 120],
	['cure, without charts', '/cure', 130]
];

const openPour = async (url) =>
	(await (await fetch(`${url}/api/clocks`)).json()).clocks.find((c) => c.href.startsWith('/pour/'))?.href;

/** The chart library comes after the page and is not counted. */
const isChart = (bytes) => bytes > 250_000;

/** Opens a page once: sizes of its scripts as sent, bytes, and its longest task until all that comes later is there, ms. */
async function opened(browser, url) {
	// what a service worker hands out is counted unpacked
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
	const session = await page.context().newCDPSession(page);
	await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
	await page.addInitScript(() => {
		globalThis.tasks = [];
		new PerformanceObserver((list) =>
			list.getEntries().forEach((e) => globalThis.tasks.push(e.duration))
		).observe({ type: 'longtask', buffered: true });
	});
	await page.goto(url);
	await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
	await page.waitForTimeout(LATER_MS);
	const found = await page.evaluate(() => ({
		scripts: performance
			.getEntriesByType('resource')
			.filter((e) => /\.js$/.test(e.name) && !e.name.includes('/workers/'))
			.map((e) => e.encodedBodySize),
		longestTaskMs: Math.max(0, ...globalThis.tasks)
	}));
	await page.close();
	return found;
}

/** @returns for each page its script, kB as sent, and the longest task of its start, ms */
export async function weigh(url) {
	const { chromium } = createRequire(join(root, 'package.json'))('playwright-core');
	const browser = await chromium.launch({
		executablePath: '/usr/bin/chromium',
		args: ['--no-sandbox', '--disable-gpu']
	});
	try {
		const found = [];
		for (const [name, path, aimKb] of WEIGHED) {
			const all = [];
			for (let n = 0; n < TIMES; n++) all.push(await opened(browser, url + (path ?? (await openPour(url)))));
			const { scripts } = all[0];
			const longestTaskMs = all.map((o) => o.longestTaskMs).sort((a, b) => a - b)[Math.floor(TIMES / 2)];
			// what a worker runs holds up nothing that is touched
			const kb = scripts.filter((bytes) => !isChart(bytes)).reduce((sum, bytes) => sum + bytes, 0) / 1000;
			found.push({ name, kb, aimKb, longestTaskMs });
		}
		return found;
	} finally {
		await browser.close();
	}
}
