import { z } from 'zod';
import { calculation } from '../calculation';
import { CAUSE_IDS, FAULTS } from './faults';
import type { Evidence } from './evidence';
import { rankCauses } from './rank';

const count = z.number().int('Counts are whole.').min(0).max(1e6);
const seconds = z.number().min(-1e7).max(1e7);
const share = z.number().min(-100).max(100);

/** What a log may hold of one pull, as `Evidence` says it. */
const evidence = z.strictObject({
	chemistry: z.enum(['urethane', 'polyester', 'epoxy']),
	relativeHumidity: z.number().min(0).max(100),
	stopHumidityPercent: z.number().min(0).max(100),
	dewMarginC: z.number().min(-100).max(100),
	roomTempC: z.number().min(-40).max(80),
	mouldTempC: z.number().min(-40).max(200),
	tinDays: z.number().min(0).max(1e5),
	tinOpenings: count,
	ratioErrorPercent: z.number().min(-100).max(1e4),
	ratioTolerancePercent: z.number().positive().max(100),
	mixS: seconds,
	mixPlannedS: seconds,
	stirred: z.boolean(),
	pouredS: seconds,
	potLifeS: seconds,
	pot: z.boolean(),
	reachedS: seconds,
	lowestShare: share,
	releasedEarlyS: seconds,
	demouldEarlyShare: share,
	coatDryShare: share,
	looked: z.boolean(),
	closed: z.boolean(),
	mouldPulls: count,
	mouldWear: z.number().min(0).max(5),
	catalystRatio: z.number().min(0).max(100),
	peakC: z.number().min(-40).max(500),
	traps: count,
	layerLateS: seconds,
	layers: count
} satisfies Record<keyof Evidence, z.ZodType>);

/** `causes` of the open interface. */
export const causesCalculation = calculation(
	'causes',
	'Likely causes of a fault, by what the log of its pull holds.',
	z.strictObject({
		fault: z.enum(FAULTS, { error: 'There is no such fault.' }),
		// JSON has no undefined: what is left out is absent
		evidence: evidence.partial().transform((e) => e as Evidence),
		/** How often each cause was confirmed for this fault. */
		confirmed: z.partialRecord(z.enum(CAUSE_IDS), count).default({})
	}),
	{ fault: 'foam', evidence: { chemistry: 'urethane', relativeHumidity: 68, stopHumidityPercent: 50 } },
	({ fault, evidence: known, confirmed }) => ({ causes: rankCauses(fault, known, confirmed) })
);
