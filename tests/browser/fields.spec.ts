import { expect, test } from '@playwright/test';

test('the clock at the bench is seen whole on a phone, hours and seconds', async ({
	browser,
	request,
	baseURL
}) => {
	const { clocks } = (await (await request.get(`${baseURL}/api/clocks`)).json()) as {
		clocks: { kind: string; href: string }[];
	};
	const bench = clocks.filter((c) => /^\/(pour\/|moulds\/.*\/make)/.test(c.href));
	expect(bench.length).toBeGreaterThan(0);
	const context = await browser.newContext({ viewport: { width: 390, height: 780 } });
	const page = await context.newPage();
	for (const href of new Set(bench.map((c) => c.href))) {
		await page.goto(href);
		const timer = page.getByRole('timer').first();
		await expect(timer).toBeVisible();
		const seen = await timer.evaluate((p) => {
			const box = p.getBoundingClientRect();
			const holds = [...document.querySelectorAll('body *')].filter((e) => e !== p && e.contains(p));
			const clip = holds
				.filter((e) => getComputedStyle(e).overflowY !== 'visible')
				.map((e) => e.getBoundingClientRect());
			return {
				wide: p.scrollWidth <= p.clientWidth && box.left >= 0 && box.right <= window.innerWidth,
				high: clip.every((c) => box.top >= c.top - 1 && box.bottom <= c.bottom + 1)
			};
		});
		expect(seen, href).toEqual({ wide: true, high: true });
	}
	await context.close();
});

test('a bare number is in the unit that the field shows, whatever was typed into it another day', async ({
	page
}) => {
	await page.goto('/mix');
	const field = page.getByRole('textbox', { name: 'Volume', exact: true }).first();
	const note = page.locator(`#${await field.getAttribute('id')}-note`);
	await field.fill('3 oz');
	await field.blur();
	await page.goto('/mix');
	await page.evaluate(() => localStorage.setItem('unit:mixVolume', 'floz'));
	await page.goto('/mix');
	await expect(field).toHaveValue(/ml$/);
	await field.fill('100');
	await expect(note).toContainText(/= 100.ml/);
});
