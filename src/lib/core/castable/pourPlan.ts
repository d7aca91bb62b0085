import { closingOf, type MouldInputs, type MouldPlan } from '../mould';
import { mouldCopies } from '../plan/mouldCopies';
import type { PourPlan } from '../plan/pourPlan';
import type { CastableRecord } from '../shelf';
import type { WorkshopSettings } from '../workshop';
import type { CastableInputs } from './inputs';
import type { CastablePlan } from './plan';

/** The books that a pour of plaster, wax or soap is composed of. */
export interface CastableRecords {
	masterName: string;
	references?: PourPlan['references'];
	moulds: readonly { id: string; number: number; label: string; inputs: MouldInputs; plan: MouldPlan }[];
	record: CastableRecord;
	settings: Pick<
		WorkshopSettings,
		'scaleResolutionG' | 'scaleCapacityG' | 'roomTempC' | 'relativeHumidity' | 'marginPercent'
	>;
}

/**
 * What goes to the bench: a plan without a cure engine, powder as A and water as B, or the melt as A alone. Its steps
 * are its own.
 * @example
 * castablePourPlan(plasterTyped, plasterPlanned, plasterRecords).chemistry; // 'plaster'
 */
export function castablePourPlan(
	inputs: CastableInputs,
	planned: CastablePlan,
	{ masterName, references, moulds, record, settings }: CastableRecords
): PourPlan {
	const water = planned.waterG ?? 0;
	const powder = planned.powderG ?? planned.massG;
	const plaster = record.sort === 'plaster';
	return {
		shotId: '',
		batchIndex: 0,
		batchCount: 1,
		masterName,
		moulds: mouldCopies(inputs.copies, moulds),
		resinName: record.name,
		...(references?.length ? { references } : {}),
		chemistry: plaster ? 'plaster' : 'melt',
		a: { massG: powder, volumeMl: plaster ? planned.volumeMl - water : planned.volumeMl },
		b: { massG: water, volumeMl: water },
		...(plaster ? {} : { melt: { pourTempC: record.pourTempC!, topUpG: planned.topUpG ?? 0 } }),
		measuring: 'two-cups',
		closing: moulds.map((m) => ({ mould: `M${m.number}`, ...closingOf(m) })),
		scaleResolutionG: settings.scaleResolutionG,
		scaleCapacityG: settings.scaleCapacityG,
		massG: planned.massG,
		markAMm: 0,
		markBMm: 0,
		cupDiameterMm: 0,
		potLifeS: planned.workS,
		gelTimeS: planned.workS,
		usableS: planned.usableS,
		marginPercent: settings.marginPercent,
		steps: planned.steps,
		holdUntilS: planned.workS,
		demouldS: planned.demouldS,
		roomTempC: settings.roomTempC,
		relativeHumidity: settings.relativeHumidity,
		mouldTempC: settings.roomTempC,
		startTempC: record.pourTempC ?? settings.roomTempC
	};
}
