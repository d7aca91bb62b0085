import { z } from 'zod';
import { calculation } from '../../../calculation';
import { blockPlanInput, planBlock } from '../../boxedBlock';
import { yes } from '../../chooserInput';
import { BOXED, onePourSteps } from '../block/module';
import { onePour, planBoxed } from '../block/plan';
import { RUBBER_EXAMPLE } from '../example';
import { blockFields } from '../fields';
import type { MouldModule } from '../module';
import { openFaceWords } from './words';

/** An open block: the master lies on its flat back, which is where it is poured. */
export const openFace: MouldModule = {
	...BOXED,
	words: openFaceWords,
	glyph: { rubber: 'M6 8H42V26H6Z', hollow: 'M14 8V15Q24 24 34 15V8Z', seam: '' },
	fields: blockFields(),
	mindsUndercuts: false,
	closing: 'nothing',
	handsS: 2700,
	plan: (inputs, master, materials) => planBoxed(inputs, master, materials, 1, onePour),
	opening: () => 'Opens at its flat back: nothing is cut.',
	judge(r, c) {
		if (!yes(c.flatBack)) r.bad.push('it has no flat back to pour through');
		else r.good.push('its flat back is the pour opening: no seam at all');
		if (yes(c.hollow)) r.bad.push('an open mould casts nothing hollow all round');
		if (c.lock === 'deep') r.care.push('deep undercuts: a soft rubber that bends away');
	},
	steps: (plan, show) =>
		onePourSteps(plan, show, [
			'Take the master out',
			'Boards off, bend the rubber away from its edges first.'
		]),
	calculation: calculation(
		'mould-open-face',
		'Rubber for an open-face block round a master that lies on its flat back.',
		z.strictObject(blockPlanInput.shape),
		{
			master: { footprint: 'rectangular', lengthMm: 90, widthMm: 60, heightMm: 18 },
			masterVolumeMl: 60,
			shape: 'box',
			clearanceMm: 12,
			coverMm: 12,
			rubber: RUBBER_EXAMPLE,
			roomTempC: 21,
			lossPercent: 4
		},
		(_input, raw) => planBlock(raw)
	)
};
