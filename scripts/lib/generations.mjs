const DAY_MS = 86_400_000;
const DAYS = 7;
const WEEKS = 4;

/** Days and weeks since 1970, by the universal clock: a change to summer time loses no day. */
const dayOf = (ms) => Math.floor(ms / DAY_MS);
// 1 January 1970 was a Thursday: weeks begin on Monday
const weekOf = (ms) => Math.floor((dayOf(ms) + 3) / 7);

/**
 * Which backups are kept: the newest of each of the last seven days that have one, and of each of the last four weeks
 * that have one. However long nothing was backed up, the last ones stay.
 * @param {readonly number[]} timesMs when each was made
 * @returns {Set<number>} those that stay
 */
export function generationsToKeep(timesMs) {
	const newestFirst = [...timesMs].sort((a, b) => b - a);
	const kept = new Set();
	for (const [most, spanOf] of [
		[DAYS, dayOf],
		[WEEKS, weekOf]
	]) {
		const spans = new Set();
		for (const ms of newestFirst) {
			if (spans.size === most) break;
			if (spans.has(spanOf(ms))) continue;
			spans.add(spanOf(ms));
			kept.add(ms);
		}
	}
	return kept;
}

/** Hours of the night in which a backup is made by itself, by the clock of the machine. */
const NIGHT = { from: 2, until: 5 };
/** A backup of so long ago does for tonight; one that is older is made at any hour, ms. */
const TONIGHTS_MS = 18 * 3_600_000;
const OVERDUE_MS = 28 * 3_600_000;

/**
 * Whether a backup is to be made now: in the night, or when the machine was off at night.
 * @param {number | undefined} lastMs when the last good one was made
 */
export function backupIsDue(lastMs, now) {
	if (lastMs === undefined) return true;
	const age = now.getTime() - lastMs;
	const hour = now.getHours();
	return age > OVERDUE_MS || (age > TONIGHTS_MS && hour >= NIGHT.from && hour < NIGHT.until);
}
