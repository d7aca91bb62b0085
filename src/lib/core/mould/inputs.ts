import { z } from 'zod';
import type { MasterRecord } from '../master/master';
import { masterVolumeMl } from '../master/master';
import { name, note } from '../shelf/resin';
import { rubberForBlock, type RubberRecord } from '../shelf/rubber';
import { blockPlanInput, planBlock, type BlockPlan } from './plan';

/** What the maker types to plan a block mould. */
export const mouldInputs = z.object({
	label: name('mould'),
	masterId: z.string().min(1, 'Choose the master that the mould is made from.'),
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
	place: z.string().trim().max(120, 'Keep the place under 120 characters.').default(''),
	note
});
export type MouldInputs = z.output<typeof mouldInputs>;

/** Plans the block for a master and a rubber from the shelf. Throws as `planBlock` does. */
export function planMould(
	inputs: Pick<MouldInputs, 'shape' | 'clearanceMm' | 'coverMm' | 'lossPercent' | 'roomTempC'>,
	master: MasterRecord,
	rubber: RubberRecord
): BlockPlan {
	return planBlock({
		master,
		masterVolumeMl: masterVolumeMl(master),
		shape: inputs.shape,
		clearanceMm: inputs.clearanceMm,
		coverMm: inputs.coverMm,
		rubber: rubberForBlock(rubber),
		roomTempC: inputs.roomTempC,
		lossPercent: inputs.lossPercent
	});
}
