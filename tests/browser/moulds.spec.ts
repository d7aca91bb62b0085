import { expect, test, type Page } from '@playwright/test';
import { choose, png } from './bench';

test.describe.configure({ mode: 'serial' });

async function plan(page: Page, opens: string, rubber?: RegExp) {
	await page.goto('/moulds/new');
	await choose(page, 'Round which master', /^Lamplighter figure$/);
	await page.getByText(opens, { exact: true }).click();
	if (rubber) await choose(page, 'In which rubber', rubber);
}
const answer = (page: Page) => page.locator('aside .answer').first();

test('the chooser lines the ways up for a master and hands the choice to the planner', async ({ page }) => {
	await page.goto('/moulds');
	await page.getByRole('link', { name: 'Which way?' }).click();
	await choose(page, 'Master', /^Lamplighter figure$/);
	await expect(page.getByRole('heading', { level: 2 })).toHaveCount(7);
	const press = page.getByRole('region', { name: 'Thermoplastic press mould' });
	await page.getByRole('group', { name: 'Fragile' }).getByText('yes').click();
	await expect(press).toContainText('does not fit');
	await expect(press).toContainText('a fragile master breaks');
	await page.getByLabel('Copies').fill('0');
	await expect(page.getByText('At least one copy.')).toBeVisible();
	await page.getByLabel('Copies').fill('12');
	await page
		.getByRole('region', { name: 'Jacket with shell' })
		.getByRole('link', { name: 'Plan it this way' })
		.click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Plan a mould');
	await expect(page.getByRole('radio', { name: 'Skin in a shell' })).toBeChecked();
	await expect(page.getByLabel('Round which master')).not.toHaveValue('');
});

test('a wet mould: powder and water by its water, plaster for a cast; too warm is said with what would do', async ({
	page
}) => {
	await page.goto('/moulds/new?kind=wet');
	await choose(page, 'Round which master', /^Cobble tile$/);
	await expect(answer(page)).toHaveText(/\d+.g/);
	await expect(page.getByRole('cell', { name: 'Plaster' })).toBeVisible();
	await page.getByLabel('Water', { exact: true }).fill('40 C');
	await expect(page.getByText(/Take water of \d+ °C or colder/).first()).toBeVisible();
	await page.getByLabel('Water per powder').fill('20');
	await expect(page.getByText(/Over ten of water to one of powder/).first()).toBeVisible();
	await page.getByLabel('Water per powder').fill('2');
	await page.getByLabel('Water', { exact: true }).fill('16 C');
	await page.getByRole('group', { name: 'Cast in it' }).getByText('wax').click();
	await expect(page.getByRole('cell', { name: 'Wax' })).toBeVisible();
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText('Cobble tile');
	await expect(page.getByText('It is not poured yet', { exact: false })).toBeVisible();
	await page.getByRole('button', { name: 'Make it, step by step' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Fix the master down');
});

test('a jacket: coats, shell and bolts; bad input is said at its field and nothing is lost', async ({
	page
}) => {
	await plan(page, 'Skin in a shell', /Spindrift/);
	await expect(answer(page)).toHaveText(/\d+.g/);
	await expect(page.getByRole('row').filter({ hasText: 'Print coat' })).toBeVisible();
	await expect(page.getByRole('row').filter({ hasText: 'bolts and nuts' })).toBeVisible();
	await page.getByLabel('Skin', { exact: true }).fill('1 mm');
	await expect(page.getByText('The print coat alone is 1 mm').first()).toBeVisible();
	await page.getByLabel('Skin', { exact: true }).fill('9 mm');
	await page.getByLabel('Coats').fill('1');
	await expect(page.getByText(/at least one that carries/).first()).toBeVisible();
	await page.getByLabel('Coats').fill('4');
	await page.getByLabel('Label on the mould').fill('Jacket <of> the lamplighter');
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText('Jacket <of> the lamplighter');
	await expect(page.getByText('Jacket with shell round Lamplighter figure')).toBeVisible();
});

test('a press mould is pressed from the shelf’s thermoplastic; a rigid one needs no rubber', async ({
	page
}) => {
	await plan(page, 'Re-meltable, pressed');
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByText('Choose what it is pressed from').first()).toBeVisible();
	await page.getByLabel('Pressed from which thermoplastic').selectOption({ index: 1 });
	await page.getByLabel('Halves part at').fill('900 mm');
	await expect(page.getByText(/The parting line runs round the master: between 0 and/).first()).toBeVisible();
	await page.getByLabel('Halves part at').fill('');
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByText('Thermoplastic press mould round Lamplighter figure')).toBeVisible();
	await plan(page, 'Rigid');
	await expect(answer(page)).toHaveText(/ml/);
	await page.getByText('printed', { exact: true }).click();
	// both reasons are said, although both are a sticking
	const sticks = [
		/flexible: A flexible urethane sticks in a printed mould/,
		/: Resin keys into the face of a printed/
	];
	for (const said of sticks) await expect(page.getByText(said)).toBeVisible();
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByText('Rigid mould round Lamplighter figure')).toBeVisible();
	for (const said of sticks) await expect(page.getByText(said)).toBeVisible();
});

