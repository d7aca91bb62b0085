import { z } from 'zod';
import { digits } from '../units';
import { InputError, type Warning } from '../working';
import { calibrate } from './calibrate';
import { cupInput, runCup, type CupResult, type ParsedCupInput } from './cup';
import { faster, fitCharacter, PRIOR_LN_RATE, READING_ERROR_C, type CharacterFit } from './fitCharacter';
import type { CureModel } from './model';
import { CHARACTERS, type Character } from './record';
import { BAND_80 } from './spread';

export { PRIOR_LN_RATE, READING_ERROR_C };

/** Said where readings did not lead to one speed: nothing is corrected, shown or kept by them. */
export const UNSETTLED: Warning = {
	code: 'readings-unsettled',
	message: 'These readings lead to no single speed of the batch, so nothing is corrected by them.',
	action: 'Check them, or read again a little later.'
};

const READINGS_FOR_CHARACTER = 4;
/** How likely the character of the record is before any reading; the others share the rest (a default of ours). */
const OWN_CHARACTER = 0.6;
/** A character that is less likely than this is left out. */
const LEAST_SHARE = 0.01;
export const cupFitInput = cupInput.extend({
	readings: z
		.array(
			z.strictObject({
				timeS: z
					.number({ error: 'Type when it was read, such as 1:20.' })
					.min(0, 'A reading is taken after combining.')
					.max(1e6, 'Over eleven days after combining: check the unit.'),
				tempC: z
					.number({ error: 'Type what the thermometer showed, such as 31 C.' })
					.min(-20, 'Under −20 °C: check the reading.')
					.max(300, 'Over 300 °C: check the reading.')
			})
		)
		.min(1, 'Give at least one reading.')
		.max(500, 'At most 500 readings.')
});
export type CupFitInput = z.input<typeof cupFitInput>;

export interface CupFitResult extends CupResult {
	/** Root of the mean square difference to the readings, °C. */
	rmsC: number;
	/** Speed of this batch against its sheet: 1.2 is a fifth faster. */
	rateFactor: number;
	/** How far off the thermometer seems to be, °C: above nothing it shows too much. */
	offsetC: number;
	/** How much of the answer goes by each character; one alone until four readings tell them apart. */
	characters: { character: Character; share: number }[];
	/** Where four of five pot lives fall, s. */
	potLifeLowS: number;
	potLifeHighS: number;
	converged: boolean;
}

/** One character's answer, with how likely it is. */
interface Candidate extends CharacterFit {
	character: Character;
	share: number;
	result: CupResult;
	/** Standard deviation of ln(pot life). */
	sd: number;
}

/**
 * Learns from temperatures read during a pour: the batch's speed, by least squares with the sheet as a prior and one
 * common offset of the thermometer as a nuisance; from four readings on, the character too, as a mixture of the three
 * weighted by how well they fit. The band of the pot life covers the characters that fit.
 * @throws ZodError out of range; InputError when the resin would not set.
 * @example
 * cupFit({
 *   resin: { potLifeS: 150, demouldS: 900, character: 'quick' },
 *   massG: 200,
 *   startTempC: 24,
 *   roomTempC: 22,
 *   readings: [
 *     { timeS: 40, tempC: 27 },
 *     { timeS: 80, tempC: 34 }
 *   ]
 * }).rateFactor; // 1.0724
 */
