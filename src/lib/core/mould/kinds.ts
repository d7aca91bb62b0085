/** The six ways to make a mould. */
export const MOULD_KINDS = ['open-face', 'one-piece', 'two-part', 'jacket', 'press', 'rigid'] as const;
export type MouldKind = (typeof MOULD_KINDS)[number];

/** What each is called. */
export const KIND_WORDS: Readonly<Record<MouldKind, string>> = {
	'open-face': 'Open-face block',
	'one-piece': 'One-piece block',
	'two-part': 'Two-part block',
	jacket: 'Jacket with shell',
	press: 'Thermoplastic press mould',
	rigid: 'Rigid mould'
};

/** How each opens, as the planner asks it. */
export const OPENS_WORDS: Readonly<Record<MouldKind, string>> = {
	'open-face': 'At its flat back',
	'one-piece': 'By a cut seam',
	'two-part': 'In two halves',
	jacket: 'Skin in a shell',
	press: 'Re-meltable, pressed',
	rigid: 'Rigid'
};

/** Those that are made of a rubber from the shelf. */
export const inRubber = (kind: MouldKind) => kind !== 'press' && kind !== 'rigid';
/** Those that are poured as a block round the master. */
export const isBlock = (kind: MouldKind) =>
	kind === 'open-face' || kind === 'one-piece' || kind === 'two-part';
