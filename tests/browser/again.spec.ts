import { expect, test } from '@playwright/test';
import { choose, heading } from './bench';

test('a kept shot is changed, sized anew, and asked for again by its mould', async ({ page }) => {
	await page.goto('/shots/new');
	await choose(page, 'Piece', /Quay bollard/);
	await choose(page, 'Resin', /Harbour slow/);
	const sprue = page.getByLabel('Sprue and vents', { exact: true });
	await sprue.fill('7 ml');
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(page).toHaveURL(/\/shots\/[0-9a-f-]{36}$/);
	const url = page.url();
	const title = (await heading(page).textContent())!;

	await page.getByRole('link', { name: 'Change it' }).click();
	await expect(heading(page)).toHaveText(/^Change shot S\d+$/);
	await expect(sprue).toHaveValue(/^7 ml$/);
	await sprue.fill('9 ml');
	await page.getByRole('button', { name: 'Keep the changes' }).click();
	// the same shot, under the same number
	await expect(page).toHaveURL(url);
	await expect(heading(page)).toHaveText(title);

	await page.getByRole('link', { name: 'Size it anew' }).click();
	await expect(page.getByText(/Begun as shot S\d+ was/)).toBeVisible();
	await expect(sprue).toHaveValue(/^9 ml$/);
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(page).toHaveURL(/\/shots\/[0-9a-f-]{36}$/);
	expect(page.url()).not.toBe(url);

	// its mould asks for it again, with what it was poured with
	await page.goto(url);
	await page.locator('main').getByRole('link', { name: /^M\d+/ }).first().click();
	await page.getByRole('link', { name: 'Size a shot' }).first().click();
	await expect(page.getByText(/Begun as shot S\d+ was/)).toBeVisible();
	await expect(page.getByLabel('Resin', { exact: true }).locator('option:checked')).toHaveText(
		/Harbour slow/
	);
	await page.goto('/shots/new?from=00000000-0000-4000-8000-000000000000');
	await expect(page.getByText(/no such|not there|There is no/i).first()).toBeVisible();
});
