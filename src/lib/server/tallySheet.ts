import { FAULT_WORDS } from '$lib/core/faults';
import { GRADE_WORDS, leftWords } from '$lib/core/bench';
import { formatWeighed } from '$lib/core/units';
import type { WorkshopSettings } from '$lib/core/workshop';
import { TICK, type orderSheet } from './orderSheet';
import type { TallyPull } from './repositories/tally';

type Part = Parameters<typeof orderSheet>[4][number];

/** Empty lines for what is still to come, at most: the rest is on the next print. */
const MOST_EMPTY = 60;

/**
 * A tally as it hangs at the bench: every pull so far with its time, mould and grade, and a numbered box for each that is
 * still to come.
 * @param wanted copies in all, where somebody said so
 */
export function tallyParts(
	pulls: readonly TallyPull[],
	wanted: number | undefined,
	settings: Pick<WorkshopSettings, 'units' | 'scaleResolutionG'>,
	at: (ms: number) => string
): Part[] {
	const copies = (of: readonly TallyPull[]) => of.reduce((sum, p) => sum + p.copies, 0);
	const good = copies(pulls.filter((p) => p.grade !== 'scrap'));
	const scrap = copies(pulls) - good;
	const weighed = (g: number) => formatWeighed(g, settings.units, settings.scaleResolutionG);
	const rows = pulls.map((p, i) => [
		`${i + 1}`,
		at(p.atMs),
		`M${p.mouldNumber}`,
		p.body.massG === null ? '' : weighed(p.body.massG),
		p.body.took ? leftWords(p.body.took.leftG, settings.units) : '',
		[GRADE_WORDS[p.grade], ...p.body.faults.map((f) => FAULT_WORDS[f])].join(', ')
	]);
	const toCome = Math.min(MOST_EMPTY, Math.max(0, (wanted ?? 0) - good));
	const empty = Array.from({ length: toCome }, (_, i) => [`${rows.length + i + 1}`, '', '', '', '', TICK]);
	return [
		`${good}${wanted === undefined ? '' : ` of ${wanted}`} good${scrap > 0 ? `, ${scrap} scrapped` : ''}${copies(pulls) === 0 ? '; nothing was cast yet' : ''}.`,
		{
			head: ['Pull', 'When', 'Mould', 'Mixed', 'Left over', 'Came out'],
			widths: [30, 90, 45, 60, '*', '*'],
			rows: [...rows, ...empty]
		}
	];
}
