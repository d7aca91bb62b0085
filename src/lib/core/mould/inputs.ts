import { z } from 'zod';
import { sprueInput } from '../flow/sprue';
import { name, note } from '../shelf/fields';
import { blockPlanInput } from './boxedBlock';
import { USUAL_GAP_MM } from './cavities';
import { CLOSINGS, SEAM_SIDES } from './details';
import { givenFields } from './givenFields';
import { jacketFields } from './kinds/jacket/jacket';
import { MADE_OF, MOULD_KINDS } from './kinds/names';
import { rigidFields } from './kinds/rigid/rigid';
import { wetFields } from './kinds/wet/wet';

/** Said at the field while the material is not chosen. */
export const NO_RUBBER = 'Choose a rubber from the shelf.';
export const NO_THERMOPLASTIC = 'Choose what it is pressed from: a thermoplastic from the shelf.';

const fields = z.object({
	label: name('mould'),
	masterId: z.string().min(1, 'Choose the master that the mould is made from.'),
	/** How it is made and opens. */
	kind: z.enum(MOULD_KINDS).default('one-piece'),
	/** Two halves: parting line above the master's lowest point; its middle unless typed, mm. */
	partingMm: z
		.number({ error: 'Type where the halves part, such as 25 mm, or leave it empty for the middle.' })
		.positive('The parting line runs round the master: above its lowest point.')
		.max(3000, 'Over 3 m: check the unit.')
		.optional(),
	rubberId: z.string().max(40).default(''),
	/** Press mould: what it is pressed from. */
	thermoplasticId: z.string().max(40).default(''),
	/** Lot of the rubber, as its tin says. */
	rubberLot: z.string().trim().max(60, 'Keep the lot under 60 characters.').default(''),
	/** What keeps the rubber off the master; empty: nothing. */
	releaseId: z.string().max(40).default(''),
	shape: z.enum(['box', 'tube', 'bricks', 'given']).default('box'),
	...givenFields,
	/** Rubber that is mixed in all, g, where somebody would rather have a little over; empty: what is worked out. */
	rubberMassG: z
		.number({ error: 'Type how much you mix, such as 500 g, or leave it empty.' })
		.positive('It is more than nothing.')
		.max(1e6, 'Over a tonne: check the unit.')
		.optional(),
	clearanceMm: blockPlanInput.shape.clearanceMm,
	coverMm: blockPlanInput.shape.coverMm,
	cavities: z
		.number({ error: 'Type how many cavities, such as 1.' })
		.int('Cavities are whole.')
		.min(1, 'At least one cavity.')
		.max(24, 'At most 24 cavities in one block.')
		.default(1),
	gapMm: z
		.number({ error: 'Type the rubber between two cavities, such as 10 mm.' })
		.positive('Cavities need rubber between them: 10 mm is usual.')
		.max(500, 'Over 500 mm: check the unit.')
		.default(USUAL_GAP_MM),
	boardMm: z
		.number({ error: 'Type how thick the boards are, such as 12 mm.' })
		.positive('Boards are thicker than nothing.')
		.max(100, 'Over 100 mm: check the unit.')
		.default(12),
	brickPitchMm: z
		.number({ error: 'Type how wide one brick is: measure ten and divide.' })
		.min(2, 'Bricks under 2 mm: check the unit.')
		.max(200, 'Over 200 mm: check the unit.')
		.default(10),
	brickHeightMm: z
		.number({ error: 'Type how high one course is: measure ten and divide.' })
		.min(2, 'Courses under 2 mm: check the unit.')
		.max(200, 'Over 200 mm: check the unit.')
		.default(10),
	seamSide: z.enum(SEAM_SIDES).default('back'),
	closing: z.enum(['usual', ...CLOSINGS]).default('usual'),
	degas: z.enum(['none', 'vacuum', 'pressure']).default('none'),
	/** Casts in it go under pressure. */
	inPot: z.enum(['no', 'yes']).default('no'),
	lossPercent: z
		.number({ error: 'Type the loss in percent, such as 4 %.' })
		.min(0, 'The loss cannot be less than nothing.')
		.max(50, 'Over half lost in the cup: check the loss.'),
	roomTempC: blockPlanInput.shape.roomTempC,
	...jacketFields,
	/** Jacket: resin and thickener of its shell; empty: by weight alone. */
	shellResinId: z.string().max(40).default(''),
	shellFillerId: z.string().max(40).default(''),
	...rigidFields,
	...wetFields,
	/** Resin that it will mostly be poured with; empty: not known yet. */
	pourResinId: z.string().max(40).default(''),
	/** Whether it is poured through a channel, or just into its opening. */
	sprue: z.enum(['channel', 'none']).default('channel'),
	sprueDiameterMm: sprueInput.shape.diameterMm.default(8),
	sprueLengthMm: sprueInput.shape.lengthMm.default(20),
	/** The mould that this one follows; empty: none. */
	predecessorId: z.string().max(40).default(''),
	place: z.string().trim().max(120, 'Keep the place under 120 characters.').default(''),
	note
});

/** What the maker types to plan a mould of any kind. */
export const mouldInputs = fields.superRefine((m, ctx) => {
	const from = MADE_OF[m.kind];
	if (from === 'rubber' && !m.rubberId)
		ctx.addIssue({ code: 'custom', path: ['rubberId'], message: NO_RUBBER });
	if (from === 'thermoplastic' && !m.thermoplasticId)
		ctx.addIssue({ code: 'custom', path: ['thermoplasticId'], message: NO_THERMOPLASTIC });
});
export type MouldInputs = z.output<typeof mouldInputs>;
