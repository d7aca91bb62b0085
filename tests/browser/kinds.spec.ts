import { expect, test, type Page } from '@playwright/test';
import { choose, heading, onceMore } from './bench';

async function begin(page: Page, piece: RegExp, resin: RegExp, kind: string) {
	await page.goto('/shots/new');
	await choose(page, 'Piece', piece);
	await choose(page, 'Resin', resin);
	await page.getByText(kind, { exact: true }).click();
}

const field = (page: Page, label: string) => page.getByRole('textbox', { name: label, exact: true }).first();

/** What is typed is answered at its field. */
async function says(page: Page, label: string, typed: string, words: RegExp) {
	await field(page, label).fill(typed);
	const note = page.locator(`#${await field(page, label).getAttribute('id')}-note`);
	await expect(note).toContainText(words);
	// nothing that was typed is lost
	await expect(field(page, label)).toHaveValue(typed);
}

/** Keeps the shot, pours it step by step by the space bar, and says which steps there were. */
async function pourIt(page: Page, at: Record<string, () => Promise<void>> = {}): Promise<string[]> {
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(heading(page)).toContainText('Shot S');
	return pourOn(page, at);
}

/** Pours what stands ready. */
async function pourOn(page: Page, at: Record<string, () => Promise<void>> = {}): Promise<string[]> {
	await page
		.getByRole('button', { name: /^Pour (it|this cup)$/ })
		.first()
		.click();
	await expect(heading(page)).toHaveText('Look the mould over');
	await expect(page.locator('fieldset.waking:enabled')).toBeAttached();
	const seen: string[] = [];
	for (let i = 0; i < 70; i++) {
		const title = (await heading(page).textContent())!.trim();
		seen.push(title);
		if (title === 'Grade each copy') break;
		await at[title]?.();
		await page.waitForTimeout(380); // a second press within a third of a second is taken for a bounce
		await page.keyboard.press('Space');
		await onceMore(page, title, () => page.keyboard.press('Space'));
		await expect(heading(page)).not.toHaveText(title);
	}
	for (const good of await page.getByText('good', { exact: true }).all()) await good.click();
	await page.waitForTimeout(380);
	await page.getByRole('button', { name: /Write it into the ledger/ }).click();
	await expect(heading(page)).toHaveText('It is in the ledger');
	// a page that is left before that sends it from the next one
	await expect(page.getByText('not yet on the server')).toBeHidden();
	return seen;
}

/** Steps in this order, whatever lies between them. */
function inOrder(seen: readonly string[], wanted: readonly RegExp[]) {
	let at = -1;
	for (const words of wanted) {
		const next = seen.findIndex((s, i) => i > at && words.test(s));
		expect(next, `${words} after ${seen[at] ?? 'the start'} in: ${seen.join(' | ')}`).toBeGreaterThan(at);
		at = next;
	}
}

test('a clear cast: depth, layers and what lies in it; wrong ones said at their fields; poured layer by layer', async ({
	page
}) => {
	test.slow();
	await begin(page, /Amber block/, /Amber clear/, 'Clear, with things in it');
	await says(page, 'Depth in the mould', 'deep', /such as/);
	await says(page, 'Depth in the mould', '1 mm', /Under 2 mm: check the unit/);
	await says(page, 'Depth in the mould', '400 mm', /from corner to corner/);
	await field(page, 'Depth in the mould').fill('30 mm');
	await says(page, 'Thickest layer', '1 mm', /shows as a film/);
	await field(page, 'Thickest layer').fill('');
	await says(page, 'The middle may get', '15 C', /It is poured into/);
	await field(page, 'The middle may get').fill('70 C');
	await page.getByRole('button', { name: 'Cast something in' }).click();
	await expect(page.getByText('Say what is cast in.').first()).toBeVisible();
	await field(page, 'Cast in').fill('Beetle');
	await says(page, 'Weighs', '-3', /less than nothing/);
	await field(page, 'Weighs').fill('1 g');
	await says(page, 'Takes', '0', /takes some room/);
	await field(page, 'Takes').fill('1.5 ml');
	await field(page, 'Stands').fill('6 mm');
	await says(page, 'Lies at', '0', /shows bare/);
	await says(page, 'Lies at', '28 mm', /4 mm out of a cast 30 mm deep/);
	await field(page, 'Lies at').fill('12 mm');
	await expect(page.getByText('Beetle would float in the fresh resin.')).toBeVisible();
	await expect(page.getByText(/each layer is left to cool/)).toBeVisible();
	const seen = await pourIt(page);
	// what waits for hours is measured after them; things are set in at gel, before the layer cools
	inOrder(seen, [
		/^Layer 1 of 5: measure the resin/,
		/^Measure the catalyst: \d+ drops/,
		/^Pour it level/,
		/^Wait: layer 1 (nearly )?gels/,
		/^Wait: layer 1 cools/,
		/^Layer 2 of 5: measure the resin/,
		/^Pour it level/,
		/^Wait: layer 2 gels/,
		/^Set in: Beetle/,
		/^Wait: layer 2 cools/,
		/^Layer 3 of 5: measure the resin/,
		/^Measure the catalyst: 1 drop$/,
		/^Pour the last layer/,
		/demould/
	]);
});

