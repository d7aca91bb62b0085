import { formatTime } from '$lib/core/units';

/** How sure a day is, as people say it, from the share of runs in which it held. */
export function sureWords(chance: number): string {
	if (chance >= 0.95) return 'all but sure';
	if (chance >= 0.8) return 'likely';
	if (chance >= 0.5) return 'about even, or a little better';
	return chance >= 0.2 ? 'doubtful' : 'hardly';
}

/** A share in percent as it may be claimed from a few hundred runs: never quite none or all. */
export const percentOf = (chance: number): string =>
	chance > 0.99 ? 'over 99 %' : chance < 0.01 ? 'under 1 %' : `${Math.round(chance * 100)} %`;

/** How long until or past a moment. */
export function dueWords(dueAtMs: number, nowMs: number): string {
	const left = (dueAtMs - nowMs) / 1000;
	return left >= 0 ? `in ${formatTime(left)}` : `${formatTime(-left)} ago`;
}
