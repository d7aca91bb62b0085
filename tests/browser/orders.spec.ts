import { expect, test } from '@playwright/test';
import { choose, heading } from './bench';

test('an order is taken, planned, begun from the list of today, and called off', async ({ page }) => {
	await page.goto('/orders/new');
	await page.getByLabel('For whom or what').fill('Lighthouse shop');
	await page.getByLabel('Copies', { exact: true }).fill('0');
	await page.getByRole('button', { name: 'Take it', exact: true }).click();
	// two fields want a look, and nothing that was typed is gone
	await expect(page.getByText('At least one copy.')).toBeVisible();
	await expect(page.getByText(/Choose the shot/)).toBeVisible();
	await expect(page.getByLabel('For whom or what')).toHaveValue('Lighthouse shop');
	await choose(page, 'Cast by', /Lamplighter figure, Lantern white/);
	await page.getByLabel('Copies', { exact: true }).fill('2');
	await page.getByRole('button', { name: 'Take it', exact: true }).click();
	await expect(page).toHaveURL(/\/orders\/[\da-f-]{36}$/);
	const url = page.url();
	await expect(page.getByLabel('Whether the day holds')).toContainText(/%|planned/);
	await expect(page.getByRole('heading', { name: 'What it costs' })).toBeVisible();

	await page.getByRole('button', { name: 'What helps most?' }).click();
	await expect(page.getByText(/sooner|bring it forward/).first()).toBeVisible({ timeout: 30_000 });

	await page.getByRole('link', { name: 'Orders', exact: true }).first().click();
	await expect(heading(page)).toHaveText('Orders');
	await expect(page.getByRole('heading', { name: 'Lighthouse shop' })).toBeVisible();
	const follow = page.getByRole('button', { name: 'Follow it' });
	if (await follow.isVisible()) await follow.click();
	await expect(follow).toBeHidden();

	await page.getByRole('link', { name: 'Today', exact: true }).click();
	await expect(heading(page)).toHaveText('Today');
	await expect(page.getByRole('button', { name: /^Begin/ }).first()).toBeVisible();

	// called off, it is planned no more, and what is kept of it stays
	await page.goto(url);
	await page.getByLabel('It is', { exact: true }).selectOption('called off');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('Kept.')).toBeVisible();
	await page.goto('/orders');
	await page.getByText(/done or called off/).click();
	await expect(page.getByRole('link', { name: 'Lighthouse shop' })).toBeVisible();
});

test('the board is read and moved by keys: what cannot go somewhere says why', async ({ page }) => {
	// what has moved since is taken first: a pin would bring it with it
	await page.goto('/orders');
	const follow = page.getByRole('button', { name: 'Follow it' });
	if (await follow.isVisible()) await follow.click();
	await expect(follow).toBeHidden();
	await page.goto('/orders/board');
	await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
	const board = page.getByRole('region', { name: 'Board by hour' });
	await board.focus();
	await page.keyboard.press('End');
	await page.keyboard.press('ArrowRight');
	const picked = page.getByRole('region', { name: 'What is picked' });
	await expect(picked.getByRole('button', { name: 'Put it there' })).toBeEnabled();
	await page.keyboard.press('Escape');
	await expect(picked.getByRole('button', { name: 'Put it there' })).toBeDisabled();
	await picked.getByRole('button', { name: 'Pin it here' }).click();
	await expect(picked.getByRole('button', { name: 'Let it go' })).toBeVisible({ timeout: 30_000 });
	await picked.getByRole('button', { name: 'Let it go' }).click();
	await expect(picked.getByRole('button', { name: 'Pin it here' })).toBeVisible({ timeout: 30_000 });
	// nobody is there in the night: sixteen hours later than a morning's pull
	await board.focus();
	await page.keyboard.press('Home');
	for (let k = 0; k < 14; k++) await page.keyboard.press('Shift+ArrowRight');
	await page.keyboard.press('Enter');
	await expect(picked.getByRole('status')).toContainText(/cannot go there|No plan was found/, {
		timeout: 30_000
	});
	for (const zoom of ['Hour', 'Week', 'Month']) {
		await page.getByText(zoom, { exact: true }).click();
		await expect(
			board
				.getByText('Mon', { exact: false })
				.or(board.getByText('Tue', { exact: false }))
				.first()
		).toBeVisible();
	}
});

