import { mixedDensityGPerMl, type ResinRecord } from '../shelf';
import { orderTakesG, shotInputs, type PlannedShot, type ShotContext, type ShotInputs } from '../shot';
import { digits } from '../units';
import { displacement, solidVolumeMl } from '../volume';
import type { WorkingLine } from '../working';
import type { WorkshopSettings } from '../workshop';
import type { QuickInput } from './input';

/** What is not asked, and taken as usual: it is said beside the answer. */
export const QUICK_SECTION_MM = 6;
export const QUICK_WALL_MM = 12;
/** Spilled water is taken to be as warm as the room; a few degrees change its density by a thousandth. */
export const WATER_C = 20;

/**
 * Volume of one piece, ml, with the sum that made it.
 * @param densityGPerMl of the mixed resin: what an earlier cast is divided by
 * @example
 * quickVolume(quickInput.parse({ by: 'tube', diameterMm: 60, heightMm: 50, roomTempC: 21 }), 1.05).volumeMl; // 141.37
 */
export function quickVolume(
	q: QuickInput,
	densityGPerMl: number
): { volumeMl: number; working: WorkingLine } {
	const said = (volumeMl: number, sum: string, source: string) => ({
		volumeMl,
		working: { what: 'Volume', sum, result: `${digits(volumeMl)} ml`, source }
	});
	switch (q.by) {
		case 'volume':
			return said(q.volumeMl!, 'as typed', 'typed');
		case 'water': {
			const { volumeMl } = displacement({ overflowMassG: q.waterMassG!, waterTempC: WATER_C });
			return said(
				volumeMl,
				`${digits(q.waterMassG!)} g of water ÷ ${digits(q.waterMassG! / volumeMl, 4)} g/ml: grams of water are millilitres, not grams of resin`,
				`water at ${WATER_C} °C`
			);
		}
		case 'cast':
			return said(
				q.castMassG! / densityGPerMl,
				`${digits(q.castMassG!)} g ÷ ${digits(densityGPerMl, 3)} g/ml`,
				'taken to be cast in the same resin, solid'
			);
		case 'box': {
			const [lengthMm, widthMm, heightMm] = [q.lengthMm!, q.widthMm!, q.heightMm!];
			const volumeMl = solidVolumeMl({ shape: 'box', lengthMm, widthMm, heightMm });
			return said(
				volumeMl,
				`${digits(lengthMm)} × ${digits(widthMm)} × ${digits(heightMm)} mm`,
				'inner sizes'
			);
		}
		case 'tube': {
			const [diameterMm, heightMm] = [q.diameterMm!, q.heightMm!];
			const volumeMl = solidVolumeMl({ shape: 'tube', diameterMm, heightMm });
			return said(volumeMl, `π × (${digits(diameterMm)} ÷ 2)² × ${digits(heightMm)} mm`, 'inner sizes');
		}
		case 'skin':
			return said(
				(q.areaMm2! * q.wallMm!) / 1000,
				`${digits(q.areaMm2! / 100)} cm² × ${digits(q.wallMm!)} mm`,
				'skin times wall'
			);
	}
}

/**
 * Outer sizes that a piece of this volume may have, mm: its own where they were typed, else a cube's.
 * @example
 * quickSizes(quickInput.parse({ volumeMl: 64, roomTempC: 21 }), 64).heightMm; // 40
 */
export function quickSizes(q: QuickInput, volumeMl: number) {
	const side = 10 * Math.cbrt(volumeMl);
	if (q.by === 'box')
		return {
			footprint: 'rectangular' as const,
			lengthMm: q.lengthMm!,
			widthMm: q.widthMm!,
			heightMm: q.heightMm!
		};
	if (q.by === 'tube')
		return {
			footprint: 'round' as const,
			lengthMm: q.diameterMm!,
			widthMm: q.diameterMm!,
			heightMm: q.heightMm!
		};
	// a hollow piece is as large as a cube of its skin without its foot
	const edge = q.by === 'skin' ? Math.sqrt(q.areaMm2! / 5) : side;
	return { footprint: 'rectangular' as const, lengthMm: edge, widthMm: edge, heightMm: edge };
}

/**
 * The question as the planner of shots takes it: one copy, by hand, in silicone walls that are not known yet.
 * @throws ZodError when the question does not hold, such as a wall that is no wall
 * @example
 * const q = quickInput.parse({ volumeMl: 85, roomTempC: 21 });
 * const { inputs: typed, context: known } = quickShot(q, quickResin(q, undefined), WORKSHOP_DEFAULTS);
 * planShot(typed, known, false).shot.batches[0]?.a.massG; // 47.385
 */
export function quickShot(
	q: QuickInput,
	resin: ResinRecord,
	settings: WorkshopSettings
): { inputs: ShotInputs; context: ShotContext } {
	const { volumeMl } = quickVolume(q, mixedDensityGPerMl(resin));
	const sizes = quickSizes(q, volumeMl);
	const hollow = q.by === 'skin';
	const inputs = shotInputs.parse({
		kind: hollow ? 'rotocast' : 'solid',
		masterId: 'quick',
		mouldIds: ['quick'],
		resinId: q.resinId || 'quick',
		copies: 1,
		sprueVolumeMl: 0,
		sectionMm: hollow ? Math.max(0.5, q.wallMm!) : QUICK_SECTION_MM,
		...(hollow ? { wallMm: q.wallMm, areaMm2: q.areaMm2 } : {}),
		measuring: settings.measuring,
		startTempC: q.roomTempC,
		mouldTempC: q.roomTempC,
		roomTempC: q.roomTempC,
		relativeHumidity: settings.relativeHumidity
	});
	const half = Math.min(sizes.lengthMm, sizes.widthMm) / 2;
	const context: ShotContext = {
		cavityVolumeMl: volumeMl,
		mouldWallMm: QUICK_WALL_MM,
		mouldsVolumeMl: volumeMl,
		...(hollow ? { skinAreaMm2: q.areaMm2 } : {}),
		thickest: { shape: 'cylinder', thicknessMm: Math.min(2 * half, 500), from: 'sizes' },
		radiusMm: half,
		heightMm: sizes.heightMm,
		resin,
		recipes: [],
		settings
	};
	return { inputs, context };
}

/**
 * What is measured in all, A and B with their volumes, and what of it stays in the cup and on tools, ml. Of layers it is
 * the whole of their cups; what their cups keep is in each of them already.
 * @example
 * const q = quickInput.parse({ volumeMl: 85, roomTempC: 21 });
 * const { inputs: typed, context: known } = quickShot(q, quickResin(q, undefined), WORKSHOP_DEFAULTS);
 * quickAmounts(planShot(typed, known, false), 85).totalG; // 89.6
 */
export function quickAmounts({ shot }: Pick<PlannedShot, 'shot'>, volumeMl: number) {
	const batch = shot.batches[0]!;
	const { aG, bG } = orderTakesG(shot.batches);
	const of = (massG: number, part: { massG: number; volumeMl: number }) => ({
		massG,
		volumeMl: part.massG > 0 ? (massG * part.volumeMl) / part.massG : 0
	});
	return {
		a: of(aG, batch.a),
		b: of(bG, batch.b),
		totalG: aG + bG,
		leftMl: batch.layers ? 0 : Math.max(0, batch.volumeMl - volumeMl)
	};
}
