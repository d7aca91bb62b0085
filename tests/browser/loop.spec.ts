import { onceMore } from './bench';
import { expect, test, type Browser, type Page } from '@playwright/test';

const SCRIPT_NAME = `Seahorse <script>alert('x')</script> "knob"`;

/** Presses space the way a maker does, once the step's action is on screen. */
async function step(page: Page, action: string | RegExp): Promise<void> {
	// enabled: the page listens
	await expect(page.getByRole('button', { name: action })).toBeEnabled();
	await page.waitForTimeout(380); // a second press within a third of a second is taken for a bounce
	const title = (await page.getByRole('heading', { level: 1 }).textContent())!;
	await page.keyboard.press('Space');
	await onceMore(page, title, () => page.keyboard.press('Space'));
}

async function secondDevice(browser: Browser, url: string): Promise<Page> {
	const context = await browser.newContext();
	const page = await context.newPage();
	await page.goto(url);
	return page;
}

test.describe.configure({ mode: 'serial' });

let mouldUrl = '';

test('a new maker measures a master', async ({ page }) => {
	await page.goto('/masters');
	await page.getByRole('link', { name: 'New master' }).click();
	await page.getByLabel('Name').fill(SCRIPT_NAME);
	await page.getByLabel('Made of').selectOption('wood');
	await page.getByLabel('Length').fill('2 3/8 in');
	await page.getByLabel('Width').fill('60');
	await page.getByLabel('Height').fill('4 cm');
	await expect(page.getByText('= 60.3 mm')).toBeVisible();
	await page.getByLabel('Spilled water').fill('3 oz');
	await expect(page.getByText('= 85 g (weight ounces)')).toBeVisible();
	await page.getByLabel('Water temperature').fill('68 F');
	await expect(page.locator('aside .answer')).toHaveText(/85\.2.ml/);
	await page.getByRole('button', { name: 'Keep this master' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(SCRIPT_NAME);
});

test('plans a mould round it and takes it into use', async ({ page }) => {
	await page.goto('/masters');
	await page.getByRole('link', { name: SCRIPT_NAME }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(SCRIPT_NAME);
	await page.getByRole('link', { name: 'Plan a mould', exact: true }).click();
	await page.getByLabel('In which rubber').selectOption({ label: 'Tidal grey' });
	await page.getByLabel('Clearance').fill('0');
	await expect(page.getByText('12 mm is usual').first()).toBeVisible();
	await page.getByLabel('Clearance').fill('1/2 in');
	await expect(page.locator('aside .answer').first()).toHaveText(/\d+.g/);
	await expect(page.getByRole('img', { name: /Section and plan/ })).toBeVisible();
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText(SCRIPT_NAME);
	mouldUrl = page.url();
	await page.getByRole('button', { name: 'Rubber is poured now' }).click();
	await expect(page.getByRole('region', { name: 'Running clocks' })).toContainText(SCRIPT_NAME);
	await page.getByRole('button', { name: 'Take it into use' }).click();
	await expect(page.getByRole('link', { name: 'Size a shot' })).toBeVisible();
	await expect(page.getByText('0 pulls')).toBeVisible();
});

test('sizes a shot, pours it with the space bar, and finds it in the ledger', async ({
	page,
	browser,
	context
}) => {
	await page.goto(mouldUrl);
	await page.getByRole('link', { name: 'Size a shot' }).click();
	await page.getByLabel('Resin', { exact: true }).first().selectOption({ label: 'Harbour slow' });
	await page.getByText('Cure it in the pressure pot').click();
	await expect(page.getByRole('figure')).toHaveAttribute('aria-label', /seconds of slack/);
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText(/Shot S\d+/);
	await page.getByRole('button', { name: 'Pour this cup' }).click();

	await step(page, /Clean and whole/);
	await step(page, /Closed and level/);
	await step(page, /All within reach/);
	await page.getByRole('button', { name: 'Humidity: more' }).click();
	await page.getByRole('heading', { name: 'Room, humidity, mould' }).click();
	await step(page, /Keep these readings/);
	await step(page, /Both are stirred/);
	await step(page, /B is measured/);
	await step(page, /A is measured/);
	await step(page, /start the clock/);
	await expect(page.getByRole('timer')).toHaveText(/0:\d\d/);
	await expect(page.getByRole('figure')).toBeVisible();

	// a second device sees the same step, and a reload loses nothing
	const other = await secondDevice(browser, page.url());
	await expect(other.getByRole('button', { name: /It is mixed/ })).toBeVisible();
	await page.reload();
	await expect(page.getByRole('button', { name: /It is mixed/ })).toBeEnabled();

	// the network drops in the middle: the pour goes on, and what was noted arrives later, once
	await context.setOffline(true);
	await step(page, /It is mixed/);
	await step(page, /It is poured/);
	await expect(page.getByText('not yet on the server')).toBeVisible();
	await expect(page.getByRole('button', { name: /Lid is clamped/ })).toBeVisible();
	await expect(other.getByRole('button', { name: /It is mixed/ })).toBeVisible();
	await context.setOffline(false);
	await expect(other.getByRole('button', { name: /Lid is clamped/ })).toBeVisible();
	await expect(page.getByText('not yet on the server')).toBeHidden();

	await step(page, /Lid is clamped/);
	// back and again
	await expect(page.getByRole('button', { name: /At pressure/ })).toBeVisible();
	await page.getByRole('button', { name: 'Back' }).click();
	await page.getByRole('heading', { level: 1 }).click();
	await step(page, /Lid is clamped/);
	await page.getByRole('button', { name: 'Gauge reads: less' }).click();
	await page.getByRole('heading', { level: 1 }).click();
	await step(page, /At pressure/);
	const strip = page.getByRole('region', { name: 'Running clocks' });
	await expect(strip).toContainText('release the pressure');
	await expect(strip).toContainText('demould');
	await step(page, /Pressure released/);
	await step(page, /out of the mould/);

	// without a grade nothing is written
	await page.waitForTimeout(380);
	await page.getByRole('button', { name: /Write it into the ledger/ }).click();
	await expect(page.getByText('Choose a grade for this one')).toBeVisible();
	await page.getByText('needs work', { exact: true }).click();
	await page.getByRole('button', { name: 'bubbles on the face' }).click();
	await page.getByLabel('Note').fill(`under the <b>chin</b> & "ear"`);
	await page.getByRole('button', { name: /Write it into the ledger/ }).click();
	await expect(page.getByRole('heading', { name: 'It is in the ledger' })).toBeVisible();
	await expect(other.getByRole('heading', { name: 'It is in the ledger' })).toBeVisible();
	await other.context().close();

	// one press begins the next pull, at what is done for every one; what was done once is not asked again
	await page.getByLabel('How many in all?').fill('12');
	await page.getByRole('button', { name: 'Pour the next one' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Seat it and close it');
	await expect(page.getByText('pull 2 of 12')).toBeVisible();
	await step(page, /Closed and level/);
	await expect(page.getByRole('button', { name: /B is measured/ })).toBeVisible();
	const abandoned = { id: crypto.randomUUID(), atMs: Date.now(), kind: 'abandoned', reason: 'only tried' };
	const next = `/api/pours/${page.url().split('/').pop()}/events`;
	expect((await page.request.post(next, { data: { events: [abandoned] } })).status()).toBe(200);

	await page.goto('/ledger');
	const row = page.getByRole('row').nth(1);
	await expect(row).toContainText(SCRIPT_NAME);
	await expect(row).toContainText('needs work');
	await row.getByRole('link').first().click();
	await expect(page.getByText(`under the <b>chin</b> & "ear"`)).toBeVisible();
	await expect(page.getByText('Gauge 270').first()).toBeVisible();
	await page.goto(mouldUrl);
	await expect(page.getByText(/round .*, 1 pull$/)).toBeVisible();
});

test('a mould is retired and is then refused for a shot', async ({ page }) => {
	await page.goto(mouldUrl);
	await page.getByRole('button', { name: 'Retire it' }).click();
	await expect(page.getByRole('button', { name: 'Take it back into use' })).toBeVisible();
	await expect(page.getByRole('link', { name: 'Size a shot' })).toBeHidden();
});
