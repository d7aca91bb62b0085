import { expect, it } from 'vitest';
import { actingOf, doneBy } from './acting';

const ines = { person: { name: 'Ines', mark: 'IN' } };
const nobody = { person: null };

it('whoever is signed in stands for what they keep; nobody has to be', () => {
	expect(actingOf(ines, 'Jo')).toBe('Ines');
	expect(actingOf(nobody, ' Jo ')).toBe('Jo');
	expect(actingOf(nobody)).toBe('');
});

it('a look that another did bears both', () => {
	expect(doneBy(nobody, 'Jo')).toBe('Jo');
	expect(doneBy(ines, '')).toBe('Ines');
	expect(doneBy(ines, 'in')).toBe('Ines');
	expect(doneBy(ines, 'the yearly inspector')).toBe('the yearly inspector (IN)');
});
