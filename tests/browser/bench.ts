import { expect, type Page } from '@playwright/test';

/** Chooses the first option of a select whose words fit. */
export async function choose(page: Page, label: string, text: RegExp): Promise<void> {
	const select = page.getByLabel(label, { exact: true }).first();
	await expect(select.locator('option').filter({ hasText: text }).first()).toBeAttached();
	const options = (await select.locator('option').allTextContents()).map((o) => o.trim());
	await select.selectOption({ label: options.find((o) => text.test(o))! });
}

export const heading = (page: Page) => page.getByRole('heading', { level: 1 });

/** Presses space the way a maker does, once the step's action is on screen, and waits for the next step. */
export async function press(page: Page, action: string | RegExp): Promise<void> {
	// enabled: the page listens
	await expect(page.getByRole('button', { name: action })).toBeEnabled();
	const title = (await heading(page).textContent())!;
	await page.waitForTimeout(380); // a second press within a third of a second is taken for a bounce
	await page.keyboard.press('Space');
	await onceMore(page, title, () => page.keyboard.press('Space'));
	await expect(heading(page)).not.toHaveText(title);
}

/** A wait that is cut short is asked about: the same press once more ends it. */
export async function onceMore(page: Page, title: string, again: () => Promise<void>): Promise<void> {
	const asked = page.getByText(/Press once more to end it early/);
	await expect
		.poll(async () => (await asked.count()) > 0 || (await heading(page).textContent()) !== title)
		.toBe(true);
	if ((await heading(page).textContent()) !== title) return;
	await page.waitForTimeout(380);
	await again();
}

/** Pours at a simulated scale: a full stream unless it is only a little, then a trickle, until it is right or over. */
export async function weigh(page: Page, little = false): Promise<void> {
	const status = page.getByTestId('scale-words');
	const say = () => status.textContent();
	await expect(status).toBeVisible();
	await expect(status).not.toContainText('being zeroed');
	for (const [key, until] of [
		['p', /trickle|Right|too much/],
		['t', /Right|too much/]
	] as const) {
		if (until.test((await say())!) || (little && key === 'p')) continue;
		await page.keyboard.down(key);
		await expect(status).toHaveText(until, { timeout: 45_000 });
		await page.keyboard.up(key);
		// what is in the air still falls, and the scale settles
		await expect(status).not.toContainText('still moving');
		await page.waitForTimeout(700);
	}
	await expect(status).toHaveText(/Right|too much/);
}

/** Weighs both parts, mending the ratio for as long as the bench asks for it. */
export async function weighBoth(page: Page): Promise<void> {
	await weigh(page);
	await press(page, /B is measured/);
	await weigh(page);
	await page.waitForTimeout(380);
	await page.keyboard.press('Space');
	await page.waitForTimeout(500);
	await mend(page);
}

/** Adds what is missing, as often as the ratio wants it. */
export async function mend(page: Page): Promise<void> {
	for (let i = 0; i < 9 && /^Add /.test((await heading(page).textContent())!); i++) {
		await weigh(page, true);
		await page.waitForTimeout(380);
		await page.keyboard.press('Space');
		await page.waitForTimeout(500);
	}
}

/** The smallest picture: one dot. */
export const png = Buffer.from(
	'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
	'base64'
);

/** Kept a moment after the last key: a draft of that name is in the browser's own database. */
export const isKept = (page: Page, text: string) =>
	expect
		.poll(() =>
			page.evaluate(
				(wanted) =>
					new Promise<boolean>((done) => {
						const open = indexedDB.open('anthypos-drafts');
						open.onerror = () => done(false);
						open.onsuccess = () => {
							const db = open.result;
							const [store] = [...db.objectStoreNames];
							if (!store) return done(false);
							const all = db.transaction(store).objectStore(store).getAll();
							all.onsuccess = () => {
								db.close();
								done(JSON.stringify(all.result).includes(wanted));
							};
						};
					}),
				text
			)
		)
		.toBe(true);
