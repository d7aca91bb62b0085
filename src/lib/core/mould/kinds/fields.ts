import { weighedTogether } from '../../units';
import type { MouldInputs } from '../inputs';
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
	when: (i) => i.shape === 'box' || i.shape === 'tube'
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
		{ value: 'bricks', label: 'Bricks' },
		{ value: 'given', label: 'This container' }
	]
};
const isGiven = (i: MouldInputs) => i.shape === 'given';
const inside = (
	name: 'givenLengthMm' | 'givenWidthMm' | 'givenDiameterMm' | 'givenTopMm' | 'givenFillMm',
	label: string,
	when: (i: MouldInputs) => boolean = () => true
): KindField => ({ name, label, as: 'quantity', quantity: 'length', when: (i) => isGiven(i) && when(i) });
/** A container at hand, by its inside: the clearances follow. */
const GIVEN: readonly KindField[] = [
	{
		name: 'givenAs',
		label: 'It is a',
		as: 'choice',
		options: [
			{ value: 'tube', label: 'Tube' },
			{ value: 'box', label: 'Box' },
			{ value: 'bucket', label: 'Bucket' }
		],
		when: isGiven
	},
	inside('givenLengthMm', 'Length inside', (i) => i.givenAs === 'box'),
	inside('givenWidthMm', 'Width inside', (i) => i.givenAs === 'box'),
	inside('givenDiameterMm', 'Diameter inside', (i) => i.givenAs !== 'box'),
	inside('givenTopMm', 'At the fill mark', (i) => i.givenAs === 'bucket'),
	inside('givenFillMm', 'Rubber stands')
];
const MIXED: KindField = {
	name: 'rubberMassG',
	label: 'You mix',
	as: 'quantity',
	quantity: 'mass',
	// the same grams as the answer beside it, which adds A and B up as each is weighed
	inForce: (plan) => Math.round(weighedTogether(plan.rubber.massG, [plan.a.massG, plan.b.massG], 1)),
	hint: ({ inputs }) => (inputs.rubberMassG === undefined ? 'empty: as worked out' : 'in all')
};
const unlessGiven = (field: KindField): KindField => ({ ...field, when: (i) => !isGiven(i) });
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

export const BRICKS: readonly KindField[] = [
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
export const CAVITIES: readonly KindField[] = [
	{ name: 'cavities', label: 'Cavities', as: 'quantity', quantity: 'number' },
	{
		name: 'gapMm',
		label: 'Between them',
		as: 'quantity',
		quantity: 'length',
		when: (i) => i.cavities > 1
	}
];

/** The fields of a block in its box, tube or bricks. @param between what its kind asks for besides; @param pours one, whose amount may be typed, or two */
export const blockFields = (
	choices: readonly KindField[] = [],
	between: readonly KindField[] = [],
	pours: 1 | 2 = 1
): readonly KindField[] => [
	BOXED_IN,
	...GIVEN,
	...choices,
	BUBBLES,
	IN_POT,
	unlessGiven(CLEARANCE),
	unlessGiven(COVER),
	...between,
	...CAVITIES,
	...BRICKS,
	BOARDS,
	CUP_LOSS,
	...(pours === 1 ? [MIXED] : []),
	ROOM
];
