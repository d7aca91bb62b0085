import { z } from 'zod';
import { calculation } from '../../../calculation';
import { planBlock } from '../../boxedBlock';
import { LARGE_MM, yes } from '../../chooserInput';
import { keysFor } from '../../details';
import { givenBox } from '../../given';
import { outlineOf } from '../../slices';
import { BOXED } from '../block/module';
import { planBoxed, type BlockCase } from '../block/plan';
import { RUBBER_EXAMPLE } from '../example';
import { blockFields, PARTING } from '../fields';
import type { MouldModule } from '../module';
import { twoPartSteps } from './steps';
import { planTwoPart, twoPartInput } from './twoPart';
import { twoPartWords } from './words';

/** Rubber of both halves in this shape of box. */
function halves({ inputs, master, bricks, common }: BlockCase, as: 'box' | 'tube' | 'bricks') {
	const { lengthMm, widthMm } = bricks.courses[0]!;
	const box = givenBox(inputs);
	const plan = planTwoPart({
		...common,
		partingMm: inputs.partingMm ?? master.heightMm / 2,
		shape: as === 'tube' ? 'tube' : 'box',
		...(as === 'bricks' ? { inside: { lengthMm, widthMm } } : as === 'box' && box ? { inside: box } : {})
	});
	return { ...plan, warnings: [...plan.warnings, ...planBlock({ ...common, shape: 'box' }).warnings] };
}

/** A block in two halves that part all round, keyed to each other. */
export const twoPart: MouldModule = {
	...BOXED,
	words: twoPartWords,
	glyph: {
		rubber: 'M6 4H42V27H6Z',
		hollow: 'M22 4V9Q13 16 24 21Q35 16 26 9V4Z',
		seam: 'M24 21V27M24 4V9'
	},
	fields: blockFields([], [PARTING], 2),
	mindsUndercuts: true,
	closing: 'boards-bands',
	handsS: 10_800,
	plan(inputs, master, materials) {
		const plan = planBoxed(inputs, master, materials, 2, halves);
		const { lengthMm, widthMm, round } = outlineOf(plan.cavity!);
		return {
			...plan,
			pours: [
				{ name: 'First half, on the clay', ...plan.first!, startS: 0 },
				{ name: 'Second half, where the clay was', ...plan.second!, startS: plan.readyInS / 2 }
			],
			keys: keysFor(lengthMm, widthMm, plan.left?.clearanceMm ?? inputs.clearanceMm, round)
		};
	},
	opening: () => 'Parts all round at the line shown in the section; keys go together one way only.',
	judge(r, c) {
		if (yes(c.metalSkin)) r.bad.push('a seam all round shows in a metal skin');
		if (yes(c.fragile)) r.care.push('bedding and cleaning off clay strains a fragile master');
		if (c.lock === 'deep') r.care.push('deep undercuts lock in halves too: a soft rubber, or more parts');
		if (c.largest > LARGE_MM) r.care.push('much rubber for its size');
		r.good.push(yes(c.hollow) ? 'opens wide: good for rotocasts' : 'opens wide, cleans easily');
	},
	steps: twoPartSteps,
	calculation: calculation(
		'mould-two-part',
		'Rubber for both halves of a two-part block, the clay between, and when it is ready.',
		z.strictObject(twoPartInput.shape),
		{
			master: { footprint: 'rectangular', lengthMm: 60, widthMm: 40, heightMm: 50 },
			masterVolumeMl: 80,
			shape: 'box',
			clearanceMm: 12,
			coverMm: 15,
			partingMm: 20,
			rubber: { ...RUBBER_EXAMPLE, cureTimeS: 14_400, cureKind: 'addition' },
			roomTempC: 21,
			lossPercent: 4
		},
		(_input, raw) => planTwoPart(raw)
	)
};
