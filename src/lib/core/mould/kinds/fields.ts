import type { KindField } from './module';

/** What several kinds ask for. */
export const CLEARANCE: KindField = {
	name: 'clearanceMm',
	label: 'Clearance',
	as: 'quantity',
	quantity: 'length'
};
export const COVER: KindField = { name: 'coverMm', label: 'Cover', as: 'quantity', quantity: 'length' };
export const PARTING: KindField = {
	name: 'partingMm',
	label: 'Halves part at',
	as: 'quantity',
	quantity: 'length',
	inForce: (plan) => plan.partingMm,
	hint: ({ inputs }) =>
		inputs.partingMm === undefined ? 'the middle of its height' : 'above its lowest point'
};
export const BOARDS: KindField = {
	name: 'boardMm',
	label: 'Boards, thick',
	as: 'quantity',
	quantity: 'length',
	when: (i) => i.shape !== 'bricks'
};
export const CUP_LOSS: KindField = {
	name: 'lossPercent',
	label: 'Cup loss',
	as: 'quantity',
	quantity: 'percent'
};
export const ROOM: KindField = {
	name: 'roomTempC',
	label: 'Room',
	as: 'quantity',
	quantity: 'temperature'
};

const BOXED_IN: KindField = {
	name: 'shape',
	label: 'Boxed in',
	as: 'choice',
	options: [
		{ value: 'box', label: 'A box' },
		{ value: 'tube', label: 'A tube' },
		{ value: 'bricks', label: 'Bricks' }
	]
};
const BUBBLES: KindField = {
	name: 'degas',
	label: 'Bubbles out by',
	as: 'choice',
	options: [
		{ value: 'none', label: 'a thin stream' },
		{ value: 'vacuum', label: 'vacuum' },
		{ value: 'pressure', label: 'curing in the pot' }
	]
};
const IN_POT: KindField = {
	name: 'inPot',
	label: 'Casts go in the pot',
	as: 'choice',
	options: [
		{ value: 'no', label: 'no' },
		{ value: 'yes', label: 'yes' }
	]
};

const BRICKS: readonly KindField[] = [
	{
		name: 'brickPitchMm',
		label: 'Brick, wide',
		as: 'quantity',
		quantity: 'length',
		when: (i) => i.shape === 'bricks'
	},
	{
		name: 'brickHeightMm',
		label: 'Brick, high',
		as: 'quantity',
		quantity: 'length',
		when: (i) => i.shape === 'bricks'
	}
];
const CAVITIES: readonly KindField[] = [
	{ name: 'cavities', label: 'Cavities', as: 'quantity', quantity: 'number' },
	{
		name: 'gapMm',
		label: 'Between them',
		as: 'quantity',
		quantity: 'length',
		when: (i) => i.cavities > 1
	}
];

/** The fields of a block in its box, tube or bricks. @param between what its kind asks for besides */
export const blockFields = (
	choices: readonly KindField[] = [],
	between: readonly KindField[] = []
): readonly KindField[] => [
	BOXED_IN,
	...choices,
	BUBBLES,
	IN_POT,
	CLEARANCE,
	COVER,
	...between,
	...CAVITIES,
	...BRICKS,
	BOARDS,
	CUP_LOSS,
	ROOM
];
