import { calculation } from '../../../calculation';
import { digits } from '../../../units';
import { mouldBlock, mouldBlockInput } from '../../block';
import { LARGE_MM, yes } from '../../chooserInput';
import { seamFor } from '../../details';
import { BOXED, onePourSteps } from '../block/module';
import { onePour, planBoxed } from '../block/plan';
import { RUBBER_EXAMPLE } from '../example';
import { blockFields } from '../fields';
import type { MouldModule } from '../module';
import { onePieceWords } from './words';

/** A block all round the master, cut open along a wavy seam. */
export const onePiece: MouldModule = {
	...BOXED,
	words: onePieceWords,
	glyph: {
		rubber: 'M8 4H40V27H8Z',
		hollow: 'M20 4V9Q13 16 24 21Q35 16 28 9V4Z',
		seam: 'M8 15q2-3 4 0t4 0'
	},
	fields: blockFields([
		{
			name: 'seamSide',
			label: 'Cut on its',
			as: 'choice',
			options: [
				{ value: 'back', label: 'back' },
				{ value: 'left', label: 'left' },
				{ value: 'right', label: 'right' },
				{ value: 'front', label: 'front' }
			]
		}
	]),
	mindsUndercuts: true,
	closing: 'boards-bands',
	handsS: 4500,
	plan(inputs, master, materials) {
		const plan = planBoxed(inputs, master, materials, 1, onePour);
		return { ...plan, seam: seamFor(inputs.seamSide, plan.left?.clearanceMm ?? inputs.clearanceMm) };
	},
	opening: (inputs) =>
		`Cut wavy on its ${inputs.seamSide}; the far side keeps a hinge. Write this on the board before the rubber covers it.`,
	judge(r, c) {
		if (yes(c.metalSkin))
			r.care.push('the seam cannot be dressed in a metal skin: cut it where it is never seen');
		if (yes(c.fragile)) r.care.push('a fragile master may break when it is cut out');
		if (c.largest > LARGE_MM)
			r.care.push(`${digits(c.largest, 0)} mm is large for a block: much rubber, hard to open`);
		if (c.lock === 'deep') r.good.push('a cut seam opens deep undercuts');
		r.good.push('one pour, one cure');
	},
	steps: (plan, show) =>
		onePourSteps(
			plan,
			show,
			[
				'Cut the seam, take the master out',
				`A wavy cut on its ${plan.seamSide}, never a sharp corner; leave the hinge uncut. A relief cut beside thin limbs.`
			],
			` Write its outline and the cut line (${plan.seamSide}) on the base board: the master is out of sight afterwards.`
		),
	calculation: calculation(
		'mould-block',
		'Rubber for a one-piece block round a master.',
		mouldBlockInput,
		{
			cavity: { shape: 'box', lengthMm: 90, widthMm: 70, heightMm: 60 },
			masterVolumeMl: 85,
			rubber: RUBBER_EXAMPLE,
			roomTempC: 21,
			lossPercent: 4
		},
		(_input, raw) => mouldBlock(raw)
	)
};
