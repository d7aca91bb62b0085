import { part } from '../cure';
import { ownCopies, type PourPlan } from '../plan';
import { mixedOf } from './mixed';
import type { PullRecipe } from './snapshot';

/** Hands for what has no time of its own in a plan, s (common practice, no source). */
export const HANDS_S = {
	/** Looking over and closing a mould. */
	look: 120,
	coat: 60,
	dust: 120,
	/** Measuring the parts of one cup. */
	measure: 90,
	/** Closing a pot and letting air in. */
	pump: 120,
	/** Taking a copy out and judging it. */
	out: 150
};
/** A cure band where a plan has none: fast urethane differs by a quarter either way (common practice, no source). */
const USUAL_BAND = { low: 0.75, high: 1.3 };

/**
 * A batch as the schedule sees it, from the plan that the bench would run.
 * @param nightTempC of the room; nothing: as by day
 * @example
 * pullRecipe(planOf(), 0, null).copies; // 1
 */
export function pullRecipe(plan: PourPlan, batch: number, nightTempC: number | null): PullRecipe {
	const copies = ownCopies(plan);
	const all = plan.moulds.reduce((sum, m) => sum + m.copies, 0);
	const moulds = plan.moulds.length;
	const workS = plan.steps.reduce((sum, s) => sum + s.durationS, 0);
	const holdS = plan.pot ? Math.max(0, plan.holdUntilS) : 0;
	const dayS = Math.max(plan.demouldS, holdS);
	const band = plan.demouldBand;
	return {
		batch,
		copies,
		mouldIds: plan.moulds.map((m) => m.id),
		potId: plan.pot ? (plan.pot.vesselId ?? plan.pot.name) : null,
		holdS,
		pot: inPot(plan),
		prepS:
			moulds * HANDS_S.look +
			(plan.release ? moulds * HANDS_S.coat : 0) +
			(plan.dust ? moulds * HANDS_S.dust : 0),
		flashS: plan.release?.flashOffS ?? 0,
		blocks: blocksOf(plan, workS),
		cureS: { day: dayS, night: Math.max(holdS, plan.demouldS * coldFactor(plan, nightTempC)) },
		flexibleS: plan.out ? Math.max(60, plan.out.stiffS - plan.demouldS) : null,
		demouldS: all * HANDS_S.out,
		takes: takesOf(plan),
		...(plan.release
			? { coats: { name: plan.release.name, moulds: moulds / (plan.release.everyPulls ?? 1) } }
			: {}),
		cureBand:
			band && plan.demouldS > 0
				? { low: Math.min(1, band.lowS / plan.demouldS), high: Math.max(1, band.highS / plan.demouldS) }
				: USUAL_BAND
	};
}

/** How it goes into a pot; nothing for what is built up of layers, or poured from several cups. */
function inPot(plan: PourPlan): PullRecipe['pot'] {
	const at = plan.steps.findIndex((s) => s.role === 'load');
	if (!plan.pot || at < 0 || (plan.layers?.length ?? 0) > 1 || plan.cups) return undefined;
	const sumS = (steps: PourPlan['steps']) => steps.reduce((sum, s) => sum + s.durationS, 0);
	return {
		gaugeKpa: plan.pot.targetGaugeKpa,
		pouredS: sumS(plan.steps.slice(0, at)),
		pressedS: sumS(plan.steps.slice(at)),
		closeS: sumS(plan.steps.slice(at)) + HANDS_S.pump,
		liquidS: plan.usableS
	};
}

/** Times when hands are wanted: the cast in one go, or one for each layer within the window in which it bonds. */
function blocksOf(plan: PourPlan, workS: number): PullRecipe['blocks'] {
	const pumpS = plan.pot ? HANDS_S.pump : 0;
	const layers = plan.layers ?? [];
	if (layers.length < 2)
		return [{ durationS: (plan.cups?.length ?? 1) * HANDS_S.measure + workS + pumpS, leastS: 0, mostS: 0 }];
	const measureAllS = HANDS_S.measure * layers.length;
	return layers.map((layer, k) => {
		const before = layers[k - 1];
		// a layer that is rolled holds the hands until it stays where it is
		const layS = layer.way === 'roll' ? Math.min(layer.lockS, layer.recoatFromS) : (layer.layS ?? 0);
		const durationS = (k === 0 ? measureAllS : 0) + workS + layS + (k === layers.length - 1 ? pumpS : 0);
		if (!before) return { durationS, leastS: 0, mostS: 0 };
		// all that was measured at the beginning lies before the first pour
		const sinceS = pouredS(layer) - pouredS(before) + (k === 1 ? measureAllS : 0);
		const roomS = Math.max(0, before.recoatUntilS - (pouredS(layer) - pouredS(before)));
		return { durationS, leastS: sinceS, mostS: sinceS + roomS };
	});
}

/** When a layer is poured, s after the first; plans of earlier versions may not say. */
const pouredS = (layer: { pouredS?: number | undefined }) => layer.pouredS ?? 0;

/** How much longer it takes at night. */
function coldFactor(
	{ cure, section, roomTempC, startTempC, mouldTempC }: PourPlan,
	nightTempC: number | null
): number {
	if (nightTempC === null || nightTempC >= roomTempC || !cure || !section) return 1;
	const of = (tempC: number) => {
		const { section: place, mouldWallMm, wall } = section;
		return part({
			resin: cure,
			section: place,
			mouldWallMm,
			...(wall && { wall }),
			startTempC,
			mouldTempC: Math.min(mouldTempC, tempC + 2),
			roomTempC: tempC
		}).demouldS;
	};
	return Math.max(1, of(nightTempC) / of(roomTempC));
}

/** Stock ids of what comes from no tin begin so; the side or the filler follows. */
export const UNBOOKED = 'unbooked/';

function takesOf(plan: PourPlan): PullRecipe['takes'] {
	const { a, b, fillers: tins } = plan.containers ?? {};
	const { aG, bG, catalystG, fillers } = mixedOf(plan);
	const from = (tin: string | undefined, side: string, name: string, massG: number) =>
		massG > 0 ? [{ stockId: tin ?? UNBOOKED + side, name, massG }] : [];
	return [
		...from(a, 'A', bG > 0 ? `${plan.resinName} A` : plan.resinName, aG),
		...from(b, 'B', `${plan.resinName} B`, bG),
		...from(undefined, 'catalyst', `catalyst for ${plan.resinName}`, catalystG),
		...fillers.flatMap((f) => from(tins?.[f.name], `filler/${f.name}`, f.name, f.massG))
	];
}
