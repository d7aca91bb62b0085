import { z } from 'zod';

/**
 * What versions before 0.9 stored as words, with the id that stands for it now. Books, queued events and
 * databases of those versions are read by these; nothing here is shown to anybody.
 */
export const EARLIER_FAULTS = {
	'bubbles on the face': 'face-bubbles',
	'bubbles inside': 'inner-bubbles',
	'short shot': 'short-shot',
	'seam step': 'seam-step',
	'soft or tacky': 'soft',
	'dull or torn detail': 'dull-detail',
	'thin places': 'thin-places'
} as const;
export const EARLIER_MOULD_FAULTS = {
	'inhibited, tacky': 'inhibited',
	'bubbles on the face': 'face-bubbles',
	'bubbles inside': 'inner-bubbles',
	'step at the joint': 'joint-step',
	'detail missing': 'detail-missing'
} as const;
export const EARLIER_GRADES = { 'needs work': 'needs-work' } as const;
export const EARLIER_STATES = { 'being made': 'being-made' } as const;
export const EARLIER_CLOSINGS = {
	'as its kind': 'usual',
	'boards and bands': 'boards-bands',
	'boards and clamps': 'boards-clamps'
} as const;
export const EARLIER_MEASURING = { 'two cups': 'two-cups', 'one cup': 'one-cup' } as const;
export const EARLIER_DEVICES = { gun: 'infraredThermometer', air: 'hygrometer' } as const;
export const EARLIER_CAUSES = {
	'damp air': 'damp-air',
	'damp or cold mould face': 'damp-face',
	'old or damp stock': 'old-stock',
	'ratio off': 'ratio-off',
	'stock not stirred': 'not-stirred',
	'cups swapped or dirty': 'cups-swapped',
	'poured too late': 'poured-late',
	'no pressure': 'no-pressure',
	'pressure too late': 'pressure-late',
	'pressure lost or let out early': 'pressure-lost',
	'air with no way out': 'trapped-air',
	'mould closed unevenly': 'uneven-closing',
	'mould not clean': 'dirty-mould',
	'release not dry': 'wet-release',
	'out of the mould too early': 'early-demould',
	'worn mould': 'worn-mould',
	'too much heat at once': 'overheated',
	'cold mould': 'cold-mould',
	'next layer too late': 'late-layer',
	'rolled unevenly': 'uneven-rolling'
} as const;

type Earlier<Id extends string> = Readonly<Record<string, Id>>;

/** The id of a text: its own if it is one, else that of the version before. */
export const idOf = (earlier: Earlier<string>, text: string): string =>
	Object.hasOwn(earlier, text) ? earlier[text]! : text;

/**
 * Reads an id, or the words that an earlier version stored for it.
 * @example
 * idSchema(['good', 'needs-work'], { 'needs work': 'needs-work' }).parse('needs work') // 'needs-work'
 */
export function idSchema<Id extends string>(
	ids: readonly Id[],
	earlier: Earlier<NoInfer<Id>>,
	error?: string
) {
	const said = error === undefined ? {} : { error };
	return z.union(
		[
			z.enum(ids as readonly [Id, ...Id[]]),
			z.enum(Object.keys(earlier) as [string, ...string[]]).transform((text): Id => earlier[text]!)
		],
		said
	);
}

/** The same for the keys of a record. */
export const withIds = (earlier: Earlier<string>) => (value: unknown) =>
	value !== null && typeof value === 'object' && !Array.isArray(value)
		? Object.fromEntries(Object.entries(value).map(([key, v]) => [idOf(earlier, key), v]))
		: value;
