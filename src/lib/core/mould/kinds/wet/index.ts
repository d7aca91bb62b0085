import { InputError } from '../../../working';
import { calculation } from '../../../calculation';
import { wetThing } from '../../../compatibility/things';
import { displacedMl, masterVolumeMl } from '../../../master/volume';
import { formatTime } from '../../../units';
import { yes } from '../../chooserInput';
import { blockReachMm, drawBlock } from '../block/draw';
import { cutList } from '../block/plan';
import { BOARDS, CLEARANCE, COVER, CUP_LOSS } from '../fields';
import type { MouldModule } from '../module';
import { sizeOf } from '../../planned';
import { wetSteps } from './steps';
import { planWet, wetInput } from './wet';
import { wetWords } from './words';

/** Casts that it stands: more than these is another kind's work (common practice, no source). */
const FEW = 2;

/** Powder stirred into water that sets in minutes, for one quick cast in plaster or wax. */
export const wet: MouldModule = {
	words: wetWords,
	glyph: {
		rubber: 'M6 8H42V26H6Z',
		hollow: 'M14 8V15Q24 24 34 15V8Z',
		seam: 'M10 3v2M24 2v3M38 3v2'
	},
	fields: [
		{
			name: 'wetCast',
			label: 'Cast in it',
			as: 'choice',
			options: [
				{ value: 'plaster', label: 'plaster' },
				{ value: 'wax', label: 'wax' }
			]
		},
		{
			name: 'shape',
			label: 'Boxed in',
			as: 'choice',
			options: [
				{ value: 'box', label: 'A box' },
				{ value: 'tube', label: 'A tube' }
			]
		},
		CLEARANCE,
		COVER,
		{
			name: 'waterPerPowder',
			label: 'Water per powder',
			as: 'quantity',
			quantity: 'number',
			hint: () => 'by weight, its tin'
		},
		{
			name: 'waterTempC',
			label: 'Water',
			as: 'quantity',
			quantity: 'temperature',
			hint: () => 'warmer sets sooner'
		},
		{
			name: 'wetWorkS',
			label: 'Workable for',
			as: 'quantity',
			quantity: 'time',
			hint: () => 'its tin, at 20 °C'
		},
		{
			name: 'wetSetS',
			label: 'Sets in',
			as: 'quantity',
			quantity: 'time',
			hint: () => 'its tin, at 20 °C'
		},
		{
			name: 'wetUsableS',
			label: 'Cast within',
			as: 'quantity',
			quantity: 'time',
			hint: () => 'then it has shrunk'
		},
		{
			name: 'waterPerPlaster',
			label: 'Water per plaster',
			as: 'quantity',
			quantity: 'number',
			hint: () => 'by weight, its bag',
			when: (i) => i.wetCast === 'plaster'
		},
		CUP_LOSS,
		BOARDS
	],
	asksForSprue: false,
	refusesResin:
		'holds water: urethane foams in it and other resins stay cloudy and soft. It is for plaster or wax.',
	mindsUndercuts: true,
	closing: 'nothing',
	handsS: 1500,
	plan(inputs, master) {
		// what is cast into it is weighed out by the volume
		if (masterVolumeMl(master) === undefined)
			throw new InputError(
				['masterVolumeMl'],
				'Its volume is not known yet, and the cast goes by it: measure it first.'
			);
		const plan = planWet({
			master: sizeOf(master),
			masterVolumeMl: displacedMl(master),
			shape: inputs.shape === 'tube' ? 'tube' : 'box',
			clearanceMm: inputs.clearanceMm,
			coverMm: inputs.coverMm,
			lossPercent: inputs.lossPercent,
			waterPerPowder: inputs.waterPerPowder,
			wetWorkS: inputs.wetWorkS,
			wetSetS: inputs.wetSetS,
			waterTempC: inputs.waterTempC,
			wetUsableS: inputs.wetUsableS,
			wetCast: inputs.wetCast,
			waterPerPlaster: inputs.waterPerPlaster
		});
		const { powder, water, cast, usableS, pulls } = plan;
		return {
			kind: 'wet',
			rubber: plan.mix,
			a: powder,
			b: water,
			pours: [{ name: 'The mould', ...plan.mix, a: powder, b: water, startS: 0 }],
			grossVolumeMl: plan.grossVolumeMl,
			netVolumeMl: plan.netVolumeMl,
			degasVesselMl: 0,
			readyInS: plan.setS,
			workingTimeS: plan.workS,
			working: plan.working,
			warnings: plan.warnings,
			cavity: plan.cavity,
			cutList: cutList(inputs, plan.cavity),
			wet: { powder, water, cast, usableS, pulls }
		};
	},
	draw: drawBlock,
	reachMm: (_inputs, plan) => blockReachMm(plan),
	figure: ({ wet }) => ({
		kind: 'mass',
		value: wet!.powder.massG,
		note: `one or two casts within ${formatTime(wet!.usableS)}`
	}),
	wall: (inputs) => ({ mm: inputs.clearanceMm, of: 'wet' }),
	pricePerKg: () => undefined,
	cupIsLost: true,
	degassed: false,
	cautions: (inputs) => (inputs.wetCast === 'wax' ? ['powder', 'scald'] : ['powder']),
	opening: () => 'Opens at its face: ease the master out in one pull and cast at once.',
	wearFamily: () => 'wet',
	thing: () => wetThing,
	judge(r, c) {
		if (c.copies > FEW) r.bad.push(`${c.copies} copies: it stands one or two`);
		if (yes(c.hollow)) r.bad.push('an open mould casts nothing hollow all round');
		if (c.resinId) r.bad.push('urethane foams on its water: plaster or wax only');
		else r.care.push('for plaster or wax only: urethane foams on its water');
		if (c.lock === 'deep') r.bad.push('it tears out of deep undercuts');
		r.good.push('a cast within the hour, no rubber at all');
	},
	steps: wetSteps,
	making: (inputs, plan) => ({
		wet: {
			waterTempC: inputs.waterTempC,
			setS: plan.readyInS,
			usableS: plan.wet!.usableS,
			cast: inputs.wetCast
		}
	}),
	settingS: (plan) => [plan.readyInS],
	calculation: calculation(
		'mould-wet',
		'Powder and water for a wet, short-lived mould, its minutes, and the plaster or wax for a cast.',
		wetInput,
		{
			master: { footprint: 'rectangular', lengthMm: 60, widthMm: 40, heightMm: 30 },
			masterVolumeMl: 45,
			shape: 'box',
			clearanceMm: 15,
			coverMm: 15,
			lossPercent: 5,
			waterPerPowder: 2,
			waterTempC: 18
		},
		(_input, raw) => planWet(raw)
	)
};
