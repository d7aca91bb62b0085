/**
 * How something at the bench came to be known: typed by the maker, read by an instrument, made up by a simulator
 * (practice, and what an earlier version noted), or worked out.
 */
export const SOURCES = ['typed', 'device', 'simulated', 'derived'] as const;
export type Source = (typeof SOURCES)[number];

/** What people read of a source; nothing is said of what was typed. */
export const SOURCE_WORDS: Readonly<Record<Source | 'not kept', string>> = {
	typed: '',
	device: 'read by an instrument',
	simulated: 'simulated',
	derived: 'worked out',
	'not kept': 'source not kept'
};
