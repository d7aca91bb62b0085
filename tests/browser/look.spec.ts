import { expect, test } from '@playwright/test';

test('US units are shown and typed, and the setting holds', async ({ page }) => {
	await page.goto('/settings');
	await page.getByText('in, oz, fl oz, °F').click();
	await page.getByRole('button', { name: 'Keep the settings' }).click();
	await expect(page.getByText('Kept.')).toBeVisible();
	await page.goto('/');
	await expect(page.getByText('70 °F').first()).toBeVisible();
	await page.goto('/moulds/new');
	await page.getByLabel('Clearance').fill('3/4');
	await expect(page.getByText('= 3/4 in').or(page.getByText('= 19.1 mm')).first()).toBeVisible();
	await page.goto('/settings');
	await page.getByText('mm, g, ml, °C').click();
	await page.getByRole('button', { name: 'Keep the settings' }).click();
	await expect(page.getByText('Kept.')).toBeVisible();
});

test('the chosen theme holds and the keyboard reaches the work', async ({ page }) => {
	await page.goto('/settings');
	await page.getByRole('button', { name: 'Dark' }).click();
	await expect(page.locator('html')).toHaveClass(/dark/);
	await page.goto('/masters');
	await expect(page.locator('html')).toHaveClass(/dark/);
	// before a page wakes nothing has moved on from its top yet
	await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
	await page.keyboard.press('Tab');
	await expect(page.getByRole('link', { name: 'Skip to the work' })).toBeFocused();
	await page.goto('/settings');
	await page.getByRole('button', { name: 'As the device' }).click();
	await expect(page.locator('html')).not.toHaveClass(/dark/);
});

test('what is printed from a dark page is light, whole, and no wider than a sheet', async ({ page }) => {
	await page.emulateMedia({ colorScheme: 'dark' });
	await page.goto('/ledger/yield');
	const chart = page.locator('.main-svg').first();
	await expect(chart).toBeVisible();
	await expect(page.locator('html')).toHaveClass(/dark/);
	const paper = () =>
		page
			.locator('.slab')
			.first()
			.evaluate((slab) => getComputedStyle(slab).backgroundColor);
	const dark = await paper();
	await page.emulateMedia({ colorScheme: 'dark', media: 'print' });
	await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
	await expect(page.locator('html')).not.toHaveClass(/dark/);
	expect(await paper()).not.toBe(dark);
	expect((await chart.boundingBox())!.width).toBeLessThanOrEqual(620);
	// nothing is left in a box that scrolls: the whole page flows over the sheets
	expect(
		await page.evaluate(() => {
			const main = document.querySelector('main')!;
			return document.documentElement.scrollHeight - main.scrollHeight;
		})
	).toBeGreaterThanOrEqual(0);
	await page.emulateMedia({ colorScheme: 'dark', media: 'screen' });
	await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
	await expect(page.locator('html')).toHaveClass(/dark/);
	expect(await paper()).toBe(dark);
});