export function cupFit(raw: CupFitInput): CupFitResult {
	const input = cupFitInput.parse(raw);
	const own = input.resin.character;
	const readings = [...input.readings].sort((x, y) => x.timeS - y.timeS);
	const tried = readings.length >= READINGS_FOR_CHARACTER ? (Object.keys(CHARACTERS) as Character[]) : [own];
	const fits = tried.map((character) => ({
		character,
		...fitCharacter(input, calibrate({ ...raw.resin, character }), readings)
	}));
	const candidates = weighed(input, fits, own);
	const best = candidates[0]!;
	const lifeS = Math.exp(candidates.reduce((sum, c) => sum + c.share * Math.log(c.result.potLifeS), 0));
	const ownFit = fits.find((f) => f.character === own)!;
	const ownLifeS = runCup(input, ownFit.model).potLifeS;
	// kept for the tin, the speed goes with the character of the record: the one that gives this very pot life
	const rateFactor = Math.exp(
		ownFit.lnSpeed - Math.log(lifeS / ownLifeS) / Math.abs(slopeOfLnPotLife(input, ownFit.model, ownLifeS))
	);
	const [lowS, highS] = [-BAND_80, BAND_80].map((z80) => mixtureAt(candidates, z80));
	return {
		...best.result,
		potLifeS: lifeS,
		rmsC: best.rmsC,
		rateFactor,
		offsetC: best.offsetC,
		characters: candidates.map(({ character, share }) => ({ character, share })),
		potLifeLowS: lowS!,
		potLifeHighS: highS!,
		converged: candidates.every((c) => c.converged),
		working: [
			{
				what: 'This batch against its sheet',
				sum: `${readings.length} reading${readings.length === 1 ? '' : 's'}, ${digits(best.rmsC, 1)} °C off on average${Math.abs(best.offsetC) < 0.5 ? '' : `, the thermometer ${digits(Math.abs(best.offsetC), 1)} °C too ${best.offsetC > 0 ? 'high' : 'low'}`}`,
				result: `× ${digits(rateFactor)}`,
				source: `least squares; before any reading ± ${digits(PRIOR_LN_RATE * 100, 0)} %, thermometer ± 1.5 °C (defaults)${candidates.length > 1 ? `; ${candidates.map((c) => `${c.character} ${digits(100 * c.share, 0)} %`).join(', ')}` : ''}`
			},
			...best.result.working
		]
	};
}

/** The characters that fit, the likeliest first. */
function weighed(
	input: ParsedCupInput,
	fits: readonly (CharacterFit & { character: Character })[],
	own: Character
): Candidate[] {
	const least = Math.min(...fits.map((f) => f.cost));
	const others = (1 - OWN_CHARACTER) / Math.max(1, fits.length - 1);
	const prior = (c: Character) => (fits.length === 1 ? 1 : c === own ? OWN_CHARACTER : others);
	const weights = fits.map((f) => prior(f.character) * Math.exp((least - f.cost) / 2) * f.sdLnSpeed);
	const sum = weights.reduce((s, w) => s + w, 0);
	const kept = fits
		.map((f, i) => ({ ...f, share: weights[i]! / sum }))
		.filter((f) => f.share >= LEAST_SHARE)
		.sort((a, b) => b.share - a.share);
	const all = kept.reduce((s, f) => s + f.share, 0);
	return kept.map((f) => {
		const result = runCup(input, f.model);
		return {
			...f,
			share: f.share / all,
			result,
			sd: f.sdLnSpeed * Math.abs(slopeOfLnPotLife(input, f.model, result.potLifeS))
		};
	});
}

/** How ln(pot life) goes with ln(speed): about −1. */
function slopeOfLnPotLife(input: ParsedCupInput, model: CureModel, potLifeS: number): number {
	const h = 1e-3;
	const moved = runCup(input, faster(model, h)).potLifeS;
	if (!(moved > 0)) throw new InputError(['readings'], 'These readings lead out of range: check them.');
	return (Math.log(moved) - Math.log(potLifeS)) / h;
}

/** Where the mixture of the characters has as much below it as a normal distribution has at z, s: by bisection. */
function mixtureAt(candidates: readonly Candidate[], z80: number): number {
	const wanted = normalBelow(z80);
	const ends = candidates.flatMap((c) => [
		Math.log(c.result.potLifeS) - 6 * c.sd,
		Math.log(c.result.potLifeS) + 6 * c.sd
	]);
	let [lo, hi] = [Math.min(...ends), Math.max(...ends)];
	for (let i = 0; i < 60; i++) {
		const mid = (lo + hi) / 2;
		const below = candidates.reduce(
			(sum, c) => sum + c.share * normalBelow((mid - Math.log(c.result.potLifeS)) / Math.max(1e-9, c.sd)),
			0
		);
		if (below < wanted) lo = mid;
		else hi = mid;
	}
	return Math.exp((lo + hi) / 2);
}

/** Share of a normal distribution below z (Abramowitz & Stegun, Handbook of Mathematical Functions, 26.2.17; to 1e-7). */
function normalBelow(z: number): number {
	const t = 1 / (1 + 0.2316419 * Math.abs(z));
	const tail =
		(Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
		t *
		(0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
	return z > 0 ? 1 - tail : tail;
}
