import { expect, it } from 'vitest';
import { formatQuantity } from '../../core/units';
import { STATIONS } from '../stations';
import { HOW, inUnits } from './pages';

it('every station has its page but the bench, and each step says and shows something', () => {
	expect(Object.keys(HOW)).toEqual(STATIONS.map((s) => s.href.slice(1)).filter(Boolean));
	for (const { steps } of Object.values(HOW)) {
		expect(steps.length).toBeGreaterThan(1);
		for (const { title, text } of steps) expect([title.length < 60, /\.$/.test(text)]).toEqual([true, true]);
	}
});
it('its quantities are said in the units of the workshop', () => {
	const us = (text: string) => inUnits(text, (v, k) => formatQuantity(v, k, 'us'));
	expect(us('[12 mm] over it, at [275 kPa].')).toMatch(/^0\.47\d?.in over it, at (39\.9|40).psi\.$/);
	for (const { steps } of Object.values(HOW))
		for (const { text } of steps) expect(us(text)).not.toMatch(/\[|\bmm\b/);
});
