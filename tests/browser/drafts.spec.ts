import { expect, test, type Page } from '@playwright/test';
import { isKept } from './bench';

const name = (page: Page) => page.getByRole('textbox', { name: 'Name', exact: true });
const unfinished = (page: Page) => page.getByRole('region', { name: 'Unfinished' });

test('what was typed is there again after a look at the shelf, and after a reload; saved, it is forgotten', async ({
	page
}) => {
	await page.goto('/shelf/releases/new');
	await name(page).fill('Draft balsam');
	await isKept(page, 'Draft balsam');
	await page.getByRole('link', { name: 'Shelf', exact: true }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shelf');
	await page.goto('/');
	await expect(page.getByText('Left unfinished here')).toBeVisible();
	await page.getByRole('link', { name: 'Go on', exact: true }).first().click();
	await expect(page).toHaveURL(/\/shelf\/releases\/new$/);
	await expect(name(page)).toHaveValue('');
	await unfinished(page).getByRole('button', { name: 'Go on' }).click();
	await expect(name(page)).toHaveValue('Draft balsam');
	await expect(unfinished(page)).toHaveCount(0);
	await page.reload();
	await unfinished(page).getByRole('button', { name: 'Go on' }).click();
	await page.getByLabel('It is a', { exact: true }).selectOption('talc');
	await page.getByRole('button', { name: 'Keep this release' }).click();
	await expect(page).toHaveURL(/\/shelf\/releases\/[0-9a-f-]{36}$/);
	await page.goto('/shelf/releases/new');
	await expect(name(page)).toBeVisible();
	await expect(unfinished(page)).toHaveCount(0);
});

test('thrown away it is gone; nothing typed is no draft', async ({ page }) => {
	await page.goto('/shelf/fillers/new');
	await name(page).fill('Draft chaff');
	await isKept(page, 'Draft chaff');
	await page.reload();
	await unfinished(page).getByRole('button', { name: 'Throw away' }).click();
	await expect(name(page)).toHaveValue('');
	await page.reload();
	await expect(name(page)).toBeVisible();
	await expect(unfinished(page)).toHaveCount(0);
});

test('a record that was saved otherwise since stands beside what was typed', async ({ page, context }) => {
	await page.goto('/shelf');
	await page.getByRole('link', { name: 'Planking wax' }).click();
	const note = (p: Page) => p.getByRole('textbox', { name: 'Note' });
	await note(page).fill('mine');
	await isKept(page, 'mine');
	const other = await context.newPage();
	await other.goto(page.url());
	await note(other).fill('theirs');
	await other.getByRole('button', { name: 'Keep this release' }).click();
	await expect(other.getByText('Kept.')).toBeVisible();
	await page.reload();
	const offer = unfinished(page);
	await expect(offer.getByRole('row').filter({ hasText: 'Note' })).toContainText('theirs');
	await expect(offer.getByRole('row').filter({ hasText: 'Note' })).toContainText('mine');
	await offer.getByRole('button', { name: 'Go on with mine' }).click();
	await expect(note(page)).toHaveValue('mine');
});

test('two tabs of one form keep two drafts', async ({ page, context }) => {
	await page.goto('/shelf/colours/new');
	const other = await context.newPage();
	await other.goto('/shelf/colours/new');
	await name(page).fill('Draft one');
	await name(other).fill('Draft two');
	await isKept(page, 'Draft one');
	await isKept(page, 'Draft two');
	await page.reload();
	await expect(unfinished(page)).toHaveCount(2);
});

test('a device that keeps nothing says so, and the form works on', async ({ page }) => {
	await page.addInitScript(() => {
		IDBObjectStore.prototype.put = () => {
			throw new DOMException('full', 'QuotaExceededError');
		};
	});
	await page.goto('/shelf/thermoplastics/new');
	await name(page).fill('Draft nowhere');
	await expect(page.getByText(/This device keeps nothing more/)).toBeVisible();
	await expect(name(page)).toHaveValue('Draft nowhere');
});