test('a metal cold cast: dust, loaded face and dark backing', async ({ page }) => {
	test.slow();
	await begin(page, /nameplate/, /Lantern white/, 'Cold cast with metal');
	await expect(page.getByText('Choose the metal powder for the face.').first()).toBeVisible();
	await choose(page, 'Metal powder', /Bell bronze/);
	await says(page, 'Loaded face', '0', /Under 0\.3 mm nothing covers/);
	await says(page, 'Loaded face', '30 mm', /the piece holds 38 ml/);
	await field(page, 'Loaded face').fill('1.5 mm');
	await says(page, 'Dust, g/m²', '5000', /Over 2 kg on a square metre/);
	await field(page, 'Dust, g/m²').fill('');
	await says(page, 'Of the face, by weight', '99', /leaves any resin/);
	await field(page, 'Of the face, by weight').fill('60');
	await field(page, 'Skin of one copy').fill('150 cm2');
	await expect(page.getByText('The backing has no colour')).toBeVisible();
	const seen = await pourIt(page);
	inOrder(seen, [/[Dd]ust/, /Layer 1 of 2: measure/, /[Rr]oll layer 1|Pour layer 1/, /Layer 2 of 2/]);
});

test('brushed coats: a thickener that is known to reach the consistency, and coats that stay up', async ({
	page
}) => {
	test.slow();
	await begin(page, /Cobble/, /Harbour slow/, 'Brushed into an open mould');
	await expect(page.getByText('Choose what it is thickened with').first()).toBeVisible();
	await choose(page, 'Thickened with', /Bell bronze/);
	await expect(page.getByText(/no record of how many scoops make it creamy/).first()).toBeVisible();
	await choose(page, 'Thickened with', /Feather silica/);
	await says(page, 'Wall', '200 mm', /pour it solid/);
	await field(page, 'Wall').fill('6 mm');
	await says(page, 'One coat', '0.1', /Under 0\.2 mm/);
	await says(page, 'One coat', '0.2 mm', /That makes 30 layers, at most 24/);
	await field(page, 'One coat').fill('6 mm');
	await choose(page, 'Its faces are', /upright/);
	await expect(page.getByText(/On an upright wall only/)).toBeVisible();
	await field(page, 'Wall').fill('3 mm');
	await field(page, 'One coat').fill('1.5 mm');
	await expect(page.getByText(/On an upright wall only/)).toBeHidden();
	// an open shell holds water: it sinks by what it is made of
	await expect(page.getByText(/One copy weighs .* and sinks/)).toBeVisible();
	const seen = await pourIt(page);
	inOrder(seen, [/(Coat|Layer) 1 of 2: measure/, /[Bb]rush/, /(Coat|Layer) 2 of 2: measure/, /[Bb]rush/]);
});

