/** How the screens say that a figure is usual for its kind and not from its sheet; apart from the sheets' own rules. */
import type { Warning } from '../working';

/** Names of figures that may be usual, as the screens call them. */
export const USUAL_WORDS: Readonly<Record<string, string>> = {
	densityAGPerMl: 'density of A',
	densityBGPerMl: 'density of B',
	densityGPerMl: 'density',
	bulkDensityGPerMl: 'loose density',
	viscosityMpaS: 'viscosity',
	softenTempC: 'softening',
	coolS: 'time to cool'
};

/**
 * Which figures of a record are usual for its kind and not from its sheet, in words; nothing when none is.
 * @example
 * usualWords({ usual: ['densityAGPerMl', 'viscosityMpaS'] }); // 'density of A, viscosity'
 */
export const usualWords = (record: { usual: readonly string[] }): string | undefined =>
	record.usual.length > 0 ? record.usual.map((f) => USUAL_WORDS[f] ?? f).join(', ') : undefined;

/** Two thirds of what is sold of a kind lie this near to its usual density (a judgement of ours). */
const DENSITY_OFF_PERCENT = 4;

/**
 * A density that no sheet says makes grams that are only about right: said wherever grams follow from it.
 * @example
 * usualWarnings({ name: 'Sea', usual: ['densityGPerMl'] })[0]?.code; // 'usual-density'
 */
export function usualWarnings({ name, usual }: { name: string; usual: readonly string[] }): Warning[] {
	if (!usual.some((field) => /density/i.test(field))) return [];
	return [
		{
			code: 'usual-density',
			message: `The density of ${name} is the usual one of its kind and not from its sheet: grams may be off by ${DENSITY_OFF_PERCENT} % and more.`,
			action: 'Type it from the sheet, or weigh 100 ml of each part.'
		}
	];
}
