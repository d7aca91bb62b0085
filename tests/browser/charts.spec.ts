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

/** What the chart library keeps at a chart's element, as far as it is asked here. */
interface Drawn extends HTMLElement {
	layout: { showlegend?: boolean };
	data: Record<string, unknown>[];
	_fullLayout: Record<string, { type: string; range: number[]; autorange: boolean }>;
}

test('the figures along an axis hold all that is drawn over them', async ({ page }) => {
	const first = async (list: string, of: string) => {
		await page.goto(list);
		return (await page.locator(`main a[href^="${of}"]`).first().getAttribute('href'))!;
	};
	const paths = [
		await first('/ledger', '/ledger/'),
		await first('/pots', '/pots/'),
		...['/cure', '/moulds/wear', '/ledger/yield', '/ledger/faults']
	];
	let axes = 0;
	for (const path of paths) {
		await page.goto(path);
		await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
		for (const chart of await page.locator('main div[role=img]').all()) {
			await chart.scrollIntoViewIfNeeded();
			await expect
				.poll(() => chart.evaluate((e) => 'layout' in e && (e as Drawn).layout.showlegend === undefined))
				.toBe(true);
			const off = await chart.evaluate((e) => {
				const { data, _fullLayout: full } = e as Drawn;
				return data.flatMap((trace) =>
					(['x', 'y'] as const).flatMap((along) => {
						const axis = full[`${along}axis${String(trace[`${along}axis`] ?? along).slice(1)}`]!;
						const scaled = (v: number) => (axis.type === 'log' ? Math.log10(v) : v);
						const values = (trace[along] as unknown[]).filter((v) => typeof v === 'number').map(scaled);
						if (!axis.autorange || axis.type === 'category' || values.length === 0) return [];
						const [from, to] = [Math.min(...axis.range), Math.max(...axis.range)];
						return [Math.max(from - Math.min(...values), Math.max(...values) - to) / (to - from)];
					})
				);
			});
			axes += off.length;
			expect(Math.max(-1, ...off), path).toBeLessThan(0.001);
		}
	}
	expect(axes).toBeGreaterThan(8);
});