test('colours poured together: shares that make a whole, a cup and a clock for each', async ({ page }) => {
	test.slow();
	await begin(page, /Ammonite/, /Lantern white/, 'Solid');
	await field(page, 'Copies').fill('1');
	await page.getByRole('button', { name: 'Pour several colours together' }).click();
	await expect(page.getByText('Name the colour.').first()).toBeVisible();
	await field(page, 'Colour 1').fill('Old rope');
	await field(page, 'Colour 2').fill('White');
	await says(page, 'Share', '70', /The shares make 120/);
	await page.getByRole('button', { name: 'One more colour' }).click();
	// the answer goes with it: what is pressed while the page still moves is not what was meant
	await expect(page.locator('aside > p:not([role])', { hasText: 'Name the colour.' })).toBeVisible();
	await page.getByRole('button', { name: 'Remove colour 3' }).click();
	// what the third took was given back in proportion
	await expect(field(page, 'Share')).toHaveValue(/^58\.[34]/);
	await says(page, 'Starts at', '400', /over 100 °C/);
	await field(page, 'Starts at').fill('');
	await says(page, 'Poured when the cups read', '10 C', /The cups start at/);
	await field(page, 'Poured when the cups read').fill('30 C');
	await expect(page.getByText('In 2 cups together')).toBeVisible();
	const seen = await pourIt(page, {
		'Pour them together': async () => {
			await expect(page.getByText(/corrects the forecast/)).toBeVisible();
			// each cup is read for itself
			await page.getByText('Old rope', { exact: true }).last().click();
			const pad = page.getByRole('group', { name: /^Cup reads/ });
			await pad.getByRole('button', { name: /^\d+$/ }).nth(3).click();
			await pad.getByRole('button', { name: '.2', exact: true }).click();
			await expect(page.getByText(/by 1 reading, ×\s[\d.]+ of its sheet/)).toBeVisible();
		}
	});
	// the ledger says which cup it was, and draws it beside what was foretold
	await page.goto('/ledger');
	await page.getByRole('row').nth(1).getByRole('link').first().click();
	await expect(page.getByText(/^Old rope \d+\.\d\s°C/)).toBeVisible();
	await expect(page.getByText('Old rope, read')).toBeVisible();
	inOrder(seen, [/White: measure|White/, /Old rope/, /[Cc]ombine/, /[Pp]our/]);
});

test('plaster: powder and water by weight, poured on its own times, into the ledger; wrong figures at their fields', async ({
	page
}) => {
	await page.goto('/shots');
	await page.getByRole('link', { name: 'Plaster, wax, soap' }).click();
	await expect(heading(page)).toHaveText('Plaster, wax or soap');
	await choose(page, 'What is cast', /plaster/);
	await choose(page, 'Piece', /Quay bollard, large|Rope fender/);
	await says(page, 'Copies', '40', /hold 1 at once|hold \d+ at once/);
	await says(page, 'Stays in the bowl, %', 'much', /number|percent/i);
	await field(page, 'Stays in the bowl, %').fill('10');
	await field(page, 'Copies').fill('1');
	await expect(page.getByText('in the bowl', { exact: false }).first()).toBeVisible();
	const seen = await pourOn(page);
	inOrder(seen, [
		/Weigh the water/,
		/Weigh the powder/,
		/Sift powder/,
		/Sift, soak/,
		/^Pour$/,
		/Tap/,
		/take it out/,
		/Clean/
	]);
	await page.goto('/ledger');
	await page.locator('table a[href^="/ledger/"]').first().click();
	await expect(page.getByText('Quarry white', { exact: false }).first()).toBeVisible();
});

test('one cup for two pieces: the other mould is planned in, refused at its line, filled, and counted as its own pull', async ({
	page
}) => {
	await begin(page, /Ammonite/, /Harbour slow|Lantern white/, 'Solid');
	await field(page, 'Copies').fill('1');
	await page.getByRole('button', { name: 'Fill another piece from the same cup' }).click();
	await choose(page, 'From the same cup', /Ship.s nameplate letters/);
	await says(page, 'Of it', '9', /holds 1 at once/);
	await field(page, 'Of it').fill('1');
	await expect(page.getByText('holds 1 at once')).toHaveCount(0);
	expect(await pourIt(page)).toContain('Pour ×2');
	await page.goto('/ledger');
	const newest = page.locator('table tbody tr');
	await expect(newest.filter({ hasText: 'nameplate' }).first()).toContainText('good');
	await expect(newest.nth(0)).toContainText(/nameplate|Ammonite/);
	await expect(newest.nth(1)).toContainText(/nameplate|Ammonite/);
});
