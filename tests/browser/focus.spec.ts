import { expect, test, type Page } from '@playwright/test';
import { PNG } from 'pngjs';

/** Relative luminance of an sRGB colour (WCAG 2.2, "relative luminance"). */
function luminance(rgb: readonly number[]): number {
	const [r, g, b] = rgb.map((v) => {
		const s = v / 255;
		return s <= 0.04045 ? s / 12.92 : ((s + 0.055) / 1.055) ** 2.4;
	});
	return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}
/** Contrast ratio of two colours, 1 to 21 (WCAG 2.2, "contrast ratio"). */
function contrast(a: readonly number[], b: readonly number[]): number {
	const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y);
	return (high! + 0.05) / (low! + 0.05);
}

/** What room round a control is looked at, px. */
const ROUND_PX = 8;

async function pictureOf(page: Page, box: { x: number; y: number; width: number; height: number }) {
	const [x, y] = [Math.max(0, box.x - ROUND_PX), Math.max(0, box.y - ROUND_PX)];
	const clip = {
		x,
		y,
		width: Math.min(1280 - x, box.width + 2 * ROUND_PX),
		height: Math.min(800 - y, box.height + 2 * ROUND_PX)
	};
	return PNG.sync.read(await page.screenshot({ clip, animations: 'disabled', caret: 'hide' }));
}

/** Pixels that the focus changes to three times their contrast and more. */
function pixelsTold(before: PNG, after: PNG): number {
	let told = 0;
	for (let i = 0; i < before.data.length; i += 2) {
		const [a, b] = [before, after].map((p) => [...p.data.subarray(i, i + 3)]);
		if (a!.some((v, k) => v !== b![k]) && contrast(a!, b!) >= 3) told++;
	}
	return told;
}

// WCAG 2.2, 2.4.13 Focus appearance: as large as a 2 px line round the control, 3:1 between with and without
for (const scheme of ['light', 'dark'] as const)
	test(`in ${scheme} the ring of the focus is told from what is there without it, in the picture itself`, async ({
		browser
	}) => {
		const context = await browser.newContext({
			viewport: { width: 1280, height: 800 },
			colorScheme: scheme
		});
		const page = await context.newPage();
		const weak: string[] = [];
		let seen = 0;
		for (const path of ['/settings', '/quick', '/moulds', '/ledger']) {
			await page.goto(path);
			await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
			const controls = page.locator(
				'main :is(button, a.plain, input:not(.sr-only):not([type=hidden]), select, textarea, summary)'
			);
			const count = Math.min(await controls.count(), 60);
			for (let i = 0; i < count && seen < 400; i += 2) {
				const control = controls.nth(i);
				if (!(await control.isVisible()) || !(await control.isEnabled())) continue;
				await control.scrollIntoViewIfNeeded();
				const box = await control.boundingBox();
				if (!box || box.y < ROUND_PX || box.y + box.height > 800 - ROUND_PX || box.width > 1200) continue;
				await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
				const before = await pictureOf(page, box);
				// a key was pressed last, so that the focus is one that is seen
				await page.keyboard.press('Shift');
				await control.focus();
				const after = await pictureOf(page, box);
				seen++;
				const wanted = 2 * 2 * (box.width + box.height) * 0.9;
				const told = pixelsTold(before, after);
				if (told < wanted)
					weak.push(
						`${path} ${await control.evaluate((e) => `${e.tagName} ${e.textContent?.trim().slice(0, 30)}`)}: ${told} px of ${Math.round(wanted)}`
					);
			}
		}
		expect(seen).toBeGreaterThan(25);
		expect(weak).toEqual([]);
		await context.close();
	});
