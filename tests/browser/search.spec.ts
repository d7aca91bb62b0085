import { expect, test } from '@playwright/test';

test('anything is found by one key, arrows and Enter; Escape goes back to where one was', async ({
	page
}) => {
	await page.goto('/moulds');
	await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
	const link = page.getByRole('link', { name: 'Shelf', exact: true });
	await link.focus();
	await page.keyboard.press('/');
	const field = page.getByRole('combobox', { name: 'Find anything' });
	await expect(field).toBeFocused();
	await page.keyboard.press('Escape');
	await expect(field).toBeHidden();
	await expect(link).toBeFocused();

	await page.keyboard.press('Control+k');
	await field.fill('m12');
	const first = page.getByRole('option').first();
	await expect(first).toContainText('M12');
	await expect(first).toHaveAttribute('aria-selected', 'true');
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(/\/moulds\/[0-9a-f-]{36}$/);
	await expect(page.getByRole('heading', { level: 1 })).toContainText('M12');

	// a page by the words that people have for it, the second of the list by an arrow, and a press on a line
	await page.getByRole('button', { name: 'Find' }).click();
	await field.fill('keyboard');
	await page.getByRole('option', { name: /Keys/ }).click();
	await expect(page).toHaveURL(/\/keys$/);
	await page.keyboard.press('/');
	await field.fill('lamplighter');
	await expect(page.getByRole('option').nth(3)).toBeVisible();
	await page.keyboard.press('ArrowDown');
	await expect(page.getByRole('option').nth(1)).toHaveAttribute('aria-selected', 'true');
	const wanted = (await page.getByRole('option').nth(1).locator('strong').textContent())!;
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { level: 1 })).toContainText(
		wanted.replace(/^Shot (\d+): .*$/, 'Shot $1')
	);
});

test('what fits nothing says so; a slash in a field is a slash; without the server pages are found', async ({
	page
}) => {
	await page.goto('/quick');
	const name = page.getByRole('textbox', { name: 'What it is for' });
	await name.fill('');
	await name.press('/');
	await expect(name).toHaveValue('/');
	await page.keyboard.press('Control+k');
	const field = page.getByRole('combobox', { name: 'Find anything' });
	await field.fill('(%_\\ 🦀 nothing like it');
	await expect(page.getByText('Nothing fits that.')).toBeVisible();
	await page.route('**/api/find**', (route) => route.abort());
	await field.fill('shelf');
	await expect(page.getByText('only pages are found')).toBeVisible();
	await expect(page.getByRole('option').first()).toContainText('Shelf');
});
