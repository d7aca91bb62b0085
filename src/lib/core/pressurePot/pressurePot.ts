import { z } from 'zod';
import { InputError, type Warning, type WorkingLine } from '../working';
import { digits } from '../units';
import { atmosphereKpa } from './atmosphere';

/** A pot, what stands in it, the air that feeds it and the gauge pressure wanted. */
export const potInput = z.strictObject({
	gaugeKpa: z
		.number({ error: 'Type the gauge pressure, such as 40 psi or 275 kPa.' })
		.positive('The pressure must be more than nothing.')
		.max(2000, 'Over 20 bar is outside this tool: check the unit.'),
	atmosphereKpa: z.number().min(20).max(110).optional(),
	altitudeM: z
		.number()
		.min(-500, 'The altitude is from −500 to 11000 m.')
		.max(11_000, 'The altitude is from −500 to 11000 m.')
		.optional(),
	potVolumeL: z
		.number({ error: 'Type the volume of the pot in litres.' })
		.positive('The pot must hold something.')
		.max(10_000, 'Over 10 m³: check the unit.'),
	contentsL: z
		.number({ error: 'Type how many litres the moulds and shelves take up.' })
		.min(0, 'The contents cannot be less than nothing.'),
	freeAirLPerMin: z
		.number({ error: 'Type what the compressor delivers, such as 100 l/min.' })
		.positive('The compressor must deliver something.')
		.max(100_000, 'Over 100 m³ a minute: check the unit.'),
	ratedGaugeKpa: z
		.number({ error: 'Type the pressure on the rating plate of the pot.' })
		.positive('The rating must be more than nothing.')
		.max(5000, 'Over 50 bar: check the rating plate and the unit.')
});
export type PotInput = z.infer<typeof potInput>;

export interface PotResult {
	/** Volume of a bubble under pressure over its volume before: Boyle. */
	bubbleVolumeRatio: number;
	bubbleDiameterRatio: number;
	timeToPressureS: number;
	/** Air at atmospheric pressure that has to be pumped in, litres. */
	freeAirL: number;
	/** Energy of the compressed air (Brode), joule. */
	storedEnergyJ: number;
	atmosphereKpa: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/** Ratio of specific heats of air (diatomic ideal gas). */
const GAMMA_AIR = 1.4;

/**
 * What pressure does to bubbles, how long the pump takes and what energy then stands in the pot.
 * Boyle: V/V₀ = p₀/p (absolute), d/d₀ = (p₀/p)^⅓. Pump: free volume·Δp ÷ (p₀·free-air delivery).
 * Stored energy: Brode (1959), E = Δp·V/(γ − 1).
 * @throws InputError above the vessel's rating or when the contents fill the pot: never worked out.
 * @example
 * pot({
 *   gaugeKpa: 275.79,
 *   potVolumeL: 9.5,
 *   contentsL: 2,
 *   freeAirLPerMin: 100,
 *   ratedGaugeKpa: 400,
 *   altitudeM: 0
 * }).bubbleDiameterRatio; // 0.64528
 */
export function pot(input: PotInput): PotResult {
	if (input.gaugeKpa > input.ratedGaugeKpa) {
		throw new InputError(
			['gaugeKpa'],
			`${digits(input.gaugeKpa)} kPa is past the vessel's rating of ${digits(input.ratedGaugeKpa)} kPa: stay at or below the rating.`
		);
	}
	const freeL = input.potVolumeL - input.contentsL;
	if (!(freeL > 0)) {
		throw new InputError(
			['contentsL'],
			`The contents take ${digits(input.contentsL)} l and the pot holds ${digits(input.potVolumeL)} l: take something out.`
		);
	}
	const p0Kpa = input.atmosphereKpa ?? atmosphereKpa(input.altitudeM ?? 0);
	const bubbleVolumeRatio = p0Kpa / (p0Kpa + input.gaugeKpa);
	const freeAirL = (freeL * input.gaugeKpa) / p0Kpa;
	const timeToPressureS = (freeAirL / input.freeAirLPerMin) * 60;
	// kPa × litre = joule
	const storedEnergyJ = (input.gaugeKpa * freeL) / (GAMMA_AIR - 1);
	return {
		bubbleVolumeRatio,
		bubbleDiameterRatio: Math.cbrt(bubbleVolumeRatio),
		timeToPressureS,
		freeAirL,
		storedEnergyJ,
		atmosphereKpa: p0Kpa,
		working: [
			{
				what: 'Bubble volume under pressure',
				sum: `${digits(p0Kpa)} ÷ (${digits(p0Kpa)} + ${digits(input.gaugeKpa)}) kPa`,
				result: `${digits(bubbleVolumeRatio * 100, 1)} %`,
				source: 'Boyle; absolute = gauge + local atmosphere'
			},
			{
				what: 'Air to pump in',
				sum: `(${digits(input.potVolumeL)} − ${digits(input.contentsL)}) l × ${digits(input.gaugeKpa)} ÷ ${digits(p0Kpa)} kPa`,
				result: `${digits(freeAirL)} l`
			},
			{
				what: 'Time to pressure',
				sum: `${digits(freeAirL)} l ÷ ${digits(input.freeAirLPerMin)} l/min`,
				result: `${digits(timeToPressureS, 0)} s`
			},
			{
				what: 'Energy stored in the air',
				sum: `${digits(input.gaugeKpa)} kPa × ${digits(freeL)} l ÷ (1.4 − 1)`,
				result: `${digits(storedEnergyJ)} J`,
				source: 'Brode 1959'
			}
		],
		warnings: []
	};
}
