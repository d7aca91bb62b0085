/** What mixing and curing need of a resin; apart from the rules of its sheet, which a page that only reckons does not need. */
import type { CureRecord } from '../cure/record';
import { CRACK_LIMIT_C } from '../cure/heat';
import { DEFAULT_CATALYST_DENSITY } from '../mix/catalyst';
import { bPerAByVolume, bPerAByWeight, type Ratio } from '../mix/ratio';
import { viscosityAt } from '../mix/viscosityAt';
import { chemistryOf, isCatalysed } from './chemistry';
import type { ResinRecord, TaughtResin } from './resin';
import { densityBOf, pair, viscosityPoints } from './resinTies';

/**
 * Viscosity of the fresh mix at a temperature, mPa·s, by the sheet's one or two points.
 * @example
 * viscosityOf(urethane, 23); // 120
 */
export function viscosityOf(record: ResinRecord, tempC: number): number {
	return viscosityAt(viscosityPoints(record), tempC);
}

/** A resin with its ratio settled: what mixing sums need. */
export interface MixableResin {
	densityAGPerMl: number;
	densityBGPerMl?: number;
	ratio?: Ratio;
	catalyst?: { percent: number; densityGPerMl: number; dropsPerMl?: number };
}

/**
 * Settles densities and ratio. By weight when the sheet has it, since the scale is the finer measure.
 * @throws Error
 * @example
 * mixable(urethane).densityBGPerMl; // 0.99
 */
export function mixable(record: ResinRecord): MixableResin {
	if (isCatalysed(record.family)) {
		return {
			densityAGPerMl: record.densityAGPerMl,
			catalyst: {
				percent: record.catalystPercent!,
				densityGPerMl: record.catalystDensityGPerMl ?? DEFAULT_CATALYST_DENSITY,
				...(record.dropsPerMl === undefined ? {} : { dropsPerMl: record.dropsPerMl })
			}
		};
	}
	const weight = pair(record.weightA, record.weightB);
	const volume = pair(record.volumeA, record.volumeB);
	const densityBGPerMl = densityBOf(record);
	if (densityBGPerMl === undefined || (!weight && !volume)) {
		throw new Error('mixable: the record was not checked by resinRecord');
	}
	const ratio: Ratio = weight ? { by: 'weight', ...weight } : { by: 'volume', ...volume! };
	return { densityAGPerMl: record.densityAGPerMl, densityBGPerMl, ratio };
}

/**
 * Both ratios as parts of B to 100 of A; nothing for a resin that is catalysed by share.
 * @example
 * ratiosOf(urethane); // { weightB: 90, volumeB: 100, densityBGPerMl: 0.99 }
 */
export function ratiosOf(
	record: ResinRecord
): { weightB: number; volumeB: number; densityBGPerMl: number } | undefined {
	const { ratio, densityAGPerMl, densityBGPerMl } = mixable(record);
	if (!ratio || densityBGPerMl === undefined) return undefined;
	return {
		weightB: 100 * bPerAByWeight(ratio, densityAGPerMl, densityBGPerMl),
		volumeB: 100 * bPerAByVolume(ratio, densityAGPerMl, densityBGPerMl),
		densityBGPerMl
	};
}

/**
 * Density of the mixed resin before it cures, g/ml.
 * @example
 * mixedDensityGPerMl(urethane); // 1.045
 */
export function mixedDensityGPerMl(record: ResinRecord): number {
	const m = mixable(record);
	if (!m.ratio || m.densityBGPerMl === undefined) return m.densityAGPerMl;
	const share = bPerAByWeight(m.ratio, m.densityAGPerMl, m.densityBGPerMl);
	return (1 + share) / (1 / m.densityAGPerMl + share / m.densityBGPerMl);
}

/**
 * The cure part of a resin record, for the cure engine. `rateFactor` is the container's own speed.
 * @example
 * cureOf(urethane).potLifeS; // 420
 */
export function cureOf(record: TaughtResin, rateFactor?: number): CureRecord {
	const given = <K extends string>(key: K, value: number | undefined) =>
		(value === undefined ? {} : { [key]: value }) as { [P in K]?: number };
	const common = {
		chemistry: chemistryOf(record.family),
		...(record.family === 'water-clear urethane' ? { crackLimitC: CRACK_LIMIT_C } : {}),
		demouldS: record.demouldS,
		demouldSectionMm: record.demouldSectionMm,
		character: record.character,
		densityGPerMl: Math.round(mixedDensityGPerMl(record) * 1e6) / 1e6,
		...given('heatOfCureJPerG', record.heatOfCureJPerG),
		...given('activationKjPerMol', record.activationKjPerMol),
		...given('specificHeatJPerGK', record.specificHeatJPerGK),
		...given('potLifeConversion', record.potLifeConversion),
		...given('gelConversion', record.gelConversion),
		...given('recoatConversion', record.recoatConversion),
		...given('demouldLowS', record.demouldLowS),
		...given('demouldHighS', record.demouldHighS),
		...given('deflectionTempC', record.deflectionTempC),
		...(record.peakExothermC === undefined
			? {}
			: {
					peakExotherm: {
						peakTempC: record.peakExothermC,
						...given('massG', record.peakExothermMassG)
					}
				}),
		...given('lengtheningPercent', record.lengtheningPercent),
		...given('rateFactor', rateFactor),
		...given('maturityFactor', record.taught?.maturityFactor),
		...given('maturitySd', record.taught?.maturitySd),
		...given('flexibleShare', record.taught?.flexibleShare)
	};
	if (isCatalysed(record.family)) {
		return {
			...common,
			catalyst: {
				percent: record.catalystPercent!,
				referencePercent: record.referencePercent!,
				referenceGelS: record.referenceGelS!,
				referenceTempC: record.referenceTempC ?? 25
			}
		};
	}
	return {
		...common,
		potLifeS: record.potLifeS!,
		potLifeMassG: record.potLifeMassG,
		potLifeTempC: record.potLifeTempC,
		...(record.statedAs === 'gel' ? { statedAs: 'gel' as const } : {}),
		...given('potLifeLowS', record.potLifeLowS),
		...given('potLifeHighS', record.potLifeHighS)
	};
}
