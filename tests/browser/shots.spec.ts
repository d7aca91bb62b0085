import { expect, test } from '@playwright/test';
import { choose, heading, onceMore, png } from './bench';

test.describe.configure({ mode: 'serial' });

test('a hollow cast: layers planned, wrong input said at its field, what would help', async ({ page }) => {
	await page.goto('/shots/new');
	await choose(page, 'Piece', /Ice shard/);
	await choose(page, 'Resin', /Bellows gradual/);
	await page.getByText('Hollow, in rolled layers', { exact: true }).click();
	await expect(page.getByText('by its plain solids')).toBeVisible();
	// so thick a wall would take more than the piece holds: said with both volumes
	await page.getByLabel('Wall', { exact: true }).fill('9 mm');
	await expect(page.getByText(/A wall of 9(\.0)? mm takes/).first()).toBeVisible();
	await page.getByLabel('Wall', { exact: true }).fill('2 mm');
	await expect(page.getByRole('img', { name: /2 layers in time/ })).toBeVisible();
	await page.getByLabel('Wall', { exact: true }).fill('0');
	await expect(page.getByText('Under 0.3 mm nothing holds').first()).toBeVisible();
	await page.getByLabel('Wall', { exact: true }).fill('40 mm');
	await expect(page.getByText(/cast it solid, or take a thinner wall/).first()).toBeVisible();
	await page.getByLabel('Wall', { exact: true }).fill('2 mm');
	await expect(page.getByText('In the first of 2 cups')).toBeVisible();
	await page.getByText('What would give time').click();
	await expect(page.getByText('resin 5 °C cooler')).toBeVisible();
	await page.getByText('If it is not as planned').click();
	await expect(page.getByRole('row').filter({ hasText: '20 s late' })).toBeVisible();
	await choose(page, 'Resin', /Lantern white/);
	await expect(page.getByText(/tends to set as a puddle/)).toBeVisible();
});

