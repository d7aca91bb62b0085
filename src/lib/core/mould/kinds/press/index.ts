import { calculation } from '../../../calculation';
import { thermoplasticThing } from '../../../compatibility/things';
import { LARGE_MM, yes } from '../../chooserInput';
import { blockReachMm, drawBlock } from '../block/draw';
import { BOARDS, BRICKS, CAVITIES, CLEARANCE, COVER, PARTING, ROOM } from '../fields';
import type { MouldModule } from '../module';
import { planAsPress } from './plan';
import { planPress, pressInput, SOFTEN_S } from './press';
import { pressSteps } from './steps';
import { pressWords } from './words';

/** Pulls that a pressed mould is made for (common practice, no source). */
const FEW = 15;
/** Masters that heat softens or cracks (common practice, no source). */
const HEAT_SHY: readonly string[] = [
	'sulphur-free clay',
	'sulphur clay',
	'resin print',
	'filament print',
	'latex',
	'polystyrene',
	'wood'
];

/** Two halves of a re-meltable thermoplastic, softened in hot water and pressed on. */
export const press: MouldModule = {
	words: pressWords,
	glyph: {
		rubber: 'M6 4H42V14H6ZM6 17H42V27H6Z',
		hollow: 'M16 14Q24 5 32 14ZM16 17Q24 26 32 17Z',
		seam: 'M3 15.5H45'
	},
	fields: [
		{ name: 'thermoplasticId', label: 'Pressed from which thermoplastic', as: 'thermoplastic' },
		{
			name: 'shape',
			label: 'Boxed in',
			as: 'choice',
			options: [
				{ value: 'box', label: 'A box' },
				{ value: 'bricks', label: 'Bricks' }
			]
		},
		CLEARANCE,
		COVER,
		PARTING,
		...CAVITIES,
		...BRICKS,
		BOARDS,
		ROOM
	],
	asksForSprue: true,
	refusesResin: '',
	mindsUndercuts: true,
	closing: 'boards-bands',
	handsS: 5400,
	plan: planAsPress,
	draw: drawBlock,
	reachMm: (_inputs, plan) => blockReachMm(plan),
	figure: (plan) => ({ kind: 'mass', value: plan.rubber.massG }),
	wall: (inputs) => ({ mm: inputs.clearanceMm, of: 'thermoplastic' }),
	pricePerKg: ({ thermoplastic }) => thermoplastic?.pricePerKg,
	// it is melted down again: nothing of it is lost
	cupIsLost: false,
	degassed: false,
	cautions: () => ['scald'],
	opening: () => 'Parts all round at the line shown in the section; keys go together one way only.',
	wearFamily: () => 'thermoplastic',
	thing: ({ thermoplasticId }, { thermoplastic }) =>
		thermoplastic && thermoplasticThing(thermoplasticId, thermoplastic.name),
	judge(r, c) {
		if (c.lock === 'deep') r.bad.push('deep undercuts do not come out of it');
		if (yes(c.metalSkin)) r.bad.push('a seam all round shows in a metal skin');
		if (yes(c.fragile)) r.bad.push('it is pressed on hot: a fragile master breaks');
		if (HEAT_SHY.includes(c.master.material))
			r.care.push(`${c.master.material}: see whether it stands near-boiling heat`);
		if (c.copies > FEW) r.care.push(`${c.copies} copies are many for it`);
		if (c.largest > LARGE_MM) r.care.push('large halves cool and press unevenly');
		r.good.push('ready within hours, melted down again afterwards');
	},
	steps: pressSteps,
	making: (_inputs, _plan, { thermoplastic }) =>
		thermoplastic ? { soften: { tempC: thermoplastic.softenTempC, softenS: SOFTEN_S } } : {},
	settingS: (plan) => plan.pours.map(() => plan.readyInS / Math.max(1, plan.pours.length)),
	calculation: calculation(
		'mould-press',
		'Both halves of a press mould of a re-meltable thermoplastic.',
		pressInput,
		{
			master: { footprint: 'rectangular', lengthMm: 40, widthMm: 30, heightMm: 30 },
			masterVolumeMl: 20,
			clearanceMm: 8,
			coverMm: 10,
			partingMm: 15,
			material: { densityGPerMl: 0.95, softenTempC: 95, coolS: 3600 },
			roomTempC: 21
		},
		(_input, raw) => planPress(raw)
	)
};
