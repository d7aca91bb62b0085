import { expect, test, type Page } from '@playwright/test';
import { boxesStl, posts } from '../boxes';

test.describe.configure({ mode: 'serial' });
let masterUrl = '';

const take = async (page: Page, name: string, buffer: Buffer) => {
	const input = page.locator('input[type=file]').first();
	// before the page is awake a file is taken by nobody
	await expect(input).toBeEnabled();
	await input.setInputFiles({ name, mimeType: 'model/stl', buffer });
};

test('a file that is none, and one that was cut off, are said; the page lives on', async ({ page }) => {
	await page.goto('/masters/from-file');
	await take(page, 'letter.stl', Buffer.from('Dear museum, enclosed you find nothing.'));
	await expect(page.getByRole('alert')).toContainText(/no STL|too short/);
	await take(page, 'half.stl', posts().subarray(0, 900));
	await expect(page.getByRole('alert')).toContainText('cut off');
	await take(page, 'empty.stl', Buffer.alloc(0));
	await expect(page.getByRole('alert')).toContainText('empty');
	const open = boxesStl([[0, 0, 0, 20, 30, 40]]).subarray(0, 84 + 50 * 10);
	open.writeUInt32LE(10, 80);
	await take(page, 'open.stl', open);
	await expect(page.getByText(/open edges: the surface has holes/)).toBeVisible();
});

