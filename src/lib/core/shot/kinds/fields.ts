import { CRACK_LIMIT_C } from '../../cure/heat';
import type { Skin } from '../../master/skin';
import type { QuantityKind } from '../../units';

import type { Inputs, ShotInputs } from '../inputs';
import { RECOAT_SCHOOLS } from './rotocast/schools';
import { LEVEL_COAT_MM, STANDS } from './brushed/stands';
import { DUST_G_PER_M2 } from './cold/dust';
import { WATER_PER_PLASTER } from '../../mix/plaster';
import { FILL_KINDS, FILLS } from './filled/fills';

/** What stands beside a field and at it, by what is typed and what is known of the master. */
export interface CastFieldContext {
	inputs: ShotInputs;
	skin: { skinAreaMm2: number; skinFrom: Skin['skinFrom']; heightMm?: number | undefined } | undefined;
	show: (value: number, kind: QuantityKind) => string;
}

/** A field that a kind of cast asks for; its rule is the schema's. */
export type CastField = {
	name: keyof Inputs;
	label: string;
	hint?: (c: CastFieldContext) => string;
	/** What counts while it is empty. */
	inForce?: (c: CastFieldContext) => number | undefined;
} & (
	| { as: 'quantity'; quantity: QuantityKind }
	/** `wide`: over two columns. */
	| { as: 'choice'; options: readonly { value: string; label: string }[]; usual?: string; wide?: true }
);

const quantity = (
	name: keyof Inputs,
	label: string,
	kind: QuantityKind,
	more: Pick<CastField, 'hint' | 'inForce'> = {}
): CastField => ({ name, label, as: 'quantity', quantity: kind, ...more });
/** Said only while the field is empty. */
const whenEmpty =
	(name: keyof Inputs, words: (c: CastFieldContext) => string) =>
	(c: CastFieldContext): string =>
		c.inputs[name as keyof ShotInputs] === undefined ? words(c) : '';

const SKIN_WORDS = { file: 'by its 3D file', solids: 'by its plain solids', sizes: 'by its outer sizes' };
const AREA: readonly CastField[] = [
	quantity('areaMm2', 'Skin of one copy', 'area', {
		hint: whenEmpty('areaMm2', ({ inputs, skin, show }) => {
			if (inputs.castMassG && inputs.castWallMm) return 'by the earlier cast';
			return skin ? `${show(skin.skinAreaMm2, 'area')} ${SKIN_WORDS[skin.skinFrom]}` : '';
		})
	}),
	quantity('castMassG', 'Earlier cast weighs', 'mass', { hint: () => 'hollow, the same resin unfilled' }),
	quantity('castWallMm', '…and its wall', 'length')
];
const WALL = quantity('wallMm', 'Wall', 'length');
const SCHOOL: CastField = {
	name: 'school',
	label: 'Next layer goes on',
	as: 'choice',
	wide: true,
	usual: 'gel',
	options: Object.entries(RECOAT_SCHOOLS).map(([value, s]) => ({ value, label: s.words })),
	hint: ({ inputs }) => RECOAT_SCHOOLS[inputs.school ?? 'gel'].risk
};

const OUT: CastField = {
	name: 'out',
	label: 'It comes out',
	as: 'choice',
	wide: true,
	usual: 'firm',
	options: [
		{ value: 'firm', label: 'once it keeps its shape' },
		{ value: 'flexible', label: 'while it still gives' }
	],
	hint: ({ inputs }) =>
		inputs.out === 'flexible' ? 'keys let go; it may be laid over a curve until it is hard' : ''
};

/** A wall of rolled layers. */
export const ROLLED_FIELDS: readonly CastField[] = [
	WALL,
	quantity('layers', 'Layers', 'number', {
		hint: ({ inputs }) =>
			inputs.layerRows?.length
				? 'by the table below'
				: inputs.layers === undefined
					? 'as many as the wall needs'
					: ''
	}),
	...AREA,
	quantity('rimLengthMm', 'Rim, long', 'length', { hint: () => 'round the opening' }),
	quantity('rimMm', 'Rim, high', 'length'),
	quantity('rimThickMm', 'Rim, thick', 'length', {
		inForce: ({ inputs }) => inputs.rimMm,
		hint: whenEmpty('rimThickMm', () => 'as it is high')
	}),
	quantity('trimMm', 'Cut off it afterwards', 'length', {
		hint: () => 'resin let over the rim, then trimmed'
	}),
	quantity('turnS', 'One turn takes', 'time', { hint: () => 'slow and every way round' }),
	SCHOOL,
	OUT
];

