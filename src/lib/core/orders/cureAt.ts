import type { HandsTime } from './hours';
import type { PullRecipe } from './snapshot';

/** Warmth of the room goes with the people: it cures by day while somebody is there, by night else. */
export function cureAtS(recipe: PullRecipe, fromS: number, openings: readonly HandsTime[]): number {
	const { day, night } = recipe.cureS;
	if (day === night || !(night > 0)) return day;
	let done = 0;
	let t = fromS;
	for (const { fromS: opens, untilS: closes } of openings) {
		if (closes <= t) continue;
		if (opens > t) {
			const cold = (opens - t) / night;
			if (done + cold >= 1) return t + (1 - done) * night - fromS;
			done += cold;
			t = opens;
		}
		const warm = (closes - t) / day;
		if (done + warm >= 1) return t + (1 - done) * day - fromS;
		done += warm;
		t = closes;
	}
	return t + (1 - done) * night - fromS;
}
