/** Where a mould stands in its life. */
export const MOULD_STATES = ['being-made', 'new', 'active', 'resting', 'worn', 'retired'] as const;
export type MouldState = (typeof MOULD_STATES)[number];
export const STATE_WORDS: Readonly<Record<MouldState, string>> = {
	'being-made': 'being made',
	new: 'new',
	active: 'active',
	resting: 'resting',
	worn: 'worn',
	retired: 'retired'
};

const NEXT: Readonly<Record<MouldState, readonly MouldState[]>> = {
	'being-made': ['new', 'retired'],
	new: ['active', 'retired'],
	active: ['resting', 'worn', 'retired'],
	resting: ['active', 'worn', 'retired'],
	worn: ['active', 'resting', 'retired'],
	retired: ['active']
};

/**
 * The states that a mould may go to from where it is. A retired one may be taken back into use.
 * @example
 * nextMouldStates('retired'); // ['active']
 */
export function nextMouldStates(state: MouldState): readonly MouldState[] {
	return NEXT[state];
}
