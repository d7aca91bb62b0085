import { expect, test, type Page } from '@playwright/test';
import { heading } from './bench';

/** A page that lies open at another device: marked, so that one that was loaded anew would show. */
async function open(page: Page, path: string) {
	await page.goto(path);
	await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
	await page.evaluate(() => Object.assign(globalThis, { stayed: true }));
}
const stayed = (page: Page) => page.evaluate(() => 'stayed' in globalThis);

test('what is begun and ended at one device is seen on the pages that lie open at others; what is typed there stays', async ({
	page,
	context,
	request,
	baseURL
}) => {
	const [front, list, ledger] = await Promise.all([1, 2, 3].map(() => context.newPage()));
	await open(front!, '/');
	await open(list!, '/pour');
	await open(ledger!, '/ledger');
	const filter = ledger!.getByLabel('Piece, resin, label, lot or note');
	await filter.fill('half a wo');

	await page.goto('/quick');
	await page.getByRole('textbox', { name: 'Volume', exact: true }).fill('85 ml');
	await expect(page.locator('aside').getByText(/for 85/)).toBeVisible();
	await page.getByRole('button', { name: 'Pour it' }).click();
	await expect(heading(page)).toHaveText('Look the mould over');
	const path = new URL(page.url()).pathname;
	const post = async (event: object) => {
		const data = { events: [{ id: crypto.randomUUID(), atMs: Date.now(), ...event }] };
		const answer = await request.post(`${baseURL}/api${path.replace('pour', 'pours')}/events`, { data });
		expect(answer.status()).toBe(200);
	};
	const shown = [front!, list!].map((p) => p.locator(`main ul a[href="${path}"]`));
	try {
		const told = ledger!.waitForResponse(/__data\.json/);
		await post({ kind: 'step-done', stepId: 'combine' });
		for (const link of shown) await expect(link).toBeVisible({ timeout: 15_000 });
		await told;
		await expect(filter).toHaveValue('half a wo');
	} finally {
		await post({ kind: 'abandoned', reason: 'end of the test' });
	}
	for (const link of shown) await expect(link).toHaveCount(0, { timeout: 15_000 });
	await expect(filter).toHaveValue('half a wo');
	for (const p of [front!, list!, ledger!]) expect(await stayed(p)).toBe(true);
});
