import type { NewPerson } from '$lib/core/people';
import { addPerson } from '../repositories/people';

/** Invented people; none has a passphrase, so none can sign in until a keeper makes a code for them. */
const PEOPLE: readonly NewPerson[] = [
	{ name: 'Ines Holm', mark: 'IH', right: 'maker' },
	{ name: 'Jo Tarn', mark: 'JT', right: 'maker' }
];

/** Whose mark stands on the cast of a number: they take turns. */
export const demoMark = (n: number): string => PEOPLE[n % PEOPLE.length]!.mark;

export async function addPeople(): Promise<void> {
	for (const person of PEOPLE) await addPerson(person, null);
}
