import { z } from 'zod';
import { digits, formatTime } from '../units';
import { InputError, type Warning, type WorkingLine } from '../working';

/** After the collapse the vacuum is held this long, s (common practice, no source). */
export const HOLD_AFTER_COLLAPSE_S = 180;
/** From full vacuum to the collapse, s (common practice, no source). */
export const RISE_S = 120;
const ATMOSPHERE_KPA = 101.325;

/** A mass of rubber or resin degassed in a vessel in a chamber. */
export const vacuumInput = z.strictObject({
	mixVolumeMl: z
		.number({ error: 'Type the volume of the mix, such as 300 ml.' })
		.positive('There must be something to degas.')
		.max(1e6, 'Over a cubic metre: check the unit.'),
	/** Air stirred into it, share of the mix's volume at the room's pressure. */
	airShare: z.number().min(0, 'A share is 0–0.5.').max(0.5, 'A share is 0–0.5.').default(0.12),
	vesselMl: z
		.number({ error: 'Type the volume of the vessel that it stands in, such as 2 l.' })
		.positive('The vessel must hold something.')
		.max(1e6, 'Over a cubic metre: check the unit.'),
	chamberL: z
		.number({ error: 'Type the volume of the chamber, such as 12 l.' })
		.positive('The chamber must hold something.')
		.max(1e5, 'Over 100 m³: check the unit.'),
	pumpLPerMin: z
		.number({ error: 'Type what the pump moves, such as 70 l/min or 2.5 cfm.' })
		.positive('The pump must move something.')
		.max(1e5, 'Over 100 m³ a minute: check the unit.'),
	/** Absolute pressure to pump down to. */
	targetKpa: z
		.number({ error: 'Type the absolute pressure to reach, such as 3 kPa.' })
		.positive('No pump reaches nothing: give what its gauge shows, such as 3 kPa.')
		.max(101, 'That is no vacuum: give the absolute pressure, such as 3 kPa.'),
	/** Absolute pressure that the pump ends at; it never gets lower. */
	ultimateKpa: z.number().min(0, 'It cannot be less than nothing.').max(100).default(0.5),
	atmosphereKpa: z.number().min(30, 'Check the pressure of the air.').max(110).default(ATMOSPHERE_KPA),
	/** A mass does not rise further than its bubbles burst: common practice says 4 to 5 times. */
	mostRise: z.number().min(1).max(20).default(5)
});
export type VacuumInput = z.input<typeof vacuumInput>;

export interface VacuumPlan {
	/** Times its volume that the mass would rise to if no bubble burst (Boyle). */
	boyleRise: number;
	/** Volume to have room for, ml. */
	risenMl: number;
	/** Smallest vessel that would do, ml. */
	vesselNeededMl: number;
	pumpDownS: number;
	/** Everything that vacuum takes out of the working time, s. */
	takesS: number;
	fits: boolean;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * Degassing: how far the mass rises, whether the vessel holds it, how long it takes.
 * Rise by Boyle's law, V·(1 + φ·p₀/p); it ends where the bubbles burst (4–5 times, common practice, no source).
 * Pump-down t = V ÷ S · ln((p₀ − pu) ÷ (p − pu)) for a constant pumping speed S and end pressure pu.
 * @throws InputError when the pump cannot reach the pressure
 * @example
 * vacuum({ mixVolumeMl: 300, vesselMl: 2000, chamberL: 12, pumpLPerMin: 70, targetKpa: 3 }).fits; // true
 */
export function vacuum(raw: VacuumInput): VacuumPlan {
	const input = vacuumInput.parse(raw);
	const { targetKpa, ultimateKpa, atmosphereKpa, mixVolumeMl } = input;
	if (targetKpa <= ultimateKpa) {
		throw new InputError(
			['targetKpa'],
			`This pump ends at ${digits(ultimateKpa)} kPa: give a pressure above that, such as ${digits(ultimateKpa * 4)} kPa.`
		);
	}
	if (targetKpa >= atmosphereKpa) {
		throw new InputError(
			['targetKpa'],
			`The air outside has ${digits(atmosphereKpa)} kPa: that is no vacuum.`
		);
	}
	const boyleRise = 1 - input.airShare + (input.airShare * atmosphereKpa) / targetKpa;
	const rise = Math.min(boyleRise, input.mostRise);
	const risenMl = mixVolumeMl * rise;
	const freeL = Math.max(0.1, input.chamberL - mixVolumeMl / 1000);
	const pumpDownS =
		((60 * freeL) / input.pumpLPerMin) * Math.log((atmosphereKpa - ultimateKpa) / (targetKpa - ultimateKpa));
	const takesS = pumpDownS + RISE_S + HOLD_AFTER_COLLAPSE_S;
	const fits = risenMl <= input.vesselMl;
	const warnings: Warning[] = [];
	if (!fits) {
		warnings.push({
			code: 'vessel-too-small',
			message: `It rises to ${digits(risenMl)} ml and the vessel holds ${digits(input.vesselMl)} ml: it would run over.`,
			action: `Take a vessel of ${digits(Math.ceil(risenMl / 100) * 100)} ml, or degas ${digits(input.vesselMl / rise)} ml at a time.`,
			severity: 'harm'
		});
	}
	if (input.vesselMl / 1000 > input.chamberL) {
		warnings.push({
			code: 'vessel-too-large',
			message: 'The vessel is larger than the chamber.',
			action: 'Take one that goes in with room above.'
		});
	}
	return {
		boyleRise,
		risenMl,
		vesselNeededMl: risenMl,
		pumpDownS,
		takesS,
		fits,
		working: [
			{
				what: 'Rises to',
				sum: `${digits(mixVolumeMl)} ml × (${digits(1 - input.airShare)} + ${digits(input.airShare)} × ${digits(atmosphereKpa)} ÷ ${digits(targetKpa)} kPa), at most × ${digits(input.mostRise)}`,
				result: `${digits(risenMl)} ml`,
				source: 'Boyle; bursts at 4–5 times its volume: common practice, no source'
			},
			{
				what: 'Pump-down',
				sum: `${digits(freeL)} l ÷ ${digits(input.pumpLPerMin)} l/min × ln(${digits(atmosphereKpa - ultimateKpa)} ÷ ${digits(targetKpa - ultimateKpa)})`,
				result: formatTime(pumpDownS),
				source: 'constant pumping speed; a real pump slows down near its end'
			},
			{
				what: 'Out of the working time',
				sum: `${formatTime(pumpDownS)} + ${formatTime(RISE_S)} until it collapses + ${formatTime(HOLD_AFTER_COLLAPSE_S)}`,
				result: formatTime(takesS),
				source: '3 min after the collapse: common practice, no source'
			}
		],
		warnings
	};
}