test('a bar is dragged by mouse: it follows the hand, and the workshop says what comes of it', async ({
	page
}) => {
	await page.goto('/orders/board');
	await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
	const board = page.getByRole('region', { name: 'Board by hour' });
	const picked = page.getByRole('region', { name: 'What is picked' });
	const hands = board.getByRole('group').first().locator('.bar.movable');
	const id = await hands.last().getAttribute('data-id');
	const bar = board.locator(`.bar[data-id="${id}"]`).first();
	await bar.evaluate((element) => element.scrollIntoView({ block: 'nearest', inline: 'center' }));
	// it stands still, and nothing lies over it
	await bar.hover();
	await page.mouse.down();
	await expect(bar).toHaveClass(/picked/);
	const before = (await bar.boundingBox())!;
	await page.mouse.move(before.x + before.width / 2 + 40, before.y + before.height / 2, { steps: 8 });
	// it follows before anything is asked
	await expect.poll(async () => (await bar.boundingBox())!.x - before.x).toBeGreaterThan(25);
	await page.mouse.up();
	await expect(picked.getByRole('status')).toContainText(
		/Nothing else moves|moves|later|sooner|cannot go there|No plan was found/,
		{ timeout: 30_000 }
	);
	const letGo = picked.getByRole('button', { name: 'Let it go' });
	if (await letGo.isVisible()) {
		await letGo.click();
		await expect(picked.getByRole('button', { name: 'Pin it here' })).toBeVisible({ timeout: 30_000 });
	}
});

test('the board draws what is near what is seen, at each zoom the same moment, and on paper a sheet for each day', async ({
	page
}) => {
	await page.goto('/orders/board');
	await page.locator('fieldset.waking:enabled').waitFor({ state: 'attached' });
	const board = page.getByRole('region', { name: 'Board by hour' });
	const bars = board.locator('.bar');
	await expect(bars.first()).toBeAttached();
	// by keys to the last thing that hands do
	await board.focus();
	await page.keyboard.press('End');
	await expect(board.locator('.bar.picked').first()).toBeInViewport();
	// an hour is 56 px wide, then 14
	const before = await board.evaluate((el) => el.scrollLeft / 56 / 24);
	expect(before).toBeGreaterThan(0.5);
	await page.getByText('Week', { exact: true }).click();
	const most = await board.evaluate((el) => (el.scrollWidth - el.clientWidth) / 14 / 24);
	await expect
		.poll(() => board.evaluate((el) => el.scrollLeft / 14 / 24))
		.toBeCloseTo(Math.min(before, most), 1);
	// all bars of the hands stand on paper, each day on a sheet of its own
	await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
	const sheets = page.locator('.board > .break-inside-avoid');
	await expect(sheets.first()).toBeAttached();
	const onPaper = await sheets.locator('.bar').count();
	await page.getByText('Month', { exact: true }).click();
	await expect.poll(() => bars.count()).toBeLessThanOrEqual(onPaper);
	await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
	await expect(sheets).toHaveCount(0);
});

test('a better plan is looked for beside the page, and stopped', async ({ page }) => {
	await page.goto('/orders/board');
	const better = page.getByRole('region', { name: 'A better plan' });
	await better.getByRole('button', { name: 'Look for a better plan' }).click();
	await expect(better.getByRole('status')).toContainText(/\d+ orders of work looked at/, { timeout: 60_000 });
	const looked = async () =>
		Number(
			/([\d,]+) orders of work/.exec(await better.getByRole('status').innerText())![1]!.replaceAll(',', '')
		);
	const first = await looked();
	await expect.poll(looked, { timeout: 60_000 }).toBeGreaterThan(first);
	// the page is free meanwhile
	await page.getByText('Week', { exact: true }).click();
	await expect(page.getByRole('radio', { name: 'Week' })).toBeChecked();
	await better.getByRole('button', { name: 'Stop' }).click();
	const stopped = await looked();
	await expect(better.getByRole('button', { name: 'Look for a better plan' })).toBeVisible();
	await expect(better.getByRole('status')).toContainText(/sooner|less is late|none is better/);
	expect(await looked()).toBe(stopped);
	// the server goes by its own checker, not by the browser's word
	const follow = better.getByRole('button', { name: 'Follow it' });
	if (await follow.isVisible()) {
		await follow.click();
		await expect(better.getByText('It is followed now.')).toBeVisible({ timeout: 30_000 });
	}
});

test('hours: what is wrong is said at its field, and a blocked time is kept', async ({ page }) => {
	await page.goto('/orders/hours');
	const monday = page.getByRole('group', { name: 'Monday' });
	const until = monday.getByLabel('Until');
	const before = await until.inputValue();
	await until.fill('08:00');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('It must end after it begins.').first()).toBeVisible();
	await until.fill(before);
	await page.getByRole('button', { name: 'Block a time, or add hands' }).click();
	await page.getByLabel('Why').fill('dentist');
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('Kept. The plan follows.')).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('Why')).toHaveValue('dentist');
	await page.getByRole('button', { name: 'Take it out: exception 1' }).click();
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('Kept. The plan follows.')).toBeVisible();
});
