import { z } from 'zod';
import { sprueInput } from '../flow/sprue';
import type { MasterRecord } from '../master/master';
import { masterVolumeMl } from '../master/master';
import { name, note } from '../shelf/resin';
import { rubberForBlock, type RubberRecord } from '../shelf/rubber';
import { blockPlanInput, planBlock, type BlockPlan } from './plan';
import { planTwoPart, type TwoPartPlan } from './twoPart';

/** What the maker types to plan a block mould. */
export const mouldInputs = z.object({
	label: name('mould'),
	masterId: z.string().min(1, 'Choose the master that the mould is made from.'),
	/** How it opens: cut open, open at its flat back, or in two halves. */
	kind: z.enum(['one-piece', 'open-face', 'two-part']).default('one-piece'),
	/** Two-part: parting line above the master's lowest point; its middle unless typed, mm. */
	partingMm: z
		.number({ error: 'Type where the halves part, such as 25 mm, or leave it empty for the middle.' })
		.positive('The parting line runs round the master: above its lowest point.')
		.max(3000, 'Over 3 m: check the unit.')
		.optional(),
	rubberId: z.string().min(1, 'Choose a rubber from the shelf.'),
	/** What keeps the rubber off the master; empty: nothing. */
	releaseId: z.string().max(40).default(''),
	shape: blockPlanInput.shape.shape.default('box'),
	clearanceMm: blockPlanInput.shape.clearanceMm,
	coverMm: blockPlanInput.shape.coverMm,
	lossPercent: z
		.number({ error: 'Type the loss in percent, such as 4 %.' })
		.min(0, 'The loss cannot be less than nothing.')
		.max(50, 'Over half lost in the cup: check the loss.'),
	roomTempC: blockPlanInput.shape.roomTempC,
	/** Resin that it will mostly be poured with; empty: not known yet. */
	pourResinId: z.string().max(40).default(''),
	sprueDiameterMm: sprueInput.shape.diameterMm.default(8),
	sprueLengthMm: sprueInput.shape.lengthMm.default(20),
	place: z.string().trim().max(120, 'Keep the place under 120 characters.').default(''),
	note
});
export type MouldInputs = z.output<typeof mouldInputs>;

/** A block of any kind; a two-part one knows its halves. */
export type MouldPlan = BlockPlan & Partial<Pick<TwoPartPlan, 'partingMm' | 'clay' | 'first' | 'second'>>;

/** Plans the mould for a master and a rubber from the shelf. Throws as `planBlock` and `planTwoPart` do. */
export function planMould(
	inputs: Pick<
		MouldInputs,
		'kind' | 'partingMm' | 'shape' | 'clearanceMm' | 'coverMm' | 'lossPercent' | 'roomTempC'
	>,
	master: MasterRecord,
	rubber: RubberRecord
): MouldPlan {
	const common = {
		master,
		masterVolumeMl: masterVolumeMl(master),
		shape: inputs.shape,
		clearanceMm: inputs.clearanceMm,
		coverMm: inputs.coverMm,
		rubber: rubberForBlock(rubber),
		roomTempC: inputs.roomTempC,
		lossPercent: inputs.lossPercent
	};
	const block = planBlock(common);
	if (inputs.kind !== 'two-part') return block;
	const partingMm = inputs.partingMm ?? master.heightMm / 2;
	const plan = planTwoPart({ ...common, partingMm });
	const other = planTwoPart({ ...common, partingMm, shape: inputs.shape === 'box' ? 'tube' : 'box' });
	return { ...plan, otherShapeNetMl: other.netVolumeMl, warnings: [...plan.warnings, ...block.warnings] };
}
