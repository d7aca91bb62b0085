import type { Warning } from '../working';
import { whatMeets, withoutRelease } from './compatibility';
import type { Experience, Thing } from './things';

/**
 * What is said of everything that meets in one piece of work, each sentence once: every thing of a group with every
 * thing of the groups after it. Things of one group, such as the moulds of one shot, do not touch one another.
 * @example
 * meetings([
 *   [masterThing('sulphur clay')],
 *   [rubberThing('1', { name: 'Blue', cureKind: 'addition', use: 'pour' })]
 * ])[0]?.code; // 'inhibition'
 */
export function meetings(
	groups: readonly (readonly Thing[])[],
	experiences: readonly Experience[] = []
): Warning[] {
	const said = groups.flatMap((group, i) =>
		group.flatMap((a) =>
			groups
				.slice(i + 1)
				.flat()
				.flatMap((b) => whatMeets(a, b, experiences))
		)
	);
	return said.filter((w, i) => said.findIndex((o) => o.code === w.code && o.message === w.message) === i);
}

/**
 * Everything that touches when a resin is poured: it, what its moulds are made of, and the release between, if any.
 * A pair that only a release spares is a harm without one.
 * @example
 * pourMeetings({
 *   resin: resinThing('1', { name: 'White', family: 'fast urethane' }),
 *   moulds: [rigidThing('printed')]
 * })[0]?.severity; // 'harm'
 */
export function pourMeetings(
	of: { resin: Thing; moulds: readonly Thing[]; release?: Thing | undefined },
	experiences: readonly Experience[] = []
): Warning[] {
	const said = meetings([[of.resin], of.moulds, of.release ? [of.release] : []], experiences);
	return of.release ? said : withoutRelease(said);
}
