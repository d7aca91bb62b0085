import { expect, test } from '@playwright/test';

test('a word that makes a newcomer stop is explained where it stands, by keyboard too', async ({ page }) => {
	await page.goto('/quick');
	await page.getByRole('textbox', { name: 'Volume', exact: true }).fill('85 ml');
	const ask = page.getByRole('button', { name: 'What is that: Slack?' });
	await ask.focus();
	await page.keyboard.press('Enter');
	const said = page.getByRole('note').filter({ hasText: 'What is left of the pot life' });
	await expect(said).toBeVisible();
	await expect(ask).toHaveAttribute('aria-expanded', 'true');
	const box = (await said.boundingBox())!;
	expect(box.x).toBeGreaterThanOrEqual(0);
	expect(box.x + box.width).toBeLessThanOrEqual(page.viewportSize()!.width);
	await page.keyboard.press('Escape');
	await expect(said).toBeHidden();
	await expect(ask).toBeFocused();
	// a press on another word closes the first
	await ask.click();
	await page.getByRole('button', { name: 'What is that: Pot life?' }).click();
	await expect(page.getByRole('note').filter({ hasText: 'still be poured' })).toBeVisible();
	await expect(said).toBeHidden();
});
