import { z } from 'zod';
import { chemistryOf, isCatalysed, RESIN_FAMILIES } from './chemistry';
import { constant, density, name, note, parts, share, timeS, typical, usual, viscosity } from './fields';
import { checkRatio } from '../mix/ratio';
import type { TaughtDemould } from '../cure/demouldLearning';
import { CURE_DEFAULTS } from '../cure/record';
import { flowEnergyKjPerMol } from '../mix/viscosityAt';
import { digits } from '../units';
import { densityBOf, pair, viscosityPoints } from './resinTies';

export const resinFields = z.object({
	name: name('resin'),
	family: z.enum(RESIN_FAMILIES, { error: 'Choose a family.' }),
	densityAGPerMl: density('A'),
	densityBGPerMl: density('B').optional(),
	weightA: parts('A by weight'),
	weightB: parts('B by weight'),
	volumeA: parts('A by volume'),
	volumeB: parts('B by volume'),
	potLifeS: timeS('pot life', 200_000).optional(),
	potLifeMassG: z
		.number({ error: 'Type the mass that the sheet’s pot life means, usually 100 g.' })
		.min(1, 'Under 1 g: sheets mean about 100 g.')
		.max(10_000, 'Over 10 kg: check the unit.')
		.default(100),
	potLifeTempC: z
		.number({ error: 'Type the temperature of the sheet, usually 23 C.' })
		.min(5, 'Under 5 °C: check the unit.')
		.max(60, 'Over 60 °C: check the unit.')
		.default(23),
	demouldS: timeS('demould time', 2_000_000),
	demouldSectionMm: z
		.number({ error: 'Type the section that the demould time means, or 6 mm.' })
		.min(0.5, 'Under 0.5 mm: check the unit.')
		.max(200, 'Over 200 mm: check the unit.')
		.default(6),
	character: z.enum(['snap', 'quick', 'gradual'], { error: 'Choose how it sets.' }),
	viscosityMpaS: viscosity,
	/** Temperature of the viscosity; left out it is the one of the pot life. */
	viscosityTempC: constant(5, 90, '°C'),
	/** A second point of the sheet, from which the change with temperature follows. */
	viscosity2MpaS: viscosity.optional(),
	viscosity2TempC: constant(5, 90, '°C'),
	/** How far the ratio may be off before it shows; left out, the usual two percent. */
	ratioTolerancePercent: constant(0.2, 20, '%'),
	/** What it looks like cured without colour. */
	curedShade: z.enum(['not said', 'white', 'off-white', 'amber', 'clear', 'dark']).default('not said'),
	/** Into which part colour goes, and mica where that differs; B unless said. */
	colourSide: z.enum(['B', 'A']).default('B'),
	micaSide: z.enum(['where colour goes', 'A', 'B']).default('where colour goes'),
	/** Polyester: what is stirred in instead of a B. */
	catalystPercent: share('catalyst that you use'),
	referencePercent: share('catalyst of the sheet'),
	referenceGelS: timeS('gel time', 200_000).optional(),
	referenceTempC: z
		.number({ error: 'Type the temperature of the gel time, usually 25 C.' })
		.min(5, 'Under 5 °C: check the unit.')
		.max(60, 'Over 60 °C: check the unit.')
		.optional(),
	catalystDensityGPerMl: density('the catalyst').optional(),
	/** Counted with the maker's own dropper. */
	dropsPerMl: z
		.number({ error: 'Count the drops in a millilitre, such as 20.' })
		.min(1, 'At least one drop to a millilitre.')
		.max(200, 'Over 200 drops to a millilitre: count again.')
		.optional(),
	/** A range that the sheet prints for its pot life: it tells how sure the time is. */
	potLifeLowS: timeS('shortest pot life', 200_000).optional(),
	potLifeHighS: timeS('longest pot life', 200_000).optional(),
	demouldLowS: timeS('shortest demould time', 2_000_000).optional(),
	demouldHighS: timeS('longest demould time', 2_000_000).optional(),
	/** What the sheet's time is: the end of working, or the gel. */
	statedAs: z.enum(['working', 'gel']).default('working'),
	/** Heat deflection temperature, and how hot a cup of the sheet gets. */
	deflectionTempC: constant(-20, 250, '°C'),
	peakExothermC: constant(30, 300, '°C'),
	peakExothermMassG: constant(1, 10_000, 'g'),
	/** Constants of the model; left out, the defaults stand and are said to be defaults. */
	heatOfCureJPerG: constant(1, 2000, 'J/g'),
	activationKjPerMol: constant(5, 200, 'kJ/mol'),
	specificHeatJPerGK: constant(0.3, 6, 'J/g·K'),
	potLifeConversion: constant(0.01, 0.95, ''),
	gelConversion: constant(0.01, 0.97, ''),
	recoatConversion: constant(0.05, 0.99, ''),
	lengtheningPercent: constant(-50, 400, '%'),
	/** Price of a kilogram of the mix, in the workshop's currency; empty: not known. */
	pricePerKg: z
		.number({ error: 'Type the price of a kilogram, such as 18, or leave it empty.' })
		.min(0, 'A price is not below nothing.')
		.max(100_000, 'Over 100 000 a kilogram: check it.')
		.optional(),
	note,
	typical,
	usual
});
type ResinFields = z.output<typeof resinFields>;

