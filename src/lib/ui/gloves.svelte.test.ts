import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { gloves } from './gloves.svelte';

const people = [
	{ name: 'Ines', mark: 'IN' },
	{ name: 'Odd', mark: 'OD' }
];
let kept: Map<string, string>;
beforeEach(() => {
	kept = new Map();
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, value: string) => kept.set(key, value)
	});
});
afterEach(() => vi.unstubAllGlobals());

describe('who has the gloves on', () => {
	it('is whoever signed in, until another mark is pressed; the press outlasts the page', () => {
		gloves.known(people, 'IN');
		expect(gloves.mark).toBe('IN');
		gloves.choose('OD');
		expect(gloves.mark).toBe('OD');
		// the page is opened again, by the same device
		gloves.known(people, 'IN');
		expect(gloves.mark).toBe('OD');
	});

	it('a mark of somebody who left counts no more: it is whoever signed in again', () => {
		kept.set('gloves', 'XX');
		gloves.known(people, 'IN');
		expect(gloves.mark).toBe('IN');
		gloves.choose('OD');
		gloves.known([people[0]!], 'IN');
		expect(gloves.mark).toBe('IN');
	});

	it('nobody signs in: no mark, whatever this device kept of another time', () => {
		kept.set('gloves', 'OD');
		gloves.known([], undefined);
		expect(gloves.mark).toBe('');
	});

	it('a device that keeps nothing still has its press for as long as the page is open', () => {
		const refuse = () => {
			throw new DOMException('no room', 'QuotaExceededError');
		};
		vi.stubGlobal('localStorage', { getItem: refuse, setItem: refuse });
		gloves.known(people, 'IN');
		expect(gloves.mark).toBe('IN');
		expect(() => gloves.choose('OD')).not.toThrow();
		expect(gloves.mark).toBe('OD');
	});
});