test('bricks, cavities and vacuum change the sums; a clearance of nothing is refused', async ({ page }) => {
	await plan(page, 'By a cut seam', /Tidal/);
	const before = (await answer(page).textContent())!;
	await page.getByText('Bricks', { exact: true }).click();
	await expect(page.getByRole('row').filter({ hasText: 'bricks, one wide' })).toContainText('courses');
	await expect(answer(page)).not.toHaveText(before);
	await page.getByText('A box', { exact: true }).click();
	await page.getByText('vacuum', { exact: true }).click();
	await expect(page.getByText('Vacuum takes')).toBeVisible();
	await page.getByLabel('Cavities').fill('4');
	await expect(page.getByText('Saved by one block')).toBeVisible();
	await page.getByLabel('Cavities').fill('2.5');
	await expect(page.getByText('Cavities are whole.').first()).toBeVisible();
	await page.getByLabel('Cavities').fill('1');
	await page.getByLabel('Clearance').fill('0');
	await expect(page.getByText('12 mm is usual').first()).toBeVisible();
	await expect(page.getByLabel('Label on the mould')).toHaveValue('Lamplighter figure');
});

/** Something that is waited for, and when it has come. */
function signal() {
	let give = () => {};
	const given = new Promise<void>((come) => (give = come));
	return { give: () => give(), given };
}

let mouldUrl = '';
test('a mould is made step by step, survives a reload, and is looked over at the end', async ({ page }) => {
	await plan(page, 'By a cut seam', /Slipway/);
	await page.getByLabel('Label on the mould').fill('Step by step');
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText('Step by step');
	mouldUrl = page.url();
	await page.getByRole('button', { name: 'Make it, step by step' }).click();
	await expect(page.getByRole('heading', { name: 'Fix the master down' })).toBeVisible();
	await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
	const press = async () => {
		await page.keyboard.press('Space');
		await page.waitForTimeout(400);
	};
	for (let i = 0; i < 12 && !(await page.getByRole('heading', { name: 'Mix', exact: true }).isVisible()); i++)
		await press();
	await expect(page.getByText('left of its working time')).toBeVisible();
	await page.reload();
	await expect(page.getByRole('heading', { name: 'Mix', exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Back' }).click();
	await expect(page.getByRole('heading', { name: 'Combine A and B' })).toBeVisible();
	// a wait of hours is asked about before one press, which may have been a slip, ends it
	let asked = 0;
	for (
		let i = 0;
		i < 20 && !(await page.getByRole('heading', { name: 'Look the mould over' }).isVisible());
		i++
	) {
		await press();
		asked += await page.getByText(/^Only .* have passed. Press once more to end it early/).count();
	}
	expect(asked).toBeGreaterThan(0);
	await page.getByLabel('Water that one cavity takes').fill('about');
	await expect(page.getByText(/is not understood/)).toBeVisible();
	await page.getByLabel('Water that one cavity takes').fill('150 ml');
	await page.getByText('bubbles inside').click();
	// the last press arrives while the mould's page, read before it, is on its way
	const [read, arrived] = [signal(), signal()];
	await page.exposeFunction('itArrived', arrived.give);
	await page.evaluate(() =>
		window.addEventListener('anthypos-clocks', () => (window as unknown as { itArrived(): void }).itArrived())
	);
	await page.route('**/api/makings/*/events', async (route) => {
		if (route.request().method() === 'POST') await read.given;
		await route.continue();
	});
	await page.route(`${new URL(mouldUrl).pathname}/__data.json*`, async (route) => {
		const response = await route.fetch();
		read.give();
		await arrived.given;
		await route.fulfill({ response });
	});
	await page.getByRole('button', { name: /It goes on the shelf/ }).click();
	await expect(page.getByRole('heading', { name: 'The mould is made' })).toBeVisible();
	await page.getByRole('link', { name: 'To the mould' }).click();
	const look = page.getByRole('region', { name: 'First look' });
	await expect(look).toContainText('bubbles inside');
	await expect(look).toContainText(/cut short, .* of .*h/);
	await page.getByRole('button', { name: 'Take it into use' }).click();
	await page.getByRole('button', { name: 'Rest it' }).click();
	await expect(page.locator('.tag', { hasText: 'resting' }).first()).toBeVisible();
});

test('its papers, pictures and successor', async ({ page }) => {
	await page.goto(mouldUrl);
	const pdf = async (path: string) => {
		const response = await page.request.get(path);
		expect(response.headers()['content-type']).toContain('application/pdf');
		expect((await response.body()).subarray(0, 5).toString()).toBe('%PDF-');
	};
	await pdf(`${mouldUrl}/board.pdf`);
	await pdf(new URL('/moulds/labels.pdf', mouldUrl).href);
	const svg = await (await page.request.get(`${mouldUrl}/drawing.svg`)).text();
	expect(svg).toContain('Step by step');
	expect(svg).not.toContain('NaN');
	expect((await page.request.get(new URL('/moulds/labels.pdf?ids=nobody', mouldUrl).href)).status()).toBe(
		404
	);
	await page
		.locator('input[name=photo]')
		.setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText('This file is not a JPEG, PNG or WebP picture.')).toBeVisible();
	await page
		.locator('input[name=photo]')
		.setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: png });
	await page.getByLabel('What it shows').fill('the cut');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByRole('img', { name: 'the cut' })).toBeVisible();
	await page.getByRole('button', { name: 'Take off the picture the cut' }).click();
	await expect(page.getByRole('img', { name: 'the cut' })).toHaveCount(0);
	await page.getByRole('link', { name: 'Plan its successor' }).click();
	await expect(page.getByLabel('Follows')).not.toHaveValue('');
	await page.getByLabel('Label on the mould').fill('The next one');
	await page.getByRole('button', { name: 'Keep this mould' }).click();
	await expect(page.getByText('It follows')).toContainText('Step by step');
});
