import { z } from 'zod';
import { digits } from '../units';

/** What is looked at on a vessel, each with a count of its own. */
export const INSPECTED = {
	gasket: 'Gasket',
	clamps: 'Clamps',
	'relief valve': 'Relief valve',
	hose: 'Hose and fittings',
	vessel: 'The vessel itself'
} as const;
export type InspectedPart = keyof typeof INSPECTED;
export const INSPECTED_PARTS = Object.keys(INSPECTED) as [InspectedPart, ...InspectedPart[]];

/** Looks fall due after so many cycles or days, whichever is first (defaults of ours; local rules come first). */
export const INSPECTION_DEFAULTS: Readonly<Record<InspectedPart, { cycles: number; days: number }>> = {
	gasket: { cycles: 100, days: 180 },
	clamps: { cycles: 100, days: 180 },
	'relief valve': { cycles: 50, days: 90 },
	hose: { cycles: 200, days: 365 },
	vessel: { cycles: 500, days: 730 }
};

const name = z
	.string({ error: 'Give it a name.' })
	.trim()
	.min(1, 'Give it a name.')
	.max(60, 'Keep it under 60 characters.');
const sizeMm = (what: string) =>
	z
		.number({ error: `Type ${what}, such as 240 mm.` })
		.positive(`${what[0]!.toUpperCase()}${what.slice(1)} must be more than nothing.`)
		.max(5000, 'Over 5 m: check the unit.');
const flow = (what: string) =>
	z
		.number({ error: `Type ${what}, such as 100 l/min.` })
		.positive('It must move something.')
		.max(10_000, 'Over 10 m³ a minute: check the unit.');
const gaugeKpa = (what: string) =>
	z
		.number({ error: `Type ${what}, such as 40 psi.` })
		.positive('The pressure must be more than nothing.')
		.max(2000, 'Over 20 bar is outside this tool: check the unit.');

const due = z.object({
	cycles: z
		.number({ error: 'Type after how many cycles.' })
		.int('Cycles are whole.')
		.min(1, 'At least one cycle.')
		.max(100_000, 'Over a hundred thousand cycles: check it.'),
	days: z
		.number({ error: 'Type after how many days.' })
		.int('Whole days.')
		.min(1, 'At least one day.')
		.max(7300, 'Over twenty years: check it.')
});

/** A pressure pot or a vacuum chamber as it stands in the workshop. */
export const vesselRecord = z
	.object({
		kind: z.enum(['pot', 'chamber'], { error: 'Choose what it is.' }),
		name,
		volumeL: z
			.number({ error: 'Type its volume, such as 9.5 l or 2 1/2 gal.' })
			.positive('It must hold something.')
			.max(1000, 'Over a cubic metre: check the unit.'),
		diameterMm: sizeMm('its inner diameter'),
		/** Clear height over each shelf, the lowest first, mm. */
		shelvesMm: z
			.array(sizeMm('the clear height'))
			.min(1, 'It has at least its own floor.')
			.max(8, 'At most eight shelves.'),
		/** On the plate; a chamber has none. */
		ratedGaugeKpa: gaugeKpa('the pressure on the rating plate').optional(),
		targetGaugeKpa: gaugeKpa('the pressure that you cast at').optional(),
		regulatorGaugeKpa: gaugeKpa('what the regulator is set to').optional(),
		/** Free air that reaches it, l/min; at no pressure, and at a second point if it is known. */
		freeAirLPerMin: flow('what the compressor delivers').optional(),
		secondGaugeKpa: gaugeKpa('the gauge pressure of the second point').optional(),
		secondLPerMin: flow('what it delivers there').optional(),
		/** Chamber: pump, and the absolute pressure that it reaches. */
		pumpLPerMin: flow('what the pump moves').optional(),
		reachesKpa: z
			.number({ error: 'Type the absolute pressure that it reaches, such as 3 kPa.' })
			.min(0.6, 'Under 0.6 kPa is rarely reached: read the gauge.')
			.max(90, 'That is hardly a vacuum: give the absolute pressure.')
			.optional(),
		dues: z.object({
			gasket: due,
			clamps: due,
			'relief valve': due,
			hose: due,
			vessel: due
		}),
		outOfUse: z.boolean().default(false),
		note: z.string().max(2000, 'Keep the note under 2000 characters.').default('')
	})
	.superRefine((v, ctx) => {
		const issue = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
		if (v.kind === 'pot') {
			if (v.ratedGaugeKpa === undefined) issue('ratedGaugeKpa', 'Type the pressure on its rating plate.');
			if (v.targetGaugeKpa === undefined) issue('targetGaugeKpa', 'Type the pressure that you cast at.');
			if (v.freeAirLPerMin === undefined) issue('freeAirLPerMin', 'Type what the compressor delivers.');
			for (const [path, value] of [
				['targetGaugeKpa', v.targetGaugeKpa],
				['regulatorGaugeKpa', v.regulatorGaugeKpa]
			] as const)
				if (value !== undefined && v.ratedGaugeKpa !== undefined && value > v.ratedGaugeKpa)
					issue(path, 'That is past the rating on the plate: stay at or below it.');
			if (
				v.regulatorGaugeKpa !== undefined &&
				v.targetGaugeKpa !== undefined &&
				v.regulatorGaugeKpa < v.targetGaugeKpa
			)
				issue('regulatorGaugeKpa', 'The regulator closes before the pressure that you cast at.');
			if ((v.secondGaugeKpa === undefined) !== (v.secondLPerMin === undefined))
				issue(
					v.secondGaugeKpa === undefined ? 'secondGaugeKpa' : 'secondLPerMin',
					'A second point is a pressure and what is delivered there: type both.'
				);
			else if (v.secondLPerMin !== undefined && v.freeAirLPerMin !== undefined)
				if (v.secondLPerMin > v.freeAirLPerMin)
					issue('secondLPerMin', 'A compressor delivers less against pressure, not more.');
		} else if (v.reachesKpa === undefined) issue('reachesKpa', 'Type the absolute pressure that it reaches.');
		const cylinderL = tapedL(v);
		// a diameter past its range is said at its own field
		if (Number.isFinite(cylinderL) && cylinderL > v.volumeL * TAPE_LIMIT)
			issue(
				'shelvesMm',
				`A floor of that diameter with these heights is ${Math.round(cylinderL * 10) / 10} l, more than the vessel holds.`
			);
	});
export type VesselRecord = z.output<typeof vesselRecord>;

/** A tape over bends and lids is off by up to this, and the plate still right (a default of ours). */
const TAPE_LIMIT = 1.25;

/** What its floor and heights come to, l. */
const tapedL = (v: { diameterMm: number; shelvesMm: readonly number[] }): number =>
	(Math.PI * v.diameterMm ** 2 * v.shelvesMm.reduce((sum, h) => sum + h, 0)) / 4e6;

/**
 * A word where the tape says more than the plate, and not so much more that one of them is wrong. The plate counts.
 * @example
 * tapeWord({ volumeL: 18, diameterMm: 300, shelvesMm: [300] }); // 'By the tape it holds 21.2 l, by its plate 18.0 l: the plate counts.'
 */
export function tapeWord(v: { volumeL: number; diameterMm: number; shelvesMm: readonly number[] }): string {
	const taped = tapedL(v);
	if (!(taped > v.volumeL * 1.02) || taped > v.volumeL * TAPE_LIMIT) return '';
	return `By the tape it holds ${digits(taped, 1)} l, by its plate ${digits(v.volumeL, 1)} l: the plate counts.`;
}
