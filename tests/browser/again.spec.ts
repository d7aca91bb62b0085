import { expect, test } from '@playwright/test';
import { choose, heading, onceMore } from './bench';

test('a kept shot is changed, sized anew, and asked for again by its mould', async ({ page }) => {
	await page.goto('/shots/new');
	await choose(page, 'Piece', /Quay bollard/);
	await choose(page, 'Resin', /Harbour slow/);
	const sprue = page.getByLabel('Sprue and vents', { exact: true });
	await sprue.fill('7 ml');
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(page).toHaveURL(/\/shots\/[0-9a-f-]{36}$/);
	const url = page.url();
	const title = (await heading(page).textContent())!;

	await page.getByRole('link', { name: 'Change it' }).click();
	await expect(heading(page)).toHaveText(/^Change shot S\d+$/);
	await expect(sprue).toHaveValue(/^7 ml$/);
	await sprue.fill('9 ml');
	await page.getByRole('button', { name: 'Keep the changes' }).click();
	// the same shot, under the same number
	await expect(page).toHaveURL(url);
	await expect(heading(page)).toHaveText(title);

	await page.getByRole('link', { name: 'Size it anew' }).click();
	await expect(page.getByText(/Begun as shot S\d+ was/)).toBeVisible();
	await expect(sprue).toHaveValue(/^9 ml$/);
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(page).toHaveURL(/\/shots\/[0-9a-f-]{36}$/);
	expect(page.url()).not.toBe(url);

	// its mould asks for it again, with what it was poured with
	await page.goto(url);
	await page.locator('main').getByRole('link', { name: /^M\d+/ }).first().click();
	await page.getByRole('link', { name: 'Size a shot' }).first().click();
	await expect(page.getByText(/Begun as shot S\d+ was/)).toBeVisible();
	await expect(page.getByLabel('Resin', { exact: true }).locator('option:checked')).toHaveText(
		/Harbour slow/
	);
	await page.goto('/shots/new?from=00000000-0000-4000-8000-000000000000');
	await expect(page.getByText(/no such|not there|There is no/i).first()).toBeVisible();
});

test('pull after pull: at most eight presses from one to the next', async ({ page }) => {
	// a solid shot of one copy, poured whole once: what is done once stands from then on
	await page.goto('/shots/new');
	await choose(page, 'Piece', /Ammonite/);
	await choose(page, 'Resin', /Lantern white/);
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(page).toHaveURL(/\/shots\/[\da-f-]{36}$/);
	await page
		.getByRole('button', { name: /Pour it|Begin|Pour/ })
		.first()
		.click();
	await expect(page).toHaveURL(/\/pour\/[\da-f-]{36}$/);
	const next = page.getByRole('button', { name: /pour the next one/ });
	/** What the first amount of the pull says of itself. */
	let told = '';
	/** Presses until the cast is to be judged; the question whether a wait may be cut short is none of a real pull. */
	const toTheEnd = async (): Promise<number> => {
		for (let presses = 0; ;) {
			await expect(heading(page)).not.toBeEmpty();
			if (await next.isVisible()) return presses;
			const title = (await heading(page).textContent())!;
			if (title.startsWith('Measure')) told ||= (await page.locator('main').textContent())!;
			await page.waitForTimeout(380);
			await page.keyboard.press('Space');
			await onceMore(page, title, () => page.keyboard.press('Space'));
			await expect(heading(page)).not.toHaveText(title);
			presses++;
			// the last step's own controls are fetched as it is reached
			if (/Demould|Look|Judge|Grade/i.test((await heading(page).textContent())!))
				await page.waitForTimeout(600);
		}
	};
	expect(await toTheEnd()).toBeGreaterThan(7);
	const first = page.url();
	// what was left: nonsense is said at the field, one press notes it
	const left = page.getByRole('region', { name: 'What was left in the cup' });
	await left.getByLabel('Weighed', { exact: true }).fill('9 kg');
	await expect(left.getByText(/No more than .* were mixed/)).toBeVisible();
	await left.getByLabel('Weighed', { exact: true }).fill('');
	await left
		.getByRole('button', { name: /^\d+ g$|^\d+\.\d g$/ })
		.first()
		.click();
	told = '';
	await next.click();
	await expect(page).not.toHaveURL(first);
	await expect(page).toHaveURL(/\/pour\/[\da-f-]{36}$/);
	const presses = await toTheEnd();
	expect(told).toMatch(/Mixed by what the last pour took: .* left last time/);
	expect(presses + 1).toBeLessThanOrEqual(8);
	await expect(page.getByText('Pull 2.')).toBeVisible();
	// given up at the end, so that no mould is held
	await page.getByRole('button', { name: 'Give up' }).click();
	await page.getByRole('button', { name: 'Give this pour up' }).click();
	await expect(heading(page)).toHaveText('Given up');
});
