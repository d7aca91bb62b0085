import { learnDemould, type DemouldSeen, type TaughtDemould } from '../cure';

/** Presses at demould of one pull, oldest first among their like. */
export interface PulledPresses {
	pourId: string;
	resinId: string;
	mouldId: string;
	seen: readonly DemouldSeen[];
}

/**
 * What the presses taught of a resin in these moulds; those of other moulds count more loosely. One pour counts once,
 * however many moulds it filled.
 * @example
 * taughtFor(
 *   [
 *     {
 *       pourId: 'q',
 *       resinId: 'r',
 *       mouldId: 'm',
 *       seen: [{ what: 'demould-right', atS: 840, gelS: 180, modelS: 900 }]
 *     }
 *   ],
 *   'r',
 *   ['m']
 * )?.presses; // 1
 */
export function taughtFor(
	all: readonly PulledPresses[],
	resinId: string,
	mouldIds: readonly string[]
): TaughtDemould | undefined {
	const pours = new Map<string, { seen: readonly DemouldSeen[]; sameMould: boolean }>();
	for (const p of all) {
		if (p.resinId !== resinId) continue;
		const sameMould = mouldIds.includes(p.mouldId) || pours.get(p.pourId)?.sameMould === true;
		pours.set(p.pourId, { seen: p.seen, sameMould });
	}
	return learnDemould(
		[...pours.values()].flatMap(({ seen, sameMould }) => seen.map((s) => ({ ...s, sameMould })))
	);
}
