import { expect, test } from '@playwright/test';

test.describe.configure({ mode: 'serial' });

test('a tin is entered, wrong input is said at its field, and what is left is shown', async ({ page }) => {
	await page.goto('/shelf/containers/new');
	await page.getByLabel('What is in it').selectOption({ label: 'Bellows gradual' });
	await page.getByLabel('Full, it held').fill('2 kg');
	await page.getByLabel('In it now, weighed').fill('9 kg');
	await page.getByLabel('Opened so often').fill('2.5');
	await page.getByLabel('Lot').fill(`<b>"lot"</b>`);
	await page.getByRole('button', { name: 'Keep this tin' }).click();
	await expect(page.getByText('Openings are whole.')).toBeVisible();
	await page.getByLabel('Opened so often').fill('2');
	await page.getByRole('button', { name: 'Keep this tin' }).click();
	await expect(page.getByText('take the empty tin off the weight')).toBeVisible();
	await expect(page.getByLabel('Lot')).toHaveValue(`<b>"lot"</b>`);
	await page.getByLabel('In it now, weighed').fill('1.5 kg');
	await page.getByRole('button', { name: 'Keep this tin' }).click();
	await expect(page.locator('aside .answer')).toHaveText(/1500.g/);
	await expect(page.getByText('nothing speaks against it')).toBeVisible();
});

test('a pour books out of its tin what it took, once resin was combined, and back takes it back', async ({
	page
}) => {
	const left = async () => {
		await page.goto('/shelf');
		const row = page.getByRole('row').filter({ hasText: 'LW-2291' }).first();
		return Number(/([\d.]+).g/.exec((await row.getByRole('cell').nth(2).textContent())!)![1]);
	};
	const before = await left();
	await page.goto('/shots/new');
	await page.getByLabel('Piece').selectOption({ label: 'Ship’s nameplate letters' });
	await page.getByLabel('Resin', { exact: true }).first().selectOption({ label: 'Lantern white' });
	await expect(page.getByRole('figure')).toBeVisible();
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await page.getByRole('button', { name: 'Pour this cup' }).click();
	for (const action of [
		/Mould is ready/,
		/Keep these readings/,
		/Both are stirred/,
		/B is measured/,
		/A is measured/
	]) {
		await page.getByRole('button', { name: action }).click();
		await page.waitForTimeout(400);
	}
	const url = page.url();
	await expect(page.getByText('not yet on the server')).toBeHidden();
	expect(await left()).toBe(before);
	await page.goto(url);
	const combined = page.waitForResponse(
		(r) => r.url().includes('/events') && r.request().method() === 'POST'
	);
	await page.getByRole('button', { name: /start the clock/ }).click();
	await combined;
	const after = await left();
	expect(before - after).toBeGreaterThan(10);
	expect(before - after).toBeLessThan(60);
	await page.goto(url);
	const undone = page.waitForResponse((r) => r.url().includes('/events') && r.request().method() === 'POST');
	await page.getByRole('button', { name: 'Back' }).click();
	await undone;
	expect(await left()).toBe(before);
	await page.goto(url);
	await page.getByRole('button', { name: 'Give up' }).click();
	await page.getByRole('button', { name: 'Give this pour up' }).click();
	await expect(page.getByText('Nothing was combined, so no pull is counted.')).toBeVisible();
});

test('a mix with fillers, and what to do after a slip', async ({ page }) => {
	await page.goto('/mix');
	await page.locator('select[name=mixResin]').selectOption({ label: 'Lantern white' });
	await page.getByLabel('Volume', { exact: true }).fill('100 ml');
	await expect(page.getByText('Grams of water are not grams of resin')).toBeVisible();
	await page.getByRole('button', { name: 'Add a filler' }).click();
	await page.locator('select[name=filler-0]').selectOption({ label: 'Feather silica' });
	await page.locator('select[name=per-0]').selectOption({ label: 'scoops to one of B' });
	await page.locator('input[name=amount-0]').fill('3');
	await expect(page.getByText('A paste: it will not pour')).toBeVisible();
	await page.locator('input[name=amount-0]').fill('lots');
	await expect(page.getByText('not understood')).toBeVisible();
	await page.getByRole('button', { name: 'Remove' }).click();
	// 400 g of A goes with 360 g of B at 100:90 (common practice, no source)
	await page.getByLabel('A in the cup').fill('400 g');
	await page.getByLabel('B in the cup').fill('300 g');
	await expect(page.getByRole('status').filter({ hasText: 'in all' })).toContainText(/Add\s+60\s*g\s+of\s+B/);
});

test('a master of sulphur clay under platinum rubber is warned of before anything is mixed', async ({
	page
}) => {
	await page.goto('/moulds/new');
	await page.getByLabel('Round which master').selectOption({ label: 'Lamplighter figure' });
	await page.getByLabel('In which rubber').selectOption({ label: 'Tidal grey' });
	await expect(page.getByText('stops a platinum rubber from curing')).toBeVisible();
	await page.getByLabel('In which rubber').selectOption({ label: 'Slipway red' });
	await expect(page.getByText('stops a platinum rubber from curing')).toBeHidden();
});
