import { resinThing } from '../compatibility';
import { masterRecord, type MasterRecord } from '../master';
import { mouldInputs, type MouldInputs } from '../mould';
import { composePlan, type PlanRecords } from '../plan';
import type { PourPlan } from '../plan/pourPlan';
import { mixedDensityGPerMl, type ResinRecord } from '../shelf';
import { planShot } from '../shot';
import { digits } from '../units';
import type { WorkshopSettings } from '../workshop';
import type { QuickInput } from './input';
import { quickShot, quickSizes, quickVolume, WATER_C } from './quick';

/** What it is called where nobody named it. */
const nameOf = (q: QuickInput, volumeMl: number) => q.name || `Piece of ${digits(volumeMl, 0)} ml`;

/**
 * The master that the question amounts to: its volume as it was told, its sizes as they are known.
 * @throws ZodError when what was told contradicts itself
 * @example
 * const q = quickInput.parse({ by: 'box', lengthMm: 40, widthMm: 40, heightMm: 40, roomTempC: 21 });
 * masterVolumeMl(quickMaster(q, typicalResin('fast'))); // 64
 */
export function quickMaster(q: QuickInput, resin: ResinRecord): MasterRecord {
	const densityGPerMl = mixedDensityGPerMl(resin);
	const { volumeMl } = quickVolume(q, densityGPerMl);
	const sizes = quickSizes(q, volumeMl);
	const guessed = q.by !== 'box' && q.by !== 'tube';
	const { lengthMm, widthMm, heightMm } = sizes;
	const reading = () => {
		if (q.by === 'water') return { method: 'overflow', overflowMassG: q.waterMassG, waterTempC: WATER_C };
		if (q.by === 'cast') return { method: 'cast', castMassG: q.castMassG, castDensityGPerMl: densityGPerMl };
		if (q.by === 'volume') return { method: 'typed', volumeMl };
		const solid =
			q.by === 'tube'
				? { shape: 'tube', diameterMm: q.diameterMm, heightMm }
				: { shape: 'box', lengthMm, widthMm, heightMm };
		return { method: 'solids', pieces: [{ sign: 'add', solid }] };
	};
	return masterRecord.parse({
		name: nameOf(q, volumeMl),
		material: 'other',
		...sizes,
		readings: [reading()],
		note: guessed ? 'Its outer sizes are a guess, as of a cube: measure it before a mould is planned.' : ''
	});
}

/**
 * The mould that it is poured into, as far as it is known: one that was not made here.
 * @throws ZodError never with a real master's id
 * @example
 * quickMould('m', 'Ammonite', 21).kind; // 'rigid'
 */
export const quickMould = (masterId: string, label: string, roomTempC: number): MouldInputs =>
	mouldInputs.parse({
		kind: 'rigid',
		rigidSource: 'bought',
		label,
		masterId,
		clearanceMm: 10,
		coverMm: 10,
		lossPercent: 0,
		roomTempC,
		note: 'Not made here: what it is made of, and its wall, are not known.'
	});

/**
 * The question as it is poured at the bench: without a mould in the books, so no pull is counted.
 * @param tins that it is taken from, where the resin stands on the shelf
 * @throws InputError, ZodError as the planner of shots does
 * @example
 * const q = quickInput.parse({ volumeMl: 85, roomTempC: 21 });
 * quickPlan(q, typicalResin('fast'), WORKSHOP_DEFAULTS).moulds; // []
 */
export function quickPlan(
	q: QuickInput,
	resin: ResinRecord,
	settings: WorkshopSettings,
	tins: PlanRecords['tins'] = {}
): PourPlan {
	const { inputs, context } = quickShot(q, resin, settings);
	const planned = planShot(inputs, { ...context, rateFactor: tins.speed });
	const { volumeMl } = quickVolume(q, mixedDensityGPerMl(resin));
	const plan = composePlan({ id: '', number: 0, inputs, planned }, 0, {
		master: { record: quickMaster(q, resin), volumeMl },
		moulds: [],
		resin,
		tins,
		settings,
		spares: [],
		recipes: [],
		touching: { resin: resinThing(q.resinId || 'quick', resin), moulds: [] },
		experiences: [],
		stamps: []
	});
	return {
		...plan,
		// of a hollow cast the wall of its mould is not known either
		section: planned.where ?? {
			section: { shape: 'slab', thicknessMm: inputs.sectionMm },
			mouldWallMm: context.mouldWallMm
		}
	};
}
