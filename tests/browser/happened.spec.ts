import { expect, test } from '@playwright/test';
import { heading, press } from './bench';

test('what is seen while it cures is a press; a wait cut short is asked about and marked; a weight is added later', async ({
	page
}) => {
	await page.goto('/shots/new');
	await page.getByLabel('Piece').selectOption({ label: 'Rope fender' });
	await page.getByLabel('Resin', { exact: true }).first().selectOption({ label: 'Fender flexible' });
	await expect(page.getByRole('figure')).toBeVisible();
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await page.getByRole('button', { name: 'Pour this cup' }).click();
	for (const action of [
		/Clean/,
		/Closed/,
		/All within/,
		/Not read/,
		/Both are/,
		/B is measured/,
		/A is measured/,
		/start the clock/
	])
		await press(page, action);
	// a slack that counts from now, not from the plan
	await expect(page.getByText(/slack \d/)).toBeVisible();
	// what is seen while it is poured is a press too
	await page.getByRole('button', { name: 'It strings' }).click();
	await expect(page.getByRole('button', { name: 'It strings, noted' })).toBeDisabled();
	await press(page, /It is mixed/);
	await press(page, /It is poured/);
	await expect(heading(page)).toHaveText(/Let it cure/);
	await page.getByRole('button', { name: 'A thin drip has turned' }).click();
	await expect(page.getByText(/A thin drip has turned: noted/)).toBeVisible();
	await page.getByText('Another note, or the left-over’s temperature').click();
	await page.getByLabel('Left-over cup reads').fill('900 C');
	await page.getByLabel('Left-over cup reads').blur();
	await expect(page.getByText(/check the reading/)).toBeVisible();
	await page.getByLabel('Left-over cup reads').fill('41 C');
	await page.getByLabel('What you saw').fill('a hair of steam');
	await page.getByRole('button', { name: 'Note it' }).click();
	await expect(page.getByText('Noted with its time.')).toBeVisible();
	await heading(page).click();
	await page.waitForTimeout(400);
	await page.keyboard.press('Space');
	await expect(page.getByText(/Only .* have passed\. Press once more/)).toBeVisible();
	await page.waitForTimeout(400);
	await page.keyboard.press('Space');
	await page.getByRole('button', { name: /^Locked/ }).click();
	await page.getByRole('button', { name: /^Right/ }).click();
	await expect(page.getByRole('button', { name: /^Right/ })).toHaveAttribute('aria-pressed', 'true');
	await expect(page.getByRole('button', { name: /^Locked/ })).toHaveAttribute('aria-pressed', 'false');
	await page.getByText('good', { exact: true }).first().click();
	await page.waitForTimeout(380); // a second press within a third of a second is taken for a bounce
	await page.getByRole('button', { name: /Write it into the ledger/ }).click();
	await expect(heading(page)).toHaveText('It is in the ledger');
	await expect(page.getByText('not yet on the server')).toBeHidden();

	// what was read and not noted is added with its time, and known to be typed and late
	await page.getByRole('button', { name: 'Add what was not noted' }).click();
	await page.getByLabel('What was it').selectOption({ label: 'A cup temperature' });
	await page.getByLabel('How long after combining').fill('20 h');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText('That is still to come.')).toBeVisible();
	await expect(page.getByText('Type what the gun showed')).toBeVisible();
	await page.getByLabel('How long after combining').fill('1 s');
	await page.getByLabel('The cup read').fill('38 C');
	const arrived = page.waitForRequest((r) => r.url().endsWith('/events') && r.method() === 'POST');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText('Added, and marked as written down afterwards.')).toBeVisible();
	expect((await arrived).postData()).toMatch(/"tempC":38,"source":"typed","enteredAtMs":\d+/);
	await expect(page.getByText('not yet on the server')).toBeHidden();

	await page.goto('/ledger');
	await page.getByRole('row').nth(1).getByRole('link').first().click();
	await expect(page.getByText('A thin drip has turned')).toBeVisible();
	await expect(page.getByRole('listitem').filter({ hasText: /38\s°C/ })).toContainText(/afterwards/);
	await expect(page.getByText(/Left-over cup reads 41\s°C\. a hair of steam/)).toBeVisible();
	await expect(page.getByText(/Let it cure, then demould: done, cut short: .* of /)).toBeVisible();
	await expect(page.getByText('none were read at the bench')).toBeVisible();
	await page.getByText('Add a weight, a size or mending').click();
	await page.getByRole('button', { name: 'Add to this pull' }).click();
	await expect(page.getByText('Type at least one of them.')).toBeVisible();
	await page.getByLabel('The cast weighs').fill('71.5 g');
	await page.getByRole('button', { name: 'Add to this pull' }).click();
	await expect(page.getByText(/Added later: it weighs 71\.5\sg/)).toBeVisible();
});
