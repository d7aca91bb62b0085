import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Turns, type Waiting } from './turns';

interface Numbered extends Waiting {
	n: number;
}
const filled = (clients: string) => {
	const turns = new Turns<Numbered>();
	const all = [...clients].map((client, n) => ({ client, n }));
	all.forEach((w) => turns.push(w));
	return { turns, all };
};

describe('turns', () => {
	it('one of each client, before any has a second', () => {
		const { turns } = filled('aaaabbc');
		expect(Array.from({ length: 8 }, () => turns.next()?.client ?? '-').join('')).toBe('abcabaa-');
	});
	it('whoever leaves is out of the row, and holds nobody up', () => {
		const { turns, all } = filled('aab');
		expect(turns.remove(all[0]!)).toBe(true);
		expect(turns.remove(all[0]!)).toBe(false);
		expect(turns.before(all[0]!)).toBeUndefined();
		expect([turns.next(), turns.next(), turns.next()]).toEqual([all[1], all[2], undefined]);
	});
	it('the place that is told is the place that it has, and nobody is passed over', () => {
		fc.assert(
			fc.property(fc.stringMatching(/^[a-d]{1,20}$/), fc.nat(5), (clients, taken) => {
				const { turns, all } = filled(clients);
				for (let i = 0; i < Math.min(taken, clients.length - 1); i++) turns.next();
				const waiting = all.filter((w) => turns.before(w) !== undefined);
				const told = new Map(waiting.map((w) => [w, turns.before(w)]));
				expect(turns.size).toBe(waiting.length);
				for (let place = 0; turns.size > 0; place++) expect(told.get(turns.next()!)).toBe(place);
			})
		);
	});
});
