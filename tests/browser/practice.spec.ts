import { expect, test } from '@playwright/test';
import { heading, mend, press, weigh } from './bench';

test('a newcomer practises with everything going wrong, and is scored; nothing is kept', async ({ page }) => {
	test.slow();
	const ledger = async () => {
		await page.goto('/pour');
		return page.getByRole('listitem').count();
	};
	const before = await ledger();
	await page.getByRole('link', { name: 'Practise a pour first' }).click();
	await page.getByText('I choose', { exact: true }).click();
	for (const slip of ['A room 6 °C warmer', 'Called away', 'runs on after', 'A pot that leaks'])
		await page.getByText(slip).click();
	await page.getByRole('button', { name: 'Begin to practise' }).click();
	await expect(heading(page)).toHaveText('Look the mould over');
	await expect(page.getByText('Practice', { exact: true })).toBeVisible();
	await press(page, /Mould is ready/);
	// the thermo-hygrometer reads the warm room
	await expect(page.getByText(/Thermo-hygrometer 2[5-9]/)).toBeVisible();
	await press(page, /Keep these readings/);
	await press(page, /Both are stirred/);
	await weigh(page);
	await expect(page.getByText(/too much of/)).toBeVisible();
	await press(page, /B is measured/);
	// B was over-poured: A follows at once
	await expect(page.getByText(/Corrected × 1\.\d+/)).toBeVisible();
	await weigh(page);
	await press(page, /A is measured/);
	await mend(page);
	await press(page, /start the clock/);
	await expect(page.getByText('You were called to the door: 30 seconds are gone.')).toBeVisible();
	await press(page, /It is mixed/);
	await press(page, /It is poured/);
	await press(page, /Lid is clamped/);
	await page.getByRole('button', { name: 'Open the air' }).click();
	await heading(page).click();
	await page.waitForTimeout(2500);
	await press(page, /At pressure/);
	await page.getByRole('button', { name: 'Put the clock forward' }).click();
	await expect(page.getByText('It is losing pressure')).toBeVisible();
	await heading(page).click();
	await press(page, /Pressure released/);
	await press(page, /out of the mould/);
	await page.getByText('needs work', { exact: true }).click();
	await page.waitForTimeout(400);
	await page.getByRole('button', { name: /Write it into the ledger/ }).click();
	await expect(heading(page)).toHaveText(/A cast/);
	const points = Number(await page.locator('.answer').first().textContent());
	expect(points).toBeGreaterThan(0);
	expect(points).toBeLessThan(100);
	await expect(page.getByRole('row', { name: /Ratio/ })).toContainText(/Off by/);
	await expect(page.getByRole('row', { name: /Outcome/ })).toContainText(/pressure|before it was firm/);
	await expect(page.getByText('Top the pressure up until it has gelled')).toBeVisible();
	expect(await ledger()).toBe(before);
});

test('giving up on a damp day is right; a plan that is not there is said', async ({ page }) => {
	await page.goto('/practice/lesson?slips=damp%20air');
	await press(page, /Mould is ready/);
	await expect(page.getByText(/within 3 °C of the dew point/)).toBeVisible();
	await page.getByRole('button', { name: 'Give up' }).click();
	await page.getByRole('button', { name: 'Give this pour up' }).click();
	await expect(page.locator('.answer').first()).toHaveText('100');
	await expect(page.getByText('Right: the mould was within')).toHaveCount(3);
	await page.goto('/practice/no-such-shot');
	await expect(heading(page)).toBeVisible();
	await expect(page.getByText(/no longer here|There is no/i).first()).toBeVisible();
});
