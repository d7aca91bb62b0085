import { calculation } from '../../../calculation';
import { rigidThing } from '../../../compatibility/things';
import { yes } from '../../chooserInput';
import { ROOM } from '../fields';
import type { MouldModule } from '../module';
import { drawRigid } from './draw';
import { planAsRigid } from './plan';
import { planRigid, rigidInput } from './rigid';
import { rigidSteps } from './steps';
import { rigidWords } from './words';

/** Copies from which a rigid mould pays (common practice, no source). */
const MANY = 60;

/** Bought, printed or cast of rigid resin: nothing is mixed for it here. */
export const rigid: MouldModule = {
	words: rigidWords,
	glyph: { rubber: 'M12 4H36V27H12Z', hollow: 'M17 4H31L28 23H20Z', seam: 'M9 11H39M9 20H39' },
	fields: [
		{
			name: 'rigidSource',
			label: 'It is',
			as: 'choice',
			options: [
				{ value: 'bought', label: 'bought' },
				{ value: 'printed', label: 'printed' },
				{ value: 'cast resin', label: 'cast in resin' }
			]
		},
		{ name: 'rigidParts', label: 'In parts', as: 'quantity', quantity: 'number' },
		{ name: 'rigidWallMm', label: 'Wall', as: 'quantity', quantity: 'length' },
		{
			name: 'infillPercent',
			label: 'Infill',
			as: 'quantity',
			quantity: 'percent',
			when: (i) => i.rigidSource === 'printed'
		},
		{
			name: 'softensC',
			label: 'Softens at',
			as: 'quantity',
			quantity: 'temperature',
			hint: ({ inputs }) =>
				inputs.softensC === undefined ? 'empty: not known, and no warning of warping' : 'from its sheet'
		},
		ROOM
	],
	asksForSprue: true,
	refusesResin: '',
	mindsUndercuts: true,
	closing: 'bands',
	handsS: 1800,
	plan: (inputs, master, _materials, faceTempC) => planAsRigid(inputs, master, faceTempC),
	draw: drawRigid,
	// its bands reach beyond it
	reachMm: (_inputs, plan) => 1.15 * Math.max(plan.rigid!.outerMm.lengthMm, plan.rigid!.outerMm.heightMm),
	figure: (plan) => ({
		kind: 'volume',
		value: plan.rigid!.putty.volumeMl,
		note: `${plan.rigid!.bands} bands, no rubber`
	}),
	wall: (inputs) => ({
		mm: inputs.rigidWallMm,
		of: inputs.rigidSource === 'cast resin' ? 'resin' : 'printed'
	}),
	pricePerKg: () => undefined,
	cupIsLost: false,
	degassed: false,
	cautions: () => ['powder', 'knife'],
	opening: () => 'Parts along its seam; putty and bands.',
	wearFamily: () => 'rigid',
	thing: (inputs) => rigidThing(inputs.rigidSource),
	judge(r, c) {
		if (c.lock === 'deep' || c.lock === 'shallow') r.bad.push('undercuts lock in a mould that does not bend');
		if (yes(c.metalSkin)) r.care.push('its parting line shows');
		if (c.copies >= MANY) r.good.push('outlasts rubber in long runs');
		else r.care.push(`for ${c.copies} copies it hardly pays unless it is there already`);
	},
	steps: rigidSteps,
	making: () => ({}),
	settingS: (plan) => plan.pours.map(() => 0),
	calculation: calculation(
		'mould-rigid',
		'A bought, printed or cast rigid mould: its outside, putty and bands.',
		rigidInput,
		{
			master: { footprint: 'rectangular', lengthMm: 60, widthMm: 40, heightMm: 50 },
			masterVolumeMl: 80,
			source: 'printed',
			parts: 2
		},
		(_input, raw) => planRigid(raw)
	)
};
