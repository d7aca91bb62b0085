import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';
import {
	block,
	picture,
	printed,
	sixteen,
	type Print,
	type Solid
} from '../../src/lib/core/photo/rendered.testing';

// pictures that are drawn here by rays, of a box whose volume is known: nothing of what measures has a part in it
const LENS = { w: 800, h: 600, f: 762, cx: 402, cy: 297, k1: -0.06, k2: 0.02 };
const STANDS = sixteen(420, 25);
const sheet = printed('medium');
/** A table with a chequered cloth. */
const cloth: Print = (x, y) => sheet(x, y) ?? ((Math.floor(x / 9) + Math.floor(y / 9)) % 2 ? 0.1 : 0.95);
/** As white as the paper that it stands on. */
const white = block(46, 32, 40, 0.2, [228, 226, 222]);

function drawn(solid: Solid, print: Print, i: number) {
	const { width, height, data } = picture({ solid, print, lens: LENS, from: STANDS[i]!, seed: i + 1 });
	const png = new PNG({ width, height });
	png.data = Buffer.from(data.buffer);
	return { name: `p${i}.png`, mimeType: 'image/png', buffer: PNG.sync.write(png) };
}

// a tablet at the bench, held upright
test.use({ viewport: { width: 820, height: 1180 }, hasTouch: true });

test('a white piece on white paper has no volume: it is said in which pictures, and what to do', async ({
	page
}) => {
	test.setTimeout(400_000);
	await page.goto('/masters/from-pictures');
	const files = page.getByLabel('Choose pictures');
	await expect(files).toBeEnabled();
	await files.setInputFiles([drawn(block(46, 32, 40), cloth, 0)]);
	await expect(page.getByText('Busy background: check its outline')).toBeVisible({ timeout: 90_000 });
	await page.getByRole('button', { name: 'Leave out picture 1' }).click();
	await expect(page.getByText('Busy background')).toHaveCount(0);

	await files.setInputFiles(STANDS.slice(0, 10).map((_, i) => drawn(white, sheet, i)));
	await expect(page.getByRole('heading', { name: '10 pictures' })).toBeVisible({ timeout: 120_000 });
	const workOut = page.getByRole('button', { name: 'Work out the body' });
	await expect(workOut).toBeEnabled({ timeout: 90_000 });
	await workOut.click();
	const answer = page.getByRole('complementary', { name: 'Body' });
	await expect(answer).toContainText(/Outlines contradict each other in \d+ of \d+ pictures/, {
		timeout: 200_000
	});
	await expect(answer).toContainText('not known');
	await expect(answer).toContainText(/In \d+ more the piece is as pale .* Colour it/);
	// nothing goes on with it, and no number stands anywhere
	await expect(answer).not.toContainText(/\d ml/);
	await expect(page.getByRole('button', { name: 'Go on with this body' })).toHaveCount(0);
	await expect(page.getByRole('link', { name: 'Save it as STL' })).toHaveCount(0);

	// its outline is painted with a finger, which neither scrolls the page nor is lost
	await page.getByRole('button', { name: 'Outline of picture 1', exact: true }).click();
	const dialog = page.getByRole('dialog');
	await expect(dialog.getByText(/The rim is orange/)).toBeVisible({ timeout: 60_000 });
	const box = (await dialog.getByRole('application').boundingBox())!;
	const finger = await page.context().newCDPSession(page);
	const at = (share: number) => [{ x: box.x + share * box.width, y: box.y + 0.5 * box.height }];
	await finger.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0.46) });
	for (const share of [0.48, 0.5, 0.52])
		await finger.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(share) });
	await finger.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
	await expect(dialog.getByText('Painted as the piece.')).toBeVisible({ timeout: 60_000 });
	await dialog.getByRole('button', { name: 'Done' }).click();
	await expect(page.getByRole('button', { name: 'Outline of picture 1', exact: true })).toContainText('✎');
});
