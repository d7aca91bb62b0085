import { expect, test } from '@playwright/test';

test.describe('bad input is said at the field and loses nothing', () => {
	test('an empty master', async ({ page }) => {
		await page.goto('/masters/new');
		await page.getByLabel('Note').fill('keep me');
		await page.getByRole('button', { name: 'Keep this master' }).click();
		await expect(page.getByText('Give the master a name.')).toBeVisible();
		await expect(page.getByText('Type the height of the master')).toBeVisible();
		// its volume may stay unknown, and half a reading may not
		await expect(page.getByText('It may stay empty', { exact: false })).toBeVisible();
		await page.getByText('Rise in a cup', { exact: true }).click();
		await page.getByLabel('Level before').fill('200 ml');
		await page.getByRole('button', { name: 'Keep this master' }).click();
		await expect(page.getByText('Type the level after')).toBeVisible();
		await expect(page.getByLabel('Note')).toHaveValue('keep me');
	});

	for (const [text, sentence] of [
		['minus', 'not understood'],
		['-5 mm', 'must be more than nothing'],
		['0', 'must be more than nothing'],
		['3 lb', 'is a weight and this field wants a length'],
		['900 m', 'over 3 m'],
		['🦀🦀', 'not understood'],
		['1,200', 'can be read two ways']
	] as const) {
		test(`height "${text}"`, async ({ page }) => {
			await page.goto('/masters/new');
			await page.getByLabel('Name').fill('Whelk');
			await page.getByLabel('Height').fill(text);
			await page.getByRole('button', { name: 'Keep this master' }).click();
			await expect(page.getByText(sentence).first()).toBeVisible();
			await expect(page.getByLabel('Height')).toHaveValue(text);
			await expect(page.getByLabel('Name')).toHaveValue('Whelk');
		});
	}

	test('ten megabytes of text', async ({ page }) => {
		await page.goto('/masters/new');
		await page.getByLabel('Name').fill('Whelk');
		for (const label of ['Note', 'Height']) {
			const field = page.getByLabel(label);
			await field.fill('12 mm');
			await field.evaluate((element) => {
				const clipboardData = new DataTransfer();
				clipboardData.setData('text', 'x'.repeat(10_500_000));
				element.dispatchEvent(
					new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true })
				);
			});
			await expect(page.getByText('That paste has 10,500,000 characters').first()).toBeVisible();
			await expect(field).toHaveValue('12 mm');
		}
		await page.getByLabel('Note').fill('x y '.repeat(1100));
		await page.getByRole('button', { name: 'Keep this master' }).click();
		await expect(page.getByText('under 4000 characters')).toBeVisible();
		await expect(page.getByLabel('Name')).toHaveValue('Whelk');
	});

	test('a file that is no picture, and one that is too large', async ({ page }) => {
		await page.goto('/masters/new');
		await page.getByLabel('Name').fill('Whelk');
		for (const [label, value] of [
			['Length', '50'],
			['Width', '50'],
			['Height', '50'],
			['Spilled water', '60']
		] as const)
			await page.getByLabel(label).fill(value);
		await page
			.getByLabel('Photo, if you like')
			.setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('<svg onload=alert(1)>') });
		await page.getByRole('button', { name: 'Keep this master' }).click();
		await expect(page.getByText('not a JPEG, PNG or WebP')).toBeVisible();
		await page
			.getByLabel('Photo, if you like')
			.setInputFiles({ name: 'big.jpg', mimeType: 'image/jpeg', buffer: Buffer.alloc(9 * 1024 * 1024) });
		await expect(page.getByText('at most 8 MB')).toBeVisible();
		await expect(page.getByLabel('Length')).toHaveValue('50');
	});

	test('a shot without a mould or a resin', async ({ page }) => {
		await page.goto('/shots/new');
		await page.getByLabel('Copies').fill('3');
		await page.getByRole('button', { name: 'Keep this shot' }).click();
		await expect(page.getByText('Choose the master that is cast.')).toBeVisible();
		await expect(page.getByText('without a mould there is nothing to pour into')).toBeVisible();
		await expect(page.getByText('Choose a resin from the shelf.')).toBeVisible();
		await expect(page.getByLabel('Copies')).toHaveValue('3');
	});

	test('a resin that contradicts itself is refused with the sum', async ({ page }) => {
		await page.goto('/shelf');
		await page.getByRole('link', { name: 'Lantern white' }).first().click();
		await page.getByLabel('B, weight').fill('50');
		await page.getByRole('button', { name: 'Keep this resin' }).click();
		await expect(page.getByText(/100:90\.0 by weight; the sheet says 100:50\.0/)).toBeVisible();
		await expect(page.getByLabel('B, weight')).toHaveValue('50');
	});

	test('a range is typed as its sheet prints it; one that the pot life lies outside of is refused', async ({
		page
	}) => {
		await page.goto('/shelf');
		await page.getByRole('link', { name: 'Marlin slow' }).first().click();
		const life = page.getByLabel('Pot life', { exact: true });
		await life.fill('70–90 min');
		await expect(page.getByText(/= 1\sh 20\smin, half way/)).toBeVisible();
		await page.getByText('What makes it surer').click();
		await expect(page.getByLabel('Pot life, from')).toHaveValue(/^1:10|^70/);
		// a single time takes the range back
		await life.fill('80 min');
		await expect(page.getByLabel('Pot life, from')).toHaveValue('');
		await life.fill('70–90 min');
		await page.getByLabel('Pot life, to').fill('75 min');
		await page.getByRole('button', { name: 'Keep this resin' }).click();
		await expect(page.getByText(/lies outside the range that the sheet prints/)).toBeVisible();
		await expect(life).toHaveValue('70–90 min');
		await page.getByLabel('Pot life, to').fill('90 min');
		await page.getByRole('button', { name: 'Keep this resin' }).click();
		await expect(page.getByText(/lies outside the range/)).toBeHidden();
		await expect(page.getByText(/Not saved/)).toBeHidden();
	});

	test('a pot past its rating is refused', async ({ page }) => {
		await page.goto('/settings');
		await page.getByLabel('You cast at, gauge').fill('90 psi');
		await page.getByRole('button', { name: 'Keep the settings' }).click();
		await expect(page.getByText('past the rating')).toBeVisible();
	});

	test('two people change one resin: the second is told, and keeps what was typed', async ({
		page,
		context
	}) => {
		await page.goto('/shelf');
		await page.getByRole('link', { name: 'Fender flexible' }).first().click();
		await expect(page.getByLabel('Note')).toBeVisible();
		const other = await context.newPage();
		await other.goto(page.url());
		await other.getByLabel('Note').fill('first');
		await other.getByRole('button', { name: 'Keep this resin' }).click();
		await expect(other.getByText('Kept.')).toBeVisible();
		await page.getByLabel('Note').fill('second');
		await page.getByRole('button', { name: 'Keep this resin' }).click();
		await expect(page.getByText('changed on another device')).toBeVisible();
		await expect(page.getByLabel('Note')).toHaveValue('second');
	});
});
