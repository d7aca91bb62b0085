import { z } from 'zod';

/** A record that a plan rests on, and the state in which it was read. */
export const stamp = z.object({
	kind: z.enum([
		'master',
		'mould',
		'resin',
		'filler',
		'colour',
		'release',
		'tin',
		'pot',
		'taught',
		'taken',
		'workshop'
	]),
	id: z.string(),
	/** What people call it. */
	name: z.string(),
	/** Another one after every change of the record. */
	state: z.string()
});
export type Stamp = z.infer<typeof stamp>;

/**
 * Records that are otherwise now than when a plan was made, by their present names; what is gone or new is among
 * them.
 * A plan from before there were stamps rests on nothing that is known: then the answer is undefined.
 * @example
 * movedStamps(
 *   [{ kind: 'resin', id: 'r', name: 'White', state: '1' }],
 *   [{ kind: 'resin', id: 'r', name: 'White', state: '2' }]
 * )?.map((s) => s.name); // ['White']
 */
export function movedStamps(
	then: readonly Stamp[] | undefined,
	now: readonly Stamp[]
): readonly Stamp[] | undefined {
	if (!then) return undefined;
	const key = (s: Stamp) => `${s.kind} ${s.id}`;
	const [before, after] = [then, now].map((list) => new Map(list.map((s) => [key(s), s])));
	const changed = now.filter((s) => before!.get(key(s))?.state !== s.state);
	const gone = then.filter((s) => !after!.has(key(s)));
	return [...changed, ...gone];
}
