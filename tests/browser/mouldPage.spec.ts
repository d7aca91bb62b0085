import { expect, test, type Page } from '@playwright/test';
import { choose, heading, isKept } from './bench';

const isAwake = (page: Page) => expect(page.locator('fieldset.waking:enabled')).toBeAttached();
const fold = (page: Page) => page.locator('summary', { hasText: 'How it was made' });
const label = (page: Page) => page.getByLabel('Label on the mould');

/** The page of a mould that is in use. */
async function inUse(page: Page) {
	await page.goto('/moulds');
	await page.getByRole('row').filter({ hasText: 'active' }).getByRole('link').first().click();
	await expect(page.getByTestId('pulls-left')).toBeVisible();
	await isAwake(page);
}

test('a poured mould says until when it cures, not what to mix for it; how it was made unfolds', async ({
	page
}) => {
	await page.goto('/moulds/new');
	await choose(page, 'Round which master', /^Rope fender$/);
	await choose(page, 'In which rubber', /Slipway/);
	await label(page).fill('Curing fender');
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(heading(page)).toContainText('Curing fender');
	await expect(page.getByText('The rubber is not poured yet.')).toBeVisible();
	// what was typed and not kept is not folded away with the form
	await label(page).fill('Typed as it was poured');
	await isKept(page, 'Typed as it was poured');
	await page.getByRole('button', { name: 'Rubber is poured now' }).click();
	await page.getByRole('region', { name: 'Unfinished' }).getByRole('button', { name: 'Throw away' }).click();
	await expect(label(page)).toHaveValue('Curing fender');
	await fold(page).click();
	await expect(label(page)).toBeHidden();
	const state = page.getByRole('region', { name: 'As it stands' });
	try {
		await expect(state).toContainText('It cures until');
		await expect(state.getByTestId('ready-at')).toHaveText(/\d:\d\d/);
		await expect(state).toContainText(/Poured .*for a room of .*another .*(h|min)/);
		await expect(page.getByText('not poured yet')).toHaveCount(0);
		// the same after a load of its own, when the server draws it
		await page.reload();
		await isAwake(page);
		await expect(page.getByText('Rubber to mix')).toHaveCount(0);
		await expect(state).toContainText('It cures until');
		await expect(label(page)).toHaveCount(0);
		await fold(page).click();
		await expect(label(page)).toHaveValue('Curing fender');
		await label(page).fill('Cured fender');
		await page.getByRole('button', { name: 'Keep the changes' }).click();
		await expect(heading(page)).toContainText('Cured fender');
		await expect(label(page)).toBeVisible();
	} finally {
		await page.getByRole('button', { name: 'Retire it' }).click();
	}
	await expect(page.getByText('It gave')).toBeVisible();
});

test('what was typed into a folded form is offered when its mould is opened again', async ({ page }) => {
	await inUse(page);
	await expect(label(page)).toHaveCount(0);
	await fold(page).click();
	const note = page.getByLabel('Note', { exact: true });
	await note.fill('sanded its key');
	const offer = page.getByRole('region', { name: 'Unfinished' });
	await isKept(page, 'sanded its key');
	await page.reload();
	await offer.getByRole('button', { name: 'Go on' }).click();
	await expect(note).toHaveValue('sanded its key');
	await expect(note).toBeVisible();
	await note.fill('');
});

test('paper has how a mould was made, folded or not', async ({ page }) => {
	await inUse(page);
	await expect(label(page)).toHaveCount(0);
	await page.emulateMedia({ media: 'print' });
	// its script comes after the page
	await expect
		.poll(async () => {
			await page.evaluate(() => dispatchEvent(new Event('beforeprint')));
			const there = await label(page).isVisible();
			await page.evaluate(() => dispatchEvent(new Event('afterprint')));
			return there;
		})
		.toBe(true);
	await expect(fold(page).locator('xpath=..')).not.toHaveAttribute('open');
});

test('what lies under the edge of a plan comes once the rest is awake, and moves nothing that is seen', async ({
	page
}) => {
	const sent = await (await page.request.get('/moulds/new')).text();
	expect(sent).toContain('It opens');
	expect(sent).not.toContain('Opening and closing');
	await page.addInitScript(() => {
		const moved: number[] = [];
		Object.assign(window, { moved });
		new PerformanceObserver((list) => {
			for (const entry of list.getEntries())
				moved.push((entry as PerformanceEntry & { value: number }).value);
		}).observe({ type: 'layout-shift', buffered: true });
	});
	await page.goto('/moulds/new');
	await isAwake(page);
	await expect(page.getByRole('heading', { name: 'Opening and closing' })).toBeAttached();
	// the browser tells of a shift with the next picture
	await page.evaluate(
		() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)))
	);
	const moved = await page.evaluate(() => (window as unknown as { moved: number[] }).moved);
	expect(moved.reduce((sum, value) => sum + value, 0)).toBeLessThan(0.02);
	await page.getByLabel('Kept where').fill('shelf 2, left');
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByText('Choose the master that the mould is made from.')).toBeVisible();
	await expect(page.getByLabel('Kept where')).toHaveValue('shelf 2, left');
});