test('layers that differ: a school, a paste that is refused at its row, what would keep the rim up by a press', async ({
	page
}) => {
	await page.goto('/shots/new');
	await choose(page, 'Piece', /Stage anvil/);
	await choose(page, 'Resin', /Bellows gradual/);
	await page.getByText('Hollow, in rolled layers', { exact: true }).click();
	const answer = page.getByRole('complementary').first();
	await expect(answer.getByText('in all cups')).toContainText(/g in all cups/);
	await page.getByRole('button', { name: /All over and to one side/ }).click();
	await expect(answer.getByText('In the first of 5 cups')).toBeVisible();
	await expect(answer.getByText('let round, then all of it steered to the left side')).toBeVisible();
	const second = page.getByRole('group', { name: 'Layer 2', exact: true });
	await second.getByLabel('Amount by').selectOption({ label: 'its cup' });
	await second.getByLabel('Cup for one copy').fill('50 g');
	await expect(answer.getByText(/^2: 5[0-9].g$/)).toBeVisible();
	await second.getByLabel('Filler').selectOption({ label: 'Cut fibre' });
	await second.getByLabel('Scoops to one of B').fill('9');
	await expect(second.getByText(/is a paste from/)).toBeVisible();
	// the answer before it stays
	await expect(answer.getByText('In the first of 5 cups')).toBeVisible();
	await second.getByLabel('Filler').selectOption('');
	await page.getByRole('button', { name: 'Put it into the last layer' }).click();
	const last = page.getByRole('group', { name: 'Layer 5', exact: true });
	await expect(last.getByLabel('Scoops to one of B')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Put it into the last layer' })).toBeHidden();
	await page.getByLabel('It comes out').selectOption('flexible');
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(heading(page)).toContainText('Shot S');
	await page.getByRole('button', { name: 'Pour it' }).first().click();
	await expect(heading(page)).toHaveText('Look the mould over');
});

test('a shell that is filled is poured layer by layer, filled, and goes into the ledger', async ({
	page
}) => {
	test.slow();
	await page.goto('/shots/new');
	await choose(page, 'Piece', /Ice shard/);
	await choose(page, 'Resin', /Bellows gradual/);
	await page.getByText('A shell, then filled', { exact: true }).click();
	await page.getByLabel('Wall', { exact: true }).fill('2 mm');
	await page.getByRole('button', { name: 'Set something in' }).click();
	await page.getByLabel('Set in', { exact: true }).fill('hook');
	// by its weight and what it is made of the room that it takes is said at once
	await page.getByLabel('Weighs', { exact: true }).fill('78.5 g');
	await expect(page.getByText(/takes 10.ml/)).toBeVisible();
	await page.getByLabel('Known by').selectOption('both');
	await page.getByLabel('Weighs', { exact: true }).fill('500 g');
	await page.getByLabel('Takes', { exact: true }).fill('900 ml');
	await expect(page.getByText(/the cavity holds/).first()).toBeVisible();
	await page.getByLabel('Takes', { exact: true }).fill('1 ml');
	await page.getByLabel('Weighs', { exact: true }).fill('8 g');
	await expect(page.getByText(/to mix, .* go in/)).toBeVisible();
	await page.getByRole('button', { name: 'Keep this shot' }).click();
	await expect(heading(page)).toContainText('Shot S');
	await page.getByRole('button', { name: 'Pour it' }).first().click();
	await expect(heading(page)).toHaveText('Look the mould over');
	// under the right thumb, told by voice; a press on these does not take the space bar away
	await page.getByRole('button', { name: /Button: both hands/ }).click();
	await page.getByRole('button', { name: /Button: left hand/ }).click();
	await page.getByRole('button', { name: /Sound: tones/ }).click();
	await expect(page.getByRole('button', { name: /Sound: voice/ })).toBeVisible();
	const action = (await page.getByRole('button', { name: 'Clean and whole' }).boundingBox())!;
	expect(action.height).toBeGreaterThan(2 * action.width);
	const seen: string[] = [];
	for (let i = 0; i < 40; i++) {
		const title = (await heading(page).textContent())!.trim();
		seen.push(title);
		if (title === 'Grade each copy') break;
		await page.keyboard.press('Space');
		await onceMore(page, title, () => page.keyboard.press('Space'));
		await expect(heading(page)).not.toHaveText(title);
		await page.waitForTimeout(380);
	}
	for (const step of [
		// what it hangs by goes into the last layer while it is wet
		'Set in: hook',
		'Layer 1 of 2: measure B',
		'Roll layer 1',
		'Layer 2 of 2: measure A',
		'Wait: layer 1 nearly gels',
		'Pour the last layer',
		'Fill the shell: plaster, wet'
	])
		expect(seen).toContain(step);
	expect(seen.filter((s) => s === 'Combine A and B')).toHaveLength(2);
	// a fault is photographed where it is seen; what is no picture is refused in words, and the grade stays
	await page.getByText('needs work', { exact: true }).first().click();
	await page.getByRole('button', { name: 'thin places', exact: true }).click();
	await page.getByLabel('Where: thin places').fill('at the tip');
	const chosen = async (name: string, buffer: Buffer) => {
		const chooser = page.waitForEvent('filechooser');
		await page.getByRole('button', { name: /^Photo of thin places/ }).click();
		await (await chooser).setFiles({ name, mimeType: 'image/png', buffer });
	};
	await chosen('x.png', Buffer.from('no picture'));
	await expect(page.getByRole('alert')).toContainText('not a JPEG, PNG or WebP');
	await chosen('tip.png', png);
	await expect(page.getByAltText('Taken of thin places')).toBeVisible();
	await page.getByRole('button', { name: /Write it into the ledger/ }).click();
	await expect(heading(page)).toHaveText('It is in the ledger');
	// what happened at the bench reaches the ledger in its own time, also when the page is left meanwhile
	await expect(async () => {
		await page.goto('/ledger?text=Ice+shard');
		await page.locator('[data-pull]').first().click();
		await expect(page.getByAltText('thin places: at the tip')).toBeVisible({ timeout: 3000 });
	}).toPass({ timeout: 60_000 });
});
