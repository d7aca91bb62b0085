import { expect, test, type Locator, type Page } from '@playwright/test';

/** The causes' chart, at a window of this size that is awake. */
async function causes(page: Page, width: number, height: number): Promise<Locator> {
	await page.setViewportSize({ width, height });
	await page.goto('/ledger/faults');
	await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
	return page.getByRole('img', { name: 'How often each fault was seen, by its confirmed cause' });
}

test('a chart under the edge of the window is drawn once it is scrolled to, and stays where it is', async ({
	page
}) => {
	const chart = await causes(page, 1280, 420);
	await expect(chart).toBeAttached();
	const room = (await chart.boundingBox())!;
	expect(room.y).toBeGreaterThan(420 + 240);
	// the library is here, and nothing is drawn with it
	await page.waitForLoadState('networkidle');
	await expect(chart.locator('svg')).toHaveCount(0);
	await chart.scrollIntoViewIfNeeded();
	await expect(chart.locator('.legend .traces').first()).toBeVisible();
	await expect(chart.locator('.barlayer .point path').first()).toBeVisible();
	const drawn = (await chart.boundingBox())!;
	expect([drawn.width, drawn.height]).toEqual([room.width, room.height]);
	// every name has its room: none begins left of the picture
	const box = (await chart.boundingBox())!;
	for (const name of await chart.locator('.ytick').all())
		expect((await name.boundingBox())!.x).toBeGreaterThanOrEqual(box.x - 1);
});

test('paper has a chart that was never in sight', async ({ page }) => {
	const chart = await causes(page, 1280, 420);
	await expect(chart.locator('svg')).toHaveCount(0);
	await page.emulateMedia({ media: 'print' });
	await expect
		.poll(async () => {
			await page.evaluate(() => dispatchEvent(new Event('beforeprint')));
			return chart.locator('.barlayer .point path').count();
		})
		.toBeGreaterThan(0);
	await page.evaluate(() => dispatchEvent(new Event('afterprint')));
});

test('on a telephone the names of a chart stand under it, one beside another only where there is room', async ({
	page
}) => {
	const chart = await causes(page, 390, 844);
	await chart.scrollIntoViewIfNeeded();
	await expect(chart.locator('.legend .traces').first()).toBeVisible();
	// drawn in steps: the names come with the last
	const box = async (part: string) => (await chart.locator(part).first().boundingBox())!;
	await expect
		.poll(async () => {
			const [names, title] = [await box('.legend'), await box('.xtitle')];
			return names.y - (title.y + title.height);
		})
		.toBeGreaterThanOrEqual(0);
	const [whole, names] = [(await chart.boundingBox())!, await box('.legend')];
	expect(names.y + names.height).toBeLessThanOrEqual(whole.y + whole.height + 1);
	const texts = await chart.locator('.legendtext').all();
	const places = await Promise.all(texts.map(async (t) => (await t.boundingBox())!));
	for (const [i, a] of places.entries())
		for (const b of places.slice(i + 1))
			expect(
				a.x + a.width <= b.x + 1 ||
					b.x + b.width <= a.x + 1 ||
					a.y + a.height <= b.y + 1 ||
					b.y + b.height <= a.y + 1
			).toBe(true);
});
