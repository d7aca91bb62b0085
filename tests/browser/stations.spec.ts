import { expect, test } from '@playwright/test';

test('the ledger is searched, filtered and paged', async ({ page }) => {
	await page.goto('/ledger');
	await expect(page.getByText(/\d+ pulls, newest first/)).toBeVisible();
	await page.getByLabel('Grade', { exact: true }).selectOption('scrap');
	await page.getByRole('button', { name: 'Show these' }).click();
	await expect(page).toHaveURL(/grade=scrap/);
	for (const cell of await page.locator('tbody tr td:nth-child(2)').allTextContents())
		expect(cell).toContain('scrap');
	await page.goto('/ledger?text=nameplate');
	for (const row of await page.locator('tbody tr').allTextContents()) expect(row).toContain('nameplate');
	await page.goto('/ledger?text=nothing-like-it');
	await expect(page.getByText('No pull fits that.')).toBeVisible();
	await page.goto('/ledger');
	await page.getByRole('link', { name: 'Older' }).click();
	await expect(page.getByText('Page 2 of')).toBeVisible();
	await page.getByRole('link', { name: 'Newer' }).click();
	await expect(page.getByText('Page 1 of')).toBeVisible();
});

test('a rubber is entered as its sheet has it, in in³/lb and hours', async ({ page }) => {
	await page.goto('/shelf/rubbers/new');
	await page.getByLabel('Name').fill('Test rubber');
	await page.getByText('Tin: heat does not').click();
	await page.getByLabel('Parts of A').fill('100');
	await page.getByLabel('Parts of B').fill('10');
	await page.getByLabel('Density, mixed').fill('25 in3/lb');
	await expect(page.getByText('= 1.107 g/ml')).toBeVisible();
	await page.getByLabel('Working time').fill('40');
	await page.getByLabel('Demould').fill('16 h');
	await page.getByLabel('Viscosity').fill('20 Pa·s');
	await page.getByRole('button', { name: 'Keep this rubber' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Test rubber');
	await page.goto('/shelf');
	await expect(page.getByRole('row').filter({ hasText: 'Test rubber' })).toContainText('16 h');
});

test('a polyester is entered with its gel time, and its drops are worked out', async ({ page }) => {
	await page.goto('/shelf/resins/new');
	await page.getByLabel('Name').fill('Test polyester');
	await page.getByLabel('Family').selectOption('clear polyester');
	await page.getByRole('button', { name: 'Keep this resin' }).click();
	await expect(
		page.getByText('Type the density of A').or(page.getByText('Type the demould time')).first()
	).toBeVisible();
	await page.getByLabel('Gel time').fill('15 min');
	await page.getByLabel('with catalyst of').fill('1 %');
	await page.getByLabel('You use').fill('1.12 %');
	await page.getByLabel('Density of the catalyst').fill('1.12');
	await page.getByLabel('Drops in a millilitre').fill('25');
	await expect(page.locator('aside .answer')).toHaveText('25 drops');
	await page.getByLabel('Density of the resin').fill('1.11');
	await page.getByLabel('Demould').fill('12 h');
	await page.getByLabel('Viscosity', { exact: true }).fill('350');
	await page.getByText('Gradual', { exact: true }).click();
	await page.getByRole('button', { name: 'Keep this resin' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Test polyester');
});

test('the bench leads to what wants hands, and the strip stands on every station', async ({ page }) => {
	await page.goto('/');
	await expect(page.getByText(/Hands are wanted/)).toBeVisible();
	for (const station of ['Masters', 'Moulds', 'Shelf', 'Cure', 'Mix', 'Shots', 'Pour', 'Ledger']) {
		await page.getByRole('navigation').getByRole('link', { name: station, exact: true }).click();
		await expect(page.getByRole('heading', { level: 1, name: station })).toBeVisible();
		await expect(page.getByRole('region', { name: 'Running clocks' })).toContainText('demould');
	}
	await page.goto('/nowhere');
	await expect(page.getByText('There is nothing at this address.')).toBeVisible();
});

test('solids added and subtracted give a volume, and switching ways loses nothing', async ({ page }) => {
	await page.goto('/masters/new');
	await page.getByLabel('Spilled water').fill('77 g');
	await page.getByText('Plain solids').click();
	await page.getByRole('button', { name: 'Add a solid' }).click();
	await page.locator('select[name=shape-0]').selectOption('ball');
	await page.locator('input[name=diameterMm-0]').fill('50 mm');
	// π/6 · 5³ cm³
	await expect(page.locator('aside .answer')).toHaveText(/65\.4.ml/);
	await page.getByRole('button', { name: 'Add a solid' }).click();
	await page.locator('select[name=sign-1]').selectOption('subtract');
	await page.locator('select[name=shape-1]').selectOption('tube');
	await page.locator('input[name=diameterMm-1]').fill('20 mm');
	await page.locator('input[name=heightMm-1]').fill('1 in');
	// less π · 1² · 2.54 cm³
	await expect(page.locator('aside .answer')).toHaveText(/57\.5.ml/);
	await page.getByText('Overflow, weighed').click();
	await expect(page.getByLabel('Spilled water')).toHaveValue('77 g');
	await page.getByText('Plain solids').click();
	await expect(page.locator('input[name=diameterMm-0]')).toHaveValue('50 mm');
});

test('a mould in two halves: each half’s rubber, the clay, and a sprue that would never fill', async ({
	page
}) => {
	await page.goto('/moulds/new');
	await page.getByLabel('Round which master').selectOption({ label: 'Lamplighter figure' });
	await page.getByLabel('In which rubber').selectOption({ label: 'Tidal grey' });
	await page.getByText('In two halves', { exact: true }).click();
	await page.getByLabel('Halves part at').fill('400 mm');
	await expect(page.getByText('The parting line runs round the master').first()).toBeVisible();
	await page.getByLabel('Halves part at').fill('84 mm');
	await expect(page.getByRole('heading', { name: 'Second half, where the clay was' })).toBeVisible();
	await expect(page.getByText(/of sulphur-free clay/)).toBeVisible();
	await page.getByLabel('Mostly poured with').selectOption({ label: 'Lantern white' });
	await page.getByLabel('Sprue, wide').fill('3 mm');
	await expect(page.getByText(/or syringe it from the lowest point/)).toBeVisible();
	await page.getByLabel('Sprue, wide').fill('0');
	await expect(page.getByText('under 0.2 mm').first()).toBeVisible();
	await page.getByLabel('Sprue, wide').fill('8 mm');
	await expect(page.getByText(/Fills in/)).toBeVisible();
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByText(/Two-part block round Lamplighter figure/)).toBeVisible();
});