test('a master from its file: unit asked, pocket found and cured, kept and found again', async ({ page }) => {
	await page.goto('/masters');
	await page.getByRole('link', { name: 'From a 3D file' }).click();
	await take(page, 'posts.stl', posts());
	await expect(page.getByText('The file does not say its unit')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Keep this master' })).toBeDisabled();
	await page.getByRole('button', { name: /drawn in mm/ }).click();
	// 12 + 3 + 0.96 ml
	await expect(page.locator('aside .answer').first()).toHaveText(/16.ml/);
	await page.getByRole('button', { name: 'As drawn' }).click();
	await expect(page.getByRole('heading', { name: 'Air stays in one place' })).toBeVisible();
	await expect(page.getByRole('row').filter({ hasText: '15' })).toContainText(/0\.9\d+.ml/);
	await page.getByRole('button', { name: 'Vent pocket 1' }).click();
	await expect(page.getByRole('heading', { name: 'No air stays' })).toBeVisible();
	await page.getByRole('button', { name: 'Remove vent 1' }).click();
	await expect(page.getByRole('heading', { name: 'Air stays in one place' })).toBeVisible();
	await page.getByLabel('Make it this tall').fill('80 mm');
	await page.getByRole('button', { name: 'Scale' }).click();
	await expect(page.locator('aside .answer').first()).toHaveText(/128.ml/);
	await page.getByLabel('Name').fill('Twin <posts>');
	await page.getByRole('button', { name: 'Keep this master' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Twin <posts>');
	masterUrl = page.url();
	await expect(page.getByRole('region', { name: 'One copy' })).toContainText(/128.ml/);
	await expect(page.getByText('Pocket 1')).toBeVisible();
	await expect(page.getByRole('img', { name: 'Twin <posts>' })).toBeVisible();
});

test('the kept file comes back with its position, and the best one is found', async ({ page }) => {
	await page.goto(`${masterUrl}/shape`);
	await expect(page.getByRole('heading', { name: 'Air stays in one place' })).toBeVisible();
	await expect(page.getByRole('button', { name: 'As drawn' })).toHaveAttribute('aria-pressed', 'true');
	await page.getByRole('button', { name: 'Find the best' }).click();
	await page.getByRole('button', { name: /^Best no pocket/ }).click();
	await expect(page.getByRole('heading', { name: 'No air stays' })).toBeVisible();
	await page.getByRole('button', { name: 'Keep it on the master' }).click();
	await expect(page.getByText('Kept.')).toBeVisible();
	await page.goto(masterUrl);
	await expect(page.getByText('No air stays as it is poured')).toBeVisible();
});

test('a press on the piece sets a vent; keys turn it', async ({ page }) => {
	// the figure's body stands in the middle of the view
	await page.goto('/masters');
	await page.getByRole('link', { name: 'Lamplighter figure', exact: true }).click();
	await page.getByRole('link', { name: 'Its 3D file' }).click();
	const view = page.getByRole('application');
	await expect(view).toBeVisible();
	await expect(page.getByRole('heading', { name: 'No air stays' })).toBeVisible();
	await view.focus();
	for (const key of ['ArrowLeft', 'ArrowUp', '+', 'Home']) await page.keyboard.press(key);
	await page.getByText('vent', { exact: true }).click();
	await view.click();
	await expect(page.getByRole('button', { name: 'Remove vent 1' })).toBeVisible();
	await view.focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('button', { name: 'Remove vent 2' })).toBeVisible();
});

test('without a file: places are noted by looking, and kept beside the file’s', async ({ page }) => {
	await page.goto(`${masterUrl}/look`);
	await page.getByRole('button', { name: 'Note one' }).first().click();
	await page.getByRole('button', { name: 'Keep these places' }).click();
	await expect(page.getByText('Say where it is')).toBeVisible();
	await page.getByLabel('Where').fill('tip of the short post');
	await page.getByLabel('What helps').selectOption('squeeze or roll');
	await page.getByRole('button', { name: 'Keep these places' }).click();
	await expect(page.getByText('Kept on the master.')).toBeVisible();
	await page.goto(masterUrl);
	await expect(page.getByText('tip of the short post')).toBeVisible();
});

test('several readings are compared, and the maker says which one counts', async ({ page }) => {
	await page.goto('/masters');
	await page.getByRole('link', { name: 'Ammonite paperweight', exact: true }).click();
	await page.getByText('How it was measured, and its record').click();
	await expect(page.getByText(/within ± [\d.]+ % of their\s+mean/)).toBeVisible();
	await page.getByText('Rise in a cup', { exact: true }).last().click();
	await page.getByLabel('Level before').fill('300 ml');
	await page.getByLabel('Level with the part under').fill('250 ml');
	await page.getByRole('button', { name: 'Add this reading to the list' }).click();
	await expect(page.getByText('The water rises')).toBeVisible();
	await page.getByLabel('Level with the part under').fill('421 ml');
	await page.getByRole('button', { name: 'Add this reading to the list' }).click();
	await page
		.getByRole('radio')
		.filter({ has: page.locator('xpath=self::*[@id="used-3"]') })
		.check();
	await expect(page.locator('aside .answer')).toHaveText(/121.ml/);
	const saved = page.waitForResponse((r) => r.request().method() === 'POST' && r.url().includes('/masters/'));
	await page.getByRole('button', { name: 'Keep the changes' }).click();
	expect((await saved).ok()).toBe(true);
	await page.reload();
	await expect(page.getByRole('region', { name: 'One copy' })).toContainText(/121.ml/);
});

test('several parts in one file: one that is left out leaves the volume', async ({ page }) => {
	const box = (n: number, [x, y, z]: number[], [w, d, h]: number[]) =>
		[
			`o part ${n}`,
			...[0, 1, 2, 3, 4, 5, 6, 7].map(
				(i) => `v ${x! + (i & 1) * w!} ${y! + ((i >> 1) & 1) * d!} ${z! + (i >> 2) * h!}`
			),
			...['1 3 4 2', '5 6 8 7', '1 2 6 5', '3 7 8 4', '1 5 7 3', '2 4 8 6'].map(
				(f) =>
					`f ${f
						.split(' ')
						.map((i) => Number(i) + 8 * n)
						.join(' ')}`
			)
		].join('\n');
	await page.goto('/masters/from-file');
	const text = `# two\n${box(0, [0, 0, 0], [40, 30, 10])}\n${box(1, [60, 0, 0], [10, 10, 40])}\n`;
	await take(page, 'two.obj', Buffer.from(text));
	await page.getByRole('button', { name: /drawn in mm/ }).click();
	await expect(page.locator('aside .answer').first()).toHaveText(/16.ml/);
	await page.getByLabel('part 1').uncheck();
	await expect(page.locator('aside .answer').first()).toHaveText(/12.ml/);
});
