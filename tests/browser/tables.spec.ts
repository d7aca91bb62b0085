import { expect, test, type Page } from '@playwright/test';

/** The first entry of a list. */
async function first(page: Page, list: string, entry: RegExp): Promise<string> {
	await page.goto(list);
	const hrefs = await page
		.locator('main a')
		.evaluateAll((all) => all.map((a) => a.getAttribute('href') ?? ''));
	return hrefs.find((h) => entry.test(h))!;
}

test('no table hides its last column, and a wider window makes rows of cards again', async ({ page }) => {
	const paths = [
		...['/ledger', '/shots', '/shelf', '/masters', '/moulds', '/ledger/import', '/ledger/faults'],
		await first(page, '/pots', /^\/pots\/[0-9a-f-]{36}$/),
		await first(page, '/orders', /^\/orders\/[0-9a-f-]{36}$/)
	];
	for (const path of paths) {
		await page.setViewportSize({ width: 1280, height: 800 });
		await page.goto(path);
		await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
		for (const width of [1280, 1024, 820]) {
			await page.setViewportSize({ width, height: 800 });
			await expect
				.poll(
					() =>
						page.evaluate(() => {
							const tables = [...document.querySelectorAll('main table.bench')];
							return tables.filter((t) => t.scrollWidth > t.parentElement!.clientWidth + 1).length;
						}),
					{ message: `${path} at ${width} px` }
				)
				.toBe(0);
		}
	}
	// cards where there is no room, each cell with its column's name; a table where there is
	await page.setViewportSize({ width: 1024, height: 800 });
	await page.goto('/ledger');
	const table = page.locator('table.bench');
	await expect(table).toHaveClass(/cards/);
	const cell = table.locator('tbody tr').first().locator('td').last();
	await expect(cell).toHaveAttribute('data-label', 'Pot');
	await page.setViewportSize({ width: 1600, height: 800 });
	await expect(table).not.toHaveClass(/cards/);
	await expect(page.getByRole('columnheader', { name: 'Pot' })).toBeVisible();
});

test('a list that was left sorted comes back so: row by row the same as when it is reached from another page', async ({
	page
}) => {
	const kept = { masters: 'master', moulds: 'rubber', shots: 'mass' };
	await page.addInitScript((lists) => {
		for (const [name, by] of Object.entries(lists))
			localStorage.setItem(
				`table:${name}`,
				JSON.stringify({ sort: { by, down: true }, hidden: [], group: '' })
			);
	}, kept);
	const rows = () =>
		page
			.locator('main table.bench tbody tr')
			.evaluateAll((all) =>
				all.map((row) => [
					row.textContent,
					...[...row.querySelectorAll('a, img, path')].map(
						(e) => e.getAttribute('href') ?? e.getAttribute('src') ?? e.getAttribute('d')
					)
				])
			);
	for (const name of Object.keys(kept)) {
		await page.goto(`/${name}`);
		await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
		await expect(page.locator('main th[aria-sort="descending"]')).toBeVisible();
		const asSent = await rows();
		await page.goto('/keys');
		await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
		await page.locator(`nav a[href="/${name}"]`).first().click();
		await expect(page.locator('main th[aria-sort="descending"]')).toBeVisible();
		expect(asSent.length).toBeGreaterThan(2);
		expect(await rows(), name).toEqual(asSent);
	}
});
