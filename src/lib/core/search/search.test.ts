import { describe, expect, it } from 'vitest';
import { search, type Findable } from '.';

const mould = (n: number, label: string): Findable => ({
	kind: 'mould',
	title: `M${n} ${label}`,
	detail: 'active',
	href: `/moulds/${n}`,
	also: `${n}`
});
const moulds = Array.from({ length: 300 }, (_, i) =>
	mould(i + 1, i % 2 ? 'Lamplighter figure' : 'Café sign')
);
const titles = (text: string, most = 5) => search(moulds, text, most).map((f) => f.title);

describe('finding among three hundred moulds', () => {
	it('a number finds its own mould first, with its letter or without', () => {
		expect(titles('m12')[0]).toMatch(/^M12 /);
		expect(titles('12')[0]).toMatch(/^M12 /);
		expect(titles('M 299')[0]).toMatch(/^M299 /);
	});
	it('words in any order, half typed, without their accents', () => {
		expect(titles('fig lamp 14')[0]).toBe('M14 Lamplighter figure');
		expect(titles('cafe 3', 1)).toEqual(['M3 Café sign']);
	});
	it('what does not stand there is not found; nothing typed finds nothing', () => {
		expect(titles('anvil')).toEqual([]);
		expect(titles('   ')).toEqual([]);
		expect(titles('lamplighter 301')).toEqual([]);
	});
	it('at most so many come, and signs of all kinds are only text', () => {
		expect(titles('m', 7)).toHaveLength(7);
		for (const odd of ['(', '\\', '%', '[a-z]+', '🦀', 'x'.repeat(5000)]) expect(titles(odd)).toEqual([]);
	});
});
