import { expect, test, type Page } from '@playwright/test';

/** Holds the scripts of the pages that are opened from now on, until they may wake. */
async function asleep(page: Page): Promise<() => void> {
	let wake = () => {};
	const allowed = new Promise<void>((go) => (wake = go));
	await page.route('**/_app/**/*.js', async (route) => {
		await allowed;
		await route.continue();
	});
	return wake;
}

/** Until every part of the page is awake. */
async function wholly(page: Page): Promise<void> {
	await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
	// what this device holds unfinished is read by now
	await page.waitForFunction(async () => (await indexedDB.databases()).length > 0);
	// its parts wake one after another, a task each: there are fewer of them than this
	await page.evaluate(async () => {
		for (let i = 0; i < 60; i++) await new Promise((go) => setTimeout(go));
	});
}

const PAGES = [
	...['/', '/shots/new', '/cure', '/mix', '/quick', '/settings', '/shelf', '/shelf/resins/new'],
	...['/masters/new', '/moulds/new', '/moulds/choose', '/pots/load', '/orders/board', '/ledger']
];
for (const path of PAGES)
	test(`what the server drew of ${path} stays where it is when the page wakes part by part`, async ({
		page
	}) => {
		const said: string[] = [];
		// a clock that runs out just now rings, and the browser says that nobody has pressed anything yet
		const isRing = (text: string) => text.startsWith('The AudioContext was not allowed to start');
		page.on('console', (m) => m.type() !== 'log' && !isRing(m.text()) && said.push(m.text()));
		page.on('pageerror', (e) => said.push(e.message));
		await page.addInitScript(() => {
			// the page's own scripts are modules: they begin after this
			document.addEventListener('readystatechange', () => {
				if (document.readyState !== 'interactive') return;
				for (const el of document.querySelectorAll('main *')) (el as { drawn?: true }).drawn = true;
			});
		});
		await page.goto(path);
		// nothing can be typed before all parts listen
		await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
		const parts = await page.evaluate(() => {
			const isPart = (el: Element) =>
				el.firstChild instanceof Comment && el.firstChild.data === '[' && el.classList.contains('contents');
			const drawn = (el: Element) => (el as { drawn?: true }).drawn === true;
			// one may wait for something that is not chosen yet, and hold nothing
			const all = [...document.querySelectorAll('main *')].filter((el) => isPart(el) && el.firstElementChild);
			return all.map((part) => {
				// what is declared late was never sent
				const within = [...part.querySelectorAll('*')].filter((el) => !el.closest('[data-late]'));
				return {
					kept: drawn(part) && drawn(part.firstElementChild!),
					share: within.filter(drawn).length / within.length
				};
			});
		});
		expect(parts.length).toBeGreaterThan(0);
		expect(await page.locator('[data-late]:empty').count()).toBe(0);
		for (const { kept, share } of parts) {
			expect(kept).toBe(true);
			expect(share).toBeGreaterThan(0.8);
		}
		expect(said).toEqual([]);
	});

test('a part that wakes later does what it is asked: what is chosen above changes it, and what is typed in it counts', async ({
	page
}) => {
	await page.goto('/shots/new');
	await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
	await page.getByLabel('Piece').selectOption({ label: 'Rope fender' });
	await page.getByLabel('Resin', { exact: true }).first().selectOption({ label: 'Fender flexible' });
	const answer = page.getByRole('complementary', { name: 'To mix' });
	await expect(answer).toContainText('pot life');
	const before = await answer.innerText();
	// the room stands in the last part
	await page.getByLabel('Room', { exact: true }).fill('30');
	await expect.poll(() => answer.innerText()).not.toBe(before);
	await page.getByText('Hollow, in rolled layers').click();
	await expect(page.getByLabel('Share lost')).toBeVisible();
});

for (const [list, link, line] of [
	['/masters', 'role=link[name="Ammonite paperweight"s]', 'How it was measured, and its record'],
	['/ledger', '', 'Fault, resin, days'],
	['/ledger', 'a[data-pull]', 'Add a weight, a size or mending']
] as const)
	test(`"${line}" stays unfolded when it is pressed before its page is awake`, async ({ page }) => {
		await page.goto(list);
		const path = link ? await page.locator('main').locator(link).first().getAttribute('href') : list;
		const wake = await asleep(page);
		await page.goto(path!, { waitUntil: 'commit' });
		const fold = page.locator('details').filter({ hasText: line }).last();
		await fold.locator('summary').filter({ hasText: line }).click();
		await expect(fold).toHaveAttribute('open');
		wake();
		await wholly(page);
		await expect(fold).toHaveAttribute('open');
		await fold.locator('summary').filter({ hasText: line }).click();
		await expect(fold).not.toHaveAttribute('open');
	});

test('a board that is moved along before it is awake stays where it was brought', async ({ page }) => {
	const wake = await asleep(page);
	await page.goto('/orders/board', { waitUntil: 'commit' });
	const board = page.getByRole('region', { name: 'Board by hour' });
	// once its hours have come there is as much of it
	await expect.poll(() => board.evaluate((e) => ((e.scrollLeft = 700), e.scrollLeft))).toBe(700);
	wake();
	await wholly(page);
	expect(await board.evaluate((e) => e.scrollLeft)).toBe(700);
	// and its hours are drawn there
	const hours = board.locator('.num').filter({ visible: true });
	await expect(async () => {
		const inSight = await hours.evaluateAll(
			(all) =>
				all.filter((e) => {
					const { left, right } = e.getBoundingClientRect();
					return left > 0 && right < window.innerWidth;
				}).length
		);
		expect(inSight).toBeGreaterThan(2);
	}).toPass();
});
