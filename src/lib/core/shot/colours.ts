import { cup } from '../cure/cup';
import { cureOf } from '../shelf/resinSums';
import { digits, formatTime } from '../units';
import { InputError, type Warning, type WorkingLine } from '../working';
import { coloursFor, cupOf, fillersOf, lengthened } from './amounts';
import { cupEveryS } from './colourSchools';
import type { ColourCup } from './dose';
import type { Inputs } from './inputs';
import type { ShotContext } from './planned';

/**
 * The cups of colours that are poured together, each a share of the volume with a clock of its own: a smaller
 * cup stays cool longer, so the largest is combined last.
 * @param volumeMl of all cups together
 * @throws InputError when the shares do not make a whole, or the cups are warmer from the start than they are poured
 * @example
 * colourCups(
 *   96,
 *   inputs({
 *     kind: 'solid',
 *     cups: [
 *       { name: 'sand', sharePercent: 75 },
 *       { name: 'slate', sharePercent: 25 }
 *     ]
 *   }),
 *   context
 * ).map((c) => c.massG); // [25.08, 75.24]
 */
export function colourCups(volumeMl: number, inputs: Inputs, context: ShotContext): ColourCup[] {
	const typedMl = typedCupsMl(inputs);
	const shares = inputs.cups.reduce((sum, c) => sum + c.sharePercent, 0);
	if (typedMl === undefined && Math.abs(shares - 100) > 0.5) {
		throw new InputError(
			['cups', 0, 'sharePercent'],
			`The shares make ${digits(shares, 1)} %: together they make 100 %.`
		);
	}
	const coldestC = Math.min(...inputs.cups.map((c) => c.startTempC ?? inputs.startTempC));
	if (inputs.pourTempC !== undefined && inputs.pourTempC <= coldestC) {
		throw new InputError(
			['pourTempC'],
			`The cups start at ${digits(coldestC, 1)} °C: type a warmer one, or leave it empty to pour at once.`
		);
	}
	return inputs.cups
		.map((c): ColourCup => {
			const of = lengthened(context, c.recipeId);
			const startTempC = c.startTempC ?? inputs.startTempC;
			const { mixed, clock, fillerMix } = cupOf(
				typedMl === undefined ? (volumeMl * c.sharePercent) / shares : (volumeMl * c.volumeMl!) / typedMl,
				fillersOf(inputs, context),
				inputs,
				of,
				startTempC
			);
			const resinG = mixed.a.massG + mixed.b.massG;
			const warm =
				inputs.pourTempC === undefined
					? undefined
					: cup({
							resin: { ...cureOf(of.resin, of.rateFactor), ...(fillerMix ? { fillerMix } : {}) },
							massG: mixed.total.massG,
							startTempC,
							roomTempC: inputs.roomTempC,
							pourTempC: inputs.pourTempC
						}).reachesPourTempS;
			return {
				name: c.name,
				a: mixed.a,
				b: mixed.b,
				...(mixed.catalyst ? { catalyst: mixed.catalyst } : {}),
				massG: mixed.total.massG,
				startTempC,
				potLifeS: clock.potLifeS,
				...(warm === undefined || warm === null ? {} : { warmS: warm }),
				...(fillerMix ? { fillerMix } : {}),
				colours: coloursFor(c.recipeId, resinG, context)
			};
		})
		.sort((a, b) => b.potLifeS - a.potLifeS);
}

/**
 * What the cups hold in all where each is typed for itself, ml; nothing where they share the volume of the mould.
 * @throws InputError where only some of them are typed
 * @example
 * typedCupsMl({ cups: [{ volumeMl: 90 }, { volumeMl: 90 }] }); // 180
 */
export function typedCupsMl({
	cups
}: {
	cups: readonly { volumeMl?: number | undefined }[];
}): number | undefined {
	const typed = cups.filter((c) => c.volumeMl !== undefined);
	if (typed.length === 0) return undefined;
	if (typed.length < cups.length) {
		const at = cups.findIndex((c) => c.volumeMl === undefined);
		throw new InputError(
			['cups', at, 'volumeMl'],
			'Type how much of each, or of none: then they share the mould.'
		);
	}
	return typed.reduce((sum, c) => sum + c.volumeMl!, 0);
}

/**
 * Pot life counted from the first combining: each cup is combined so much later than the one before, and the first
 * that is too thick ends the pour.
 * @example
 * togetherPotLifeS([{ potLifeS: 400 }, { potLifeS: 380 }], 30); // 400
 */
export function togetherPotLifeS(cups: readonly Pick<ColourCup, 'potLifeS'>[], everyS: number): number {
	return Math.min(...cups.map((c, i) => i * everyS + c.potLifeS));
}

/** What the cups come to, and what is wrong with pouring them by temperature. */
export function colourWords(
	cups: readonly ColourCup[],
	inputs: Inputs
): { working: WorkingLine[]; warnings: Warning[] } {
	const wantC = inputs.pourTempC;
	const cold = wantC === undefined ? [] : cups.filter((c) => c.warmS === undefined);
	return {
		working: cups.map((c, i) => ({
			what: `Cup ${i + 1}, ${c.name}`,
			sum: `${digits(c.massG)} g from ${digits(c.startTempC)} °C, combined ${formatTime(i * cupEveryS(inputs.colourSchool, inputs.mixS))} after the first`,
			result: `too thick ${formatTime(c.potLifeS)} after its own combining${c.warmS === undefined ? '' : `, ${digits(wantC!, 0)} °C after ${formatTime(c.warmS)}`}`,
			source: 'cup model'
		})),
		warnings: cold.length
			? [
					{
						code: 'never-warm',
						message: `${cold.map((c) => c.name).join(', ')} is too thick before it reaches ${digits(wantC!, 0)} °C.`,
						action: 'A lower pouring temperature, warmer parts, or pour by the clock.'
					}
				]
			: []
	};
}