/**
 * A two-part casting resin as its sheet describes it. Ratio by weight, ratio by volume and the two
 * densities are tied: any one may be left out, and a contradiction is refused with its sum.
 */
export const resinRecord = resinFields.superRefine((r, ctx) => {
	const issue = (path: keyof ResinFields, message: string) =>
		ctx.addIssue({ code: 'custom', path: [path], message });
	for (const [a, b, by] of [
		['weightA', 'weightB', 'weight'],
		['volumeA', 'volumeB', 'volume']
	] as const) {
		if (r[a] !== undefined && r[b] === undefined) issue(b, `Type the parts of B by ${by} as well.`);
		if (r[b] !== undefined && r[a] === undefined) issue(a, `Type the parts of A by ${by} as well.`);
	}
	const defaults = CURE_DEFAULTS[chemistryOf(r.family)];
	const pot = r.potLifeConversion ?? defaults.potLifeConversion;
	const gel = r.gelConversion ?? defaults.gelConversion;
	if (pot > gel) issue('gelConversion', `Gel (${gel}) comes after the end of pot life (${pot}).`);
	if ((r.recoatConversion ?? 1) <= gel)
		issue('recoatConversion', `The last moment for a new layer comes after gel (${gel}).`);
	if ((r.viscosity2MpaS === undefined) !== (r.viscosity2TempC === undefined))
		issue(
			r.viscosity2MpaS === undefined ? 'viscosity2MpaS' : 'viscosity2TempC',
			'A second point is a viscosity and its temperature: type both.'
		);
	else if (r.viscosity2MpaS !== undefined && !(flowEnergyKjPerMol(viscosityPoints(r)) > 0))
		issue('viscosity2MpaS', 'A resin gets thinner as it warms: these two points say otherwise.');
	/** A time that lies outside the range which the same sheet prints for it. */
	const outside = (
		time: 'potLifeS' | 'demouldS',
		low: 'potLifeLowS' | 'demouldLowS',
		high: 'potLifeHighS' | 'demouldHighS',
		what: string
	) => {
		const said = r[time];
		const says = `The ${what} lies outside the range that the sheet prints: check all three.`;
		if (said !== undefined && (r[low] ?? 0) > said) issue(low, says);
		else if (said !== undefined && (r[high] ?? Infinity) < said) issue(high, says);
	};
	outside('demouldS', 'demouldLowS', 'demouldHighS', 'demould time');
	if (isCatalysed(r.family)) {
		if (r.catalystPercent === undefined)
			issue('catalystPercent', 'Type the catalyst in per cent by weight, such as 1 %.');
		if (r.referencePercent === undefined)
			issue('referencePercent', 'Type the share that the sheet’s gel time means.');
		if (r.referenceGelS === undefined)
			issue('referenceGelS', 'Type the gel time of the sheet, such as 15 min.');
		return;
	}
	if (r.potLifeS === undefined) issue('potLifeS', 'Type the pot life, such as 2:30 or 15 min.');
	outside('potLifeS', 'potLifeLowS', 'potLifeHighS', 'pot life');
	const weight = pair(r.weightA, r.weightB);
	const volume = pair(r.volumeA, r.volumeB);
	if (!weight && !volume) {
		issue('weightA', 'Give the ratio by weight or by volume, as the sheet has it.');
		return;
	}
	const densityB = densityBOf(r);
	if (densityB === undefined) {
		issue('densityBGPerMl', 'Type the density of B, or give both ratios so that it can be worked out.');
		return;
	}
	if (densityB < 0.2 || densityB > 10) {
		issue('densityBGPerMl', `These ratios make B ${digits(densityB, 2)} g/ml: check them.`);
		return;
	}
	if (weight && volume && r.densityBGPerMl !== undefined) {
		const check = checkRatio(weight, volume, r.densityAGPerMl, r.densityBGPerMl);
		if (!check.ok) issue('weightB', `Ratio and densities contradict each other: ${check.sum}.`);
	}
});
export type ResinRecord = z.output<typeof resinRecord>;
/** With what presses at demould taught of it in the moulds at hand. */
export type TaughtResin = ResinRecord & { taught?: TaughtDemould | undefined };
