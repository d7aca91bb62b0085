import { atmosphereKpa } from './atmosphere';
import { pumpUpS, type Delivery } from './delivery';
import { packShelf, type Footprint, type Placed } from './packing';
import { pot } from './pressurePot';
import type { VesselRecord } from './vessel';

/** A mould that is to go in. */
export interface Load {
	name: string;
	footprint: Footprint;
	heightMm: number;
	/** Room that it takes, ml. */
	outsideMl: number;
}

interface ShelfPlan {
	clearMm: number;
	placed: (Placed & { load: number })[];
}

export interface LoadPlan {
	shelves: ShelfPlan[];
	/** Indices of what did not go in, with why. */
	left: { load: number; why: string }[];
	contentsL: number;
	freeL: number;
	timeToPressureS: number;
	bubbleDiameterRatio: number;
	bubbleVolumeRatio: number;
	storedEnergyJ: number;
	/** Before the resin has gelled, s; less than nothing: it comes too late. Nothing when gel is not known. */
	slackS?: number;
}

/** Kept free round each mould so that air and fingers get in, mm (a default of ours). */
export const LOAD_GAP_MM = 6;

/**
 * The vessel's compressor as one or two points.
 * @example
 * deliveryOf(pressure); // { freeAirLPerMin: 90 }
 */
export function deliveryOf(v: VesselRecord): Delivery {
	return {
		freeAirLPerMin: v.freeAirLPerMin ?? 1,
		...(v.secondGaugeKpa !== undefined && v.secondLPerMin !== undefined
			? { second: { gaugeKpa: v.secondGaugeKpa, freeAirLPerMin: v.secondLPerMin } }
			: {})
	};
}

/**
 * Which moulds go in together on which shelf: the lowest clear height that takes a mould gets it first, so that
 * tall room stays for tall moulds.
 * @param gelS when the resin gels after the pump is started, s; absent: not known
 * @throws InputError past the rating, never worked out
 * @example
 * planLoad(
 *   pressure,
 *   [{ name: 'M4', footprint: { shape: 'round', diameterMm: 80 }, heightMm: 90, outsideMl: 450 }],
 *   { altitudeM: 0 }
 * ).left; // []
 */
export function planLoad(
	vessel: VesselRecord,
	loads: readonly Load[],
	about: { altitudeM: number; gelS?: number | undefined; targetGaugeKpa?: number | undefined }
): LoadPlan {
	const heights = vessel.shelvesMm.map((clearMm, shelf) => ({ clearMm, shelf }));
	const tallest = Math.max(...vessel.shelvesMm);
	const left: LoadPlan['left'] = [];
	const byHeight = loads
		.map((l, load) => ({ ...l, load }))
		.filter((l) => {
			if (l.heightMm <= tallest) return true;
			left.push({
				load: l.load,
				why: `stands ${Math.round(l.heightMm)} mm high; the tallest shelf has ${Math.round(tallest)} mm`
			});
			return false;
		})
		.sort((a, b) => b.heightMm - a.heightMm);
	const on = vessel.shelvesMm.map(() => ({ list: [] as typeof byHeight, placed: [] as Placed[] }));
	const pack = (list: typeof byHeight) =>
		packShelf(
			list.map((l) => l.footprint),
			vessel.diameterMm,
			LOAD_GAP_MM
		);
	for (const l of byHeight) {
		const able = heights.filter((h) => h.clearMm >= l.heightMm).sort((a, b) => a.clearMm - b.clearMm);
		const home = able.find(({ shelf }) => {
			const list = [...on[shelf]!.list, l];
			const placed = pack(list);
			const all = placed.length === list.length;
			if (all) on[shelf] = { list, placed };
			return all;
		});
		if (home) continue;
		const alone = pack([l]).length === 1;
		left.push({
			load: l.load,
			why: alone
				? 'no shelf that is high enough has room left'
				: `too wide for a pot of ${Math.round(vessel.diameterMm)} mm across`
		});
	}
	const shelves = vessel.shelvesMm.map((clearMm, shelf): ShelfPlan => {
		const { list, placed } = on[shelf]!;
		return { clearMm, placed: placed.map((p) => ({ ...p, load: list[p.index]!.load })) };
	});
	const inside = shelves.flatMap((s) => s.placed.map((p) => p.load));
	const contentsL = inside.reduce((sum, i) => sum + loads[i]!.outsideMl / 1000, 0);
	const gaugeKpa = about.targetGaugeKpa ?? vessel.targetGaugeKpa ?? 0;
	const air = pot({
		gaugeKpa,
		altitudeM: about.altitudeM,
		potVolumeL: vessel.volumeL,
		contentsL: Math.min(contentsL, vessel.volumeL * 0.98),
		freeAirLPerMin: vessel.freeAirLPerMin ?? 1,
		ratedGaugeKpa: vessel.ratedGaugeKpa ?? 0
	});
	const freeL = vessel.volumeL - contentsL;
	const timeToPressureS = pumpUpS(
		Math.max(0, freeL),
		gaugeKpa,
		deliveryOf(vessel),
		atmosphereKpa(about.altitudeM)
	);
	return {
		shelves,
		left,
		contentsL,
		freeL,
		timeToPressureS,
		bubbleDiameterRatio: air.bubbleDiameterRatio,
		bubbleVolumeRatio: air.bubbleVolumeRatio,
		storedEnergyJ: air.storedEnergyJ,
		...(about.gelS === undefined ? {} : { slackS: about.gelS - timeToPressureS })
	};
}
