import { expect, test } from '@playwright/test';
import { choose } from './bench';

test('a form whose answer was lost is sent again, and makes one thing', async ({ page }) => {
	const name = `Lost answer ${Date.now()}`;
	await page.goto('/shelf/releases/new');
	await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
	await page.getByLabel('Name', { exact: true }).fill(name);
	await choose(page, 'It is a', /^wax$/);
	let arrived = 0;
	await page.route('**/shelf/releases/new**', async (route) => {
		if (route.request().method() !== 'POST') return route.continue();
		// the server takes it, and its answer gets lost on the way
		await route.fetch({ maxRedirects: 0 });
		arrived++;
		await route.abort();
	});
	const save = page.getByRole('button', { name: 'Keep this release' });
	await save.click();
	await expect(page.getByText(/It was not kept/)).toBeVisible();
	expect(arrived).toBe(1);
	await page.unroute('**/shelf/releases/new**');
	await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
	await save.click();
	await page.waitForURL(/\/shelf\/releases\/[0-9a-f-]{36}/);
	await page.goto('/shelf');
	await expect(page.getByRole('link', { name })).toHaveCount(1);
});
