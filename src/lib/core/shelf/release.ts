import { z } from 'zod';
import { RELEASE_KINDS, type ReleaseKind } from './flashOff';
import { name, note, typical, usual } from './fields';

/** Whether a cast that left it takes paint once it is wiped (common practice, no source). */
export const PAINTABLE: Readonly<Record<ReleaseKind, boolean>> = {
	'silicone spray': false,
	'non-silicone spray': true,
	wax: false,
	talc: true,
	'barrier coat': true
};

/** A release or barrier as it stands on the shelf. */
export const releaseRecord = z.object({
	name: name('release'),
	kind: z.enum(RELEASE_KINDS, { error: 'Choose what kind of release it is.' }),
	/** Empty: the default of its kind, which is not from its sheet. */
	flashOffS: z
		.number({ error: 'Type the flash-off time, such as 5 min, or leave it empty.' })
		.min(0, 'It cannot dry in less than no time.')
		.max(200_000, 'Over two days: check the unit.')
		.optional(),
	paintable: z.enum(['as its kind', 'yes', 'no']).default('as its kind'),
	/** Pulls before it is put on again. */
	everyPulls: z
		.number({ error: 'Type after how many pulls it is put on again, or leave it empty.' })
		.int('Pulls are whole.')
		.min(1, 'At least every pull.')
		.max(100, 'Over a hundred pulls: check it.')
		.optional(),
	note,
	typical
});
export type ReleaseRecord = z.output<typeof releaseRecord>;

/**
 * Whether a cast takes paint after this release.
 * @example
 * isPaintable({ kind: 'silicone spray', paintable: 'as its kind' }); // false
 */
export function isPaintable(release: Pick<ReleaseRecord, 'kind' | 'paintable'>): boolean {
	return release.paintable === 'as its kind' ? PAINTABLE[release.kind] : release.paintable === 'yes';
}

/** A re-meltable mould material, softened in hot water and pressed on. */
export const thermoplasticRecord = z.object({
	name: name('thermoplastic'),
	softenTempC: z
		.number({ error: 'Type the temperature at which it softens, such as 95 C.' })
		.min(35, 'Under 35 °C it would soften in the hand: check the unit.')
		.max(250, 'Over 250 °C is no work for hot water: check the unit.'),
	densityGPerMl: z
		.number({ error: 'Type the density, such as 0.95 g/ml.' })
		.min(0.5, 'Under 0.5 g/ml: check the unit.')
		.max(3, 'Over 3 g/ml: check the unit.'),
	/** Time to cool at room temperature before it is opened, s. */
	coolS: z
		.number({ error: 'Type how long it cools, such as 1 h.' })
		.min(60, 'Under a minute: check the unit.')
		.max(200_000, 'Over two days: check the unit.'),
	/** Price of a kilogram, in the workshop's currency; empty: not known. */
	pricePerKg: z
		.number({ error: 'Type the price of a kilogram, such as 24, or leave it empty.' })
		.min(0, 'A price is not below nothing.')
		.max(100_000, 'Over 100 000 a kilogram: check it.')
		.optional(),
	note,
	typical,
	usual
});
export type ThermoplasticRecord = z.output<typeof thermoplasticRecord>;
