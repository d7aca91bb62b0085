import { expect, test } from '@playwright/test';

const PAGES = [
	'/',
	'/masters',
	'/moulds',
	'/shelf',
	'/cure',
	'/mix',
	'/shots/new',
	'/pots',
	'/ledger',
	'/keys',
	'/how/moulds',
	'/settings'
];

test('a browser print of any page prints all of it, in ink on white', async ({ page }) => {
	await page.emulateMedia({ colorScheme: 'dark' });
	for (const path of PAGES) {
		await page.goto(path);
		await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
		await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
		await page.emulateMedia({ media: 'print', colorScheme: 'dark' });
		await page.evaluate(() => dispatchEvent(new Event('beforeprint')));
		const found = await page.evaluate(() => {
			const main = document.querySelector('main')!;
			const clipped = [...main.querySelectorAll<HTMLElement>('*')].filter((e) => {
				const { overflowY, display, position } = getComputedStyle(e);
				const hides = overflowY === 'auto' || overflowY === 'scroll';
				return (
					hides &&
					display !== 'none' &&
					position !== 'absolute' &&
					e.tagName !== 'TEXTAREA' &&
					e.scrollHeight > e.clientHeight + 4
				);
			});
			return {
				whole: document.documentElement.scrollHeight >= main.scrollHeight,
				clipped: clipped.map((e) => e.className),
				folded: document.querySelectorAll('main details:not([open], .no-print)').length,
				dark: document.documentElement.classList.contains('dark'),
				rail: [...document.querySelectorAll('nav')].some(
					(n) => !main.contains(n) && n.getClientRects().length > 0
				)
			};
		});
		expect({ path, ...found }).toEqual({
			path,
			whole: true,
			clipped: [],
			folded: 0,
			dark: false,
			rail: false
		});
		await page.evaluate(() => dispatchEvent(new Event('afterprint')));
		await page.emulateMedia({ media: 'screen', colorScheme: 'dark' });
		expect(await page.evaluate(() => document.documentElement.classList.contains('dark'))).toBe(true);
	}
});

test('a table of many columns lies across the sheet, its last column on it', async ({ page }) => {
	await page.goto('/ledger');
	await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
	// A4 across less the margins of the sheet, at 96 px an inch (ISO 216: 297 mm)
	const sheetPx = Math.floor(((297 - 26) / 25.4) * 96);
	await page.setViewportSize({ width: sheetPx, height: 690 });
	await page.emulateMedia({ media: 'print' });
	const last = (await page.locator('table.bench thead th').last().boundingBox())!;
	expect(await page.locator('table.bench thead th').count()).toBeGreaterThan(8);
	expect(last.x + last.width).toBeLessThanOrEqual(sheetPx);
	const sheets = (await page.pdf({ format: 'A4', preferCSSPageSize: true })).toString('latin1');
	const boxes = [...sheets.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)];
	expect(boxes.length).toBeGreaterThan(1);
	for (const [, width, height] of boxes) expect(Number(width)).toBeGreaterThan(Number(height));
});

test('on paper a field is its value, and a fuse keeps its bars', async ({ page }) => {
	await page.goto('/shots');
	await page.locator('tbody a[href^="/shots/"]').first().click();
	const block = page.locator('.fuse > div.absolute').nth(2);
	await expect(block).toBeVisible();
	await page.emulateMedia({ media: 'print' });
	const printed = await block.evaluate((e) => {
		const { printColorAdjust, backgroundColor } = getComputedStyle(e);
		return { printColorAdjust, painted: backgroundColor !== 'rgba(0, 0, 0, 0)' };
	});
	expect(printed).toEqual({ printColorAdjust: 'exact', painted: true });
	await page.goto('/settings');
	const field = page.locator('main input[type=text]:visible, main input:not([type]):visible').first();
	await expect(field).toHaveCSS('border-top-width', '0px');
	await expect(page.locator('main button[type=submit]:visible')).toHaveCount(0);
});

test('a list is found in, sorted, grouped and keeps its columns over a reload', async ({ page }) => {
	await page.goto('/moulds');
	const rows = page.locator('tbody tr:has(a)');
	const all = await rows.count();
	expect(all).toBeGreaterThan(10);
	await page.getByLabel('Only those with').fill('ice');
	await expect(rows).toHaveCount(2);
	await page.getByLabel('Only those with').fill('');
	await page.getByRole('button', { name: 'Pulls' }).click();
	await expect(page.getByRole('columnheader', { name: 'Pulls' })).toHaveAttribute('aria-sort', 'ascending');
	await page.getByRole('button', { name: 'Pulls' }).click();
	await expect(rows.first()).toContainText('34');
	await page.getByLabel('Grouped by').selectOption('state');
	// the groups come in the order of their first rows: most pulls first
	await expect(page.locator('th[scope=rowgroup]').first()).toContainText('retired');
	await page.getByText('Columns', { exact: true }).click();
	await page.getByLabel('Kept where').uncheck();
	await expect(page.getByRole('columnheader', { name: 'Kept where' })).toHaveCount(0);
	await page.reload();
	await expect(page.getByRole('columnheader', { name: 'Kept where' })).toHaveCount(0);
	await expect(page.getByRole('columnheader', { name: 'Pulls' })).toHaveAttribute('aria-sort', 'descending');
	await expect(page.getByLabel('Grouped by')).toHaveValue('state');
});
