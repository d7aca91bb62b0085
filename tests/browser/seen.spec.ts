import { expect, test, type Page } from '@playwright/test';

/** Screens on which all of it has to be usable: bench, laptop with bars, tablet, telephone, 400 % and 200 % zoom. */
const SCREENS = [
	[1366, 625],
	[390, 844],
	[320, 640],
	[640, 400]
] as const;

async function awake(page: Page) {
	await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
}

for (const [width, height] of SCREENS)
	test(`at ${width} x ${height} every station is reached`, async ({ browser }) => {
		const context = await browser.newContext({ viewport: { width, height } });
		const page = await context.newPage();
		await page.goto('/shelf');
		await awake(page);
		if (width < 640) {
			await page.getByRole('navigation').getByRole('button', { name: 'Shelf' }).click();
			const sheet = page.getByRole('dialog', { name: 'All stations' });
			await expect(sheet.getByRole('link', { name: 'Pots' })).toBeInViewport();
			await page.keyboard.press('Escape');
			await expect(sheet).toBeHidden();
			await expect(page.getByRole('navigation').getByRole('button', { name: 'Shelf' })).toBeFocused();
			await page.getByRole('navigation').getByRole('button', { name: 'Shelf' }).click();
			await sheet.getByRole('link', { name: 'Settings' }).click();
		} else {
			await expect(page.getByRole('link', { name: 'Ledger', exact: true })).toBeAttached();
			await page.getByRole('navigation').getByRole('link', { name: 'Settings' }).click();
		}
		await expect(page.getByRole('heading', { name: 'Settings', level: 1 })).toBeVisible();
		await context.close();
	});

/** A shot that is worked out. */
async function sized(page: Page) {
	await page.goto('/shots/new');
	await awake(page);
	await page.locator('select[name=masterId]').selectOption({ label: 'Ammonite paperweight' });
	await page.locator('select[name=resinId]').selectOption({ label: 'Lantern white' });
	await expect(page.getByText(/^In each of|^To mix/).first()).toBeAttached();
}

for (const [width, height] of [
	[1280, 800],
	[820, 1180],
	[390, 844]
] as const)
	test(`at ${width} px the answer is in sight wherever the form is scrolled, and a wrong field leaves it`, async ({
		browser
	}) => {
		const context = await browser.newContext({ viewport: { width, height } });
		const page = await context.newPage();
		await sized(page);
		const answer = width < 1024 ? page.getByTestId('slim-answer') : page.locator('aside .answer').first();
		const ends = await page.locator('main').evaluate((m) => m.scrollHeight - m.clientHeight);
		for (let at = 0; at <= 1; at += 0.25) {
			await page.locator('main').evaluate((m, top) => m.scrollTo(0, top), at * ends);
			await expect(answer, `at ${at} of the page`).toBeInViewport();
		}
		const before = await page.locator('aside .answer').first().innerText();
		await page.getByLabel('Copies').fill('0');
		await expect(page.locator('aside').first()).toContainText('Below: as it was before.');
		expect(await page.locator('aside .answer').first().innerText()).toBe(before);
		await context.close();
	});

test('a calculating page says one short sentence, not itself', async ({ page }) => {
	await sized(page);
	const live = page.locator('[aria-live]:not([aria-live=off]), [role=status], [role=alert]');
	const spoken = page.locator('aside').first().getByRole('status');
	await expect(spoken).toHaveText(/(To mix|In each of \d+ cups): .*g, slack /);
	const texts = await live.allInnerTexts();
	expect(Math.max(...texts.map((t) => t.length))).toBeLessThan(160);
});

test('the focus is seen: a ring of ink on every control that the tab key reaches', async ({ page }) => {
	for (const path of ['/settings', '/moulds', '/shots/new']) {
		await page.goto(path);
		await awake(page);
		for (let i = 0; i < 40; i++) {
			await page.keyboard.press('Tab');
			const ring = await page.evaluate(() => {
				const at = document.activeElement!;
				const ringed = at.matches('input.sr-only') ? at.parentElement! : at;
				const style = getComputedStyle(ringed);
				return {
					what: `${at.tagName} ${at.textContent?.trim().slice(0, 30) ?? ''}`,
					wide: parseFloat(style.outlineWidth),
					style: style.outlineStyle,
					ink: [style.outlineColor, style.color, getComputedStyle(document.documentElement).color]
				};
			});
			if (ring.what.startsWith('BODY') || ring.what.startsWith('MAIN')) continue;
			expect([ring.what, ring.style, ring.wide]).toEqual([ring.what, 'solid', 3]);
			expect([ring.ink[1], ring.ink[2]], ring.what).toContain(ring.ink[0]);
		}
	}
});

test('in forced colours what is chosen and where one is stay told apart', async ({ browser }) => {
	const context = await browser.newContext({ forcedColors: 'active' });
	const page = await context.newPage();
	await page.goto('/settings');
	await awake(page);
	const ground = (of: string) =>
		page
			.locator(of)
			.first()
			.evaluate((e) => getComputedStyle(e).backgroundColor);
	const chosen = await ground('label:has(> input.sr-only:checked)');
	expect(chosen).not.toBe(await ground('label:has(> input.sr-only:not(:checked))'));
	// what is drawn with colours is dropped there: the device draws its own ticks, and signs take its ink
	await page.goto('/shots/new');
	await awake(page);
	const drawnBy = (of: string) =>
		page
			.locator(of)
			.first()
			.evaluate((e) => getComputedStyle(e).appearance);
	expect(await drawnBy("input[type='checkbox']")).toBe('auto');
	expect(await drawnBy('select')).toBe('auto');
	await page.goto('/moulds');
	expect(await ground('[aria-current] .here')).not.toBe(await ground('nav li a:not([aria-current]) span'));
	await context.close();
});

test('a page waits for one typeface, and a word with letters from further off still stands in ours', async ({
	page
}) => {
	await page.goto('/shelf/resins/new');
	await awake(page);
	await page.evaluate(() => document.fonts.ready);
	const faces = () =>
		page.evaluate(() => [...document.fonts].map((f) => [f.family.replaceAll('"', ''), f.status] as const));
	// a family of two parts has a stand-in made for the part that is not there, in every size
	const families = (await faces()).map(([family]) => family);
	expect(new Set(families).size).toBe(families.length);
	expect((await faces()).filter(([, status]) => status === 'loaded')).toHaveLength(1);
	// no sign is a picture: each would be opened as a page of its own
	const pictures = await page
		.locator('select, input')
		.evaluateAll((all) => all.filter((e) => getComputedStyle(e).backgroundImage.includes('url(')).length);
	expect(pictures).toBe(0);
	await page.locator('input[type="text"], input:not([type])').first().fill('Łódź');
	await expect.poll(async () => (await faces()).filter(([, status]) => status === 'loaded').length).toBe(2);
});
