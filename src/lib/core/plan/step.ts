import { z } from 'zod';
import { CAUTION_TOPICS } from '../cautions';
import { STEP_ROLES } from '../shot/pouring';

/** Something that is known to harm, with what to do about it, as a plan keeps it. */
export const keptWarning = z.object({
	code: z.string(),
	message: z.string(),
	action: z.string(),
	severity: z.enum(['harm', 'care']).optional()
});

/** One thing to do at the bench. A plan keeps its steps from the moment when the pour begins. */
export const benchStep = z.object({
	/** Made and read by the ids of the bench alone. */
	id: z.string().min(1).max(40),
	kind: z.enum(['check', 'dry', 'air', 'measure', 'combine', 'timed', 'pump', 'hold', 'cure', 'inspect']),
	title: z.string(),
	detail: z.string(),
	/** What the one big button says. */
	action: z.string(),
	/** Seconds after combining by which it must be done. */
	deadlineS: z.number().optional(),
	/** Seconds that must pass after the step before it, such as a release that flashes off. */
	waitS: z.number().optional(),
	/** The step that the wait counts from, when it is not the one before. */
	sinceStep: z.string().optional(),
	/** When it is done, the mould is full. */
	fills: z.boolean().optional(),
	/** Of a timed step, what it is. */
	role: z.enum(STEP_ROLES).optional(),
	part: z.enum(['A', 'B']).optional(),
	/** What is weighed in this step; the plan's own when it says nothing. */
	amount: z.object({ massG: z.number(), volumeMl: z.number() }).optional(),
	/** Height in the marked cup, mm; only when that school is followed or both are shown. */
	markMm: z.number().optional(),
	/** Of layers: which one; its clock runs from that layer's combining. */
	layer: z.number().int().optional(),
	/** Colours poured together: which cup. */
	cup: z.number().int().optional(),
	/** Warn at this step when the cups pass this, °C. */
	untilTempC: z.number().optional(),
	/** Colour is built up in so many doses, each judged on the stick; plans of earlier versions do not say. */
	doses: z.number().int().min(1).optional(),
	/** What is known to harm here. */
	warnings: z.array(keptWarning).optional(),
	cautions: z.array(z.enum(CAUTION_TOPICS))
});
export type BenchStep = z.output<typeof benchStep>;
