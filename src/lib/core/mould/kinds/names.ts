/** The ways to make a mould, in the order in which they are asked. */
export const MOULD_KINDS = ['open-face', 'one-piece', 'two-part', 'jacket', 'press', 'rigid', 'wet'] as const;
export type MouldKind = (typeof MOULD_KINDS)[number];

/** Where what it is made of comes from: a record of the shelf, powder and water, or nothing that is mixed. */
export type MadeOf = 'rubber' | 'thermoplastic' | 'powder' | 'nothing';
export const MADE_OF: Readonly<Record<MouldKind, MadeOf>> = {
	'open-face': 'rubber',
	'one-piece': 'rubber',
	'two-part': 'rubber',
	jacket: 'rubber',
	press: 'thermoplastic',
	rigid: 'nothing',
	wet: 'powder'
};

/**
 * Those that are made of a rubber from the shelf.
 * @example
 * inRubber('press'); // false
 */
export const inRubber = (kind: MouldKind) => MADE_OF[kind] === 'rubber';