const fillOf = (c: CastFieldContext) => FILLS[c.inputs.fillKind ?? 'plaster'];
/** What fills the shell. */
export const FILL_FIELDS: readonly CastField[] = [
	{
		name: 'fillKind',
		label: 'Filled with',
		as: 'choice',
		usual: 'plaster',
		options: FILL_KINDS.map((value) => ({ value, label: FILLS[value].words }))
	},
	{
		name: 'fillWhere',
		label: 'It is filled',
		as: 'choice',
		wide: true,
		usual: 'inside',
		options: [
			{ value: 'inside', label: 'in its mould, once it is firm' },
			{ value: 'outside', label: 'after it has come out' }
		],
		hint: ({ inputs }) =>
			inputs.fillWhere === 'outside'
				? 'bedded in sand or foam, its opening up'
				: 'never on a layer that has just stopped running'
	},
	quantity('waterPerPowder', 'Water to one of powder', 'number', {
		inForce: ({ inputs }) => ((inputs.fillKind ?? 'plaster') === 'plaster' ? WATER_PER_PLASTER : undefined),
		hint: ({ inputs }) =>
			(inputs.fillKind ?? 'plaster') === 'plaster' ? 'by weight, as its bag says' : 'plaster alone'
	}),
	quantity('fillDensityGPerMl', 'Its density in place', 'density', {
		inForce: (c) => fillOf(c).densityGPerMl,
		hint: whenEmpty(
			'fillDensityGPerMl',
			(c) => `${fillOf(c).densityGPerMl} g/ml is a default, not from its sheet`
		)
	})
];

/** Depth and layers of a clear cast. */
export const CLEAR_FIELDS: readonly CastField[] = [
	quantity('depthMm', 'Depth in the mould', 'length', {
		inForce: ({ skin }) => skin?.heightMm,
		hint: whenEmpty('depthMm', ({ skin, show }) =>
			skin?.heightMm ? `${show(skin.heightMm, 'length')}, the master’s height` : ''
		)
	}),
	quantity('mostLayerMm', 'Thickest layer', 'length', {
		hint: whenEmpty('mostLayerMm', () => 'as thick as stays cool enough')
	}),
	quantity('crackLimitC', 'The middle may get', 'temperature', {
		inForce: () => CRACK_LIMIT_C,
		hint: whenEmpty(
			'crackLimitC',
			({ show }) => `${show(CRACK_LIMIT_C, 'temperature')} is a default, not from its sheet`
		)
	}),
	SCHOOL
];

/** A face of metal and what backs it. */
export const COLD_FIELDS: readonly CastField[] = [
	{
		name: 'coldSchool',
		label: 'Made',
		as: 'choice',
		wide: true,
		usual: 'face',
		options: [
			{ value: 'face', label: 'a loaded face, then its backing' },
			{ value: 'one-pour', label: 'dusted, the spare powder in one pour' }
		],
		hint: ({ inputs }) =>
			inputs.coldSchool === 'one-pour' ? 'one slow pour to a place that does not show, never down a wall' : ''
	},
	quantity('sparePowderG', 'Powder knocked out', 'mass', {
		hint: ({ inputs }) =>
			inputs.coldSchool === 'one-pour' ? 'into B, with a dark tint' : 'for one pour alone'
	}),
	quantity('faceMm', 'Loaded face', 'length', {
		hint: ({ inputs }) => (inputs.coldSchool === 'one-pour' ? 'not in one pour' : '')
	}),
	quantity('dustGPerM2', 'Dust, g/m²', 'number', {
		hint: whenEmpty('dustGPerM2', () => `${DUST_G_PER_M2} is common practice`)
	}),
	...AREA,
	SCHOOL
];

/** Coats that are brushed on. */
export const BRUSHED_FIELDS: readonly CastField[] = [
	WALL,
	quantity('coatMm', 'One coat', 'length', {
		hint: whenEmpty('coatMm', ({ inputs, show }) =>
			inputs.stands === 'upright' ? 'what stays up' : show(LEVEL_COAT_MM, 'length')
		)
	}),
	quantity('layS', 'Spreading one coat', 'time', { hint: whenEmpty('layS', () => 'by its area') }),
	{
		name: 'stands',
		label: 'Its faces are',
		as: 'choice',
		options: Object.entries(STANDS).map(([value, s]) => ({ value, label: `${s.words}: ${s.needs}` }))
	},
	...AREA,
	SCHOOL
];
