import { digits, formatTime } from '../units';
import type { Warning } from '../working';
import type { CureRecord } from './record';
import type { Ready } from './ripening';

/**
 * The hottest that the middle of a brittle cast gets unless the sheet or trials say otherwise, °C. Set so that the
 * ordinary polyester casts of the trade pass (a 15 mm dish of clear at 1.5 %, general purpose at 2 %) and a
 * kilogram of 80 mm at the same share does not (common practice, no source).
 */
export const CRACK_LIMIT_C = 125;
/** Hotter than this inside, a part that is firm outside burns a hand, °C (a default of ours). */
export const HOT_CORE_C = 80;

/** Two moments that are this near are one, as a share. */
const SAME_MOMENT = 0.02;

/**
 * The hottest that the middle of this resin may get before it cracks, °C: the record's, or the default for the
 * brittle chemistries. Nothing for one that gives way instead.
 * @example
 * crackLimitC({ chemistry: 'polyester' }); // 125
 */
export function crackLimitC(record: Pick<CureRecord, 'crackLimitC' | 'chemistry'>): number | undefined {
	if (record.crackLimitC !== undefined) return record.crackLimitC;
	return (record.chemistry ?? 'urethane') === 'urethane' ? undefined : CRACK_LIMIT_C;
}

/** How hot a cast got in its mould, and how it stood when it was matured and when it was ready. */
export type PartHeat = { peakTempC: number } & Pick<
	Ready,
	'maturedS' | 'hottestAtMaturedC' | 'softCoreAtMatured' | 'demouldS' | 'hottestAtDemouldC'
>;

/**
 * What the heat of a cast does, of whatever kind it is: it may crack, or come out hot. Nothing while all is well.
 * @param catalysed by a share of catalyst, of which less can be taken
 * @example
 * heatWarnings(
 *   {
 *     peakTempC: 140,
 *     maturedS: 900,
 *     hottestAtMaturedC: 40,
 *     softCoreAtMatured: false,
 *     demouldS: 900,
 *     hottestAtDemouldC: 40
 *   },
 *   125
 * )[0]?.code; // 'may-crack'
 */
export function heatWarnings(heat: PartHeat, limitC: number | undefined, catalysed = false): Warning[] {
	const warnings: Warning[] = [];
	if (limitC !== undefined && heat.peakTempC > limitC) {
		warnings.push({
			code: 'may-crack',
			severity: 'harm',
			message: `Its middle gets ${digits(heat.peakTempC, 0)} °C hot, and this resin may crack from about ${digits(limitC, 0)} °C.`,
			action: `Pour it in thinner layers, take ${catalysed ? 'less catalyst or ' : ''}a slower resin, or cool the room and the parts.`
		});
	}
	const waits = heat.demouldS > heat.maturedS * (1 + SAME_MOMENT);
	if (heat.softCoreAtMatured && waits) {
		warnings.push({
			code: 'hot-core',
			// the demould that is told waits for it; past that temperature a hand is burnt all the same
			severity: heat.hottestAtDemouldC > HOT_CORE_C ? 'harm' : 'care',
			message: `After ${formatTime(heat.maturedS)} its face has had its time, but its middle is ${digits(heat.hottestAtMaturedC, 0)} °C hot and still soft.`,
			action: `Leave it in the mould until it is stiff, ${formatTime(heat.demouldS)} after mixing.`
		});
	} else if (heat.softCoreAtMatured || heat.hottestAtDemouldC > HOT_CORE_C) {
		warnings.push({
			code: 'hot-core',
			severity: 'harm',
			message: `After ${formatTime(heat.demouldS)}, when it is stiff outside, its middle is still ${digits(heat.hottestAtDemouldC, 0)} °C hot${heat.softCoreAtMatured ? ' and soft' : ''}.`,
			action: 'Leave it in the mould until the mould has cooled, and take hold of it with gloves.'
		});
	}
	return warnings;
}
