import { z } from 'zod';
import { benchSteps } from '../bench';
import { castableInputs, castablePourPlan, planCastable } from '../castable';
import type { PourPlan } from '../plan/pourPlan';
import { castableRecord } from '../shelf';
import type { Warning, WorkingLine } from '../working';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { boughtMould, given, piece, workshop } from './castParts';

/** A cast of plaster, wax or soap as scripts ask for it, its record inline. */
export const castableQuery = z.object({
	...castableInputs.omit({ materialId: true, masterId: true, mouldIds: true }).shape,
	castable: castableRecord,
	piece: piece.pick({ name: true, cavityVolumeMl: true }),
	mould: z
		.object({
			/** Moulds there are, or cavities. */
			count: z.number().int().min(1, 'At least one mould.').max(60, 'At most 60 moulds at once.').default(1),
			/** The hottest that its face stands, °C. */
			mostTempC: z.number().min(30).max(500).optional()
		})
		.prefault({}),
	workshop
});
export type CastableQuery = z.input<typeof castableQuery>;

/** What is weighed, how long it pours, and its steps; nothing of it is foretold. */
export interface CastableAnswer {
	massG: number;
	volumeMl: number;
	powderG?: number;
	waterG?: number;
	topUpG?: number;
	demouldS: number;
	plans: PourPlan[];
	steps: ReturnType<typeof benchSteps>;
	warnings: Warning[];
	working: WorkingLine[];
}

/**
 * Plans a cast of plaster, wax or soap as its page does.
 * @throws ZodError out of range; InputError when the moulds do not hold the copies
 * @example
 * castableAnswer({
 *   castable: { name: 'Bag', sort: 'plaster', waterPerPowder: 0.6, workS: 600, demouldS: 2400 },
 *   piece: { cavityVolumeMl: 100 },
 *   copies: 1,
 *   lossPercent: 0
 * }).waterG; // 62.349
 */
export function castableAnswer(raw: CastableQuery): CastableAnswer {
	const q = castableQuery.parse(raw);
	const settings = { ...WORKSHOP_DEFAULTS, ...given(q.workshop) };
	const inputs = { ...q, materialId: 'asked', masterId: 'asked', mouldIds: ['asked'] };
	const moulds = Array.from({ length: q.mould.count }, (_, i) => ({
		id: `mould-${i + 1}`,
		number: i + 1,
		label: q.piece.name,
		...boughtMould(q.piece.name, q.piece.cavityVolumeMl, settings.roomTempC)
	}));
	const planned = planCastable(inputs, q.castable, {
		volumeMl: q.piece.cavityVolumeMl,
		moulds: moulds.map((m) => ({ name: `M${m.number}`, cavities: 1, mostTempC: q.mould.mostTempC })),
		...settings
	});
	const plan = castablePourPlan(inputs, planned, {
		masterName: q.piece.name,
		moulds,
		record: q.castable,
		settings
	});
	const { massG, volumeMl, powderG, waterG, topUpG, demouldS, warnings, working } = planned;
	return {
		massG,
		volumeMl,
		...(powderG === undefined ? {} : { powderG }),
		...(waterG === undefined ? {} : { waterG }),
		...(topUpG === undefined ? {} : { topUpG }),
		demouldS,
		plans: [plan],
		steps: benchSteps(plan),
		warnings,
		working
	};
}
