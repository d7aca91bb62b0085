import { expect, test } from '@playwright/test';

test('the cure screen follows mass, temperature and readings', async ({ page }) => {
	await page.goto('/cure');
	await page.locator('select[name=resin]').selectOption({ label: 'Lantern white' });
	const life = page.locator('.answer').first();
	await expect(life).toHaveText(/min/);
	await expect(page.locator('.js-plotly-plot')).toHaveCount(2);

	const seconds = async () => {
		const [, minutes = '0', rest = '0'] = /(?:(\d+):)?(\d+)/.exec((await life.textContent())!) ?? [];
		return Number(minutes) * 60 + Number(rest);
	};
	const before = await seconds();
	await page.locator('input[name=cureStart]').fill('86 F');
	await expect.poll(seconds).toBeLessThan(before * 0.75);

	const warm = await seconds();
	await page.getByLabel('After combining').fill('0:30');
	await page.getByLabel('It shows').fill('45');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText(/comes mostly from the thermometer/)).toBeVisible();
	await expect.poll(seconds).toBeLessThan(warm);
	await page.getByRole('button', { name: /remove the reading/ }).click();
	await expect(page.getByText(/comes mostly from the thermometer/)).toBeHidden();

	await page.locator('input[name=cureMass]').fill('nothing');
	await expect(page.getByText('not understood')).toBeVisible();
	await page.locator('input[name=cureMass]').fill('-5 g');
	await expect(page.getByText('Under 0.1 g there is no cup').first()).toBeVisible();
	await expect(page.locator('input[name=cureMass]')).toHaveValue('-5 g');
	await page.locator('input[name=cureMass]').fill('150 g');

	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Curves as CSV' }).click();
	const file = await download;
	expect(file.suggestedFilename()).toBe('cure-lantern-white.csv');
	const text = await (await file.createReadStream()).toArray();
	expect(Buffer.concat(text).toString()).toMatch(/^place,timeS,tempC,conversion\r?\ncup,0\.0,/);
});

test('what a cup showed is kept for its tin, by the server’s own sum', async ({ page }) => {
	await page.goto('/cure');
	// a resin that no other test pours
	await page.locator('select[name=resin]').selectOption({ label: 'Glasswater clear' });
	await page.getByLabel('After combining').fill('1:00');
	await page.getByLabel('It shows').fill('23 C');
	await page.getByRole('button', { name: 'Add it' }).click();
	await page
		.getByRole('button', { name: /^Keep it for/ })
		.first()
		.click();
	await expect(page.getByText('Kept: shots from this tin go by it.')).toBeVisible();
});

test('polyester: the share that fits a thin film, and none for a great block', async ({ page }) => {
	await page.goto('/cure');
	await page.locator('select[name=resin]').selectOption({ label: 'Amber clear' });
	await expect(page.getByText('How much catalyst')).toBeVisible();
	await page.locator('input[name=cureSection]').fill('90 mm');
	await expect(page.getByText('none fits')).toBeVisible();
	await expect(page.getByText('Cast it in layers')).toBeVisible();
});

test('dragging the mass is answered, the newest value last', async ({ page }) => {
	await page.goto('/cure');
	await expect(page.locator('.js-plotly-plot')).toHaveCount(2);
	const slider = page.getByLabel('In the cup, by dragging');
	const answer = page.locator('.answer').first();
	const first = await answer.textContent();
	for (let i = 1; i <= 10; i++) {
		await slider.evaluate(
			(element: HTMLInputElement, v) => {
				element.value = String(v);
				element.dispatchEvent(new Event('input', { bubbles: true }));
			},
			0.3 + i * 0.06
		);
	}
	await expect(answer).not.toHaveText(first!);
});

test('a chart follows what is dragged at once, and is fitted anew once that rests', async ({ page }) => {
	await page.goto('/cure');
	const line = page.locator('.js-plotly-plot').first().locator('path.js-line').first();
	await expect(line).toHaveAttribute('d', /L/);
	// the bands are there: from now on it follows
	await expect(page.getByTestId('cure-answer').getByText(/four of five/)).toBeVisible();
	const chart = page.locator('.js-plotly-plot').first();
	// its first picture comes by steps, its words and marks last, and the band of the pot life with the answer
	await expect(chart.locator('.infolayer .annotation')).toHaveCount(2);
	await expect(chart.locator('.shapelayer path')).toHaveCount(3);
	const marks = chart.locator('.shapelayer path[transform]');
	await expect(marks).toHaveCount(0);
	const moved = await page.evaluate(async () => {
		const [chart] = document.querySelectorAll('.js-plotly-plot');
		const shown = () => chart!.querySelector('path.js-line')!.getAttribute('d')!;
		const [slider] = document.querySelectorAll<HTMLInputElement>('[aria-label="Resin, by dragging"]');
		const before = shown();
		const drawn = new Promise((done) => chart!.addEventListener('drawn', done, { once: true }));
		slider!.value = String(Number(slider!.value) + 2);
		slider!.dispatchEvent(new Event('input', { bubbles: true }));
		await drawn;
		return {
			changed: shown() !== before,
			marks: chart!.querySelectorAll('.shapelayer path[transform]').length
		};
	});
	expect(moved.changed).toBe(true);
	expect(moved.marks).toBeGreaterThan(1);
	await expect(marks).toHaveCount(0);
});
