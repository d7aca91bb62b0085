import type { MouldInputs, MouldKind, MouldPlan } from '../mould';
import { OPEN_CURE_KINDS } from './words';

/** Everything that making one mould needs at the bench; fixed when it is begun. */
export interface MakingPlan {
	number: number;
	label: string;
	masterName: string;
	kind: MouldKind;
	materialName: string;
	cureKind?: 'addition' | 'condensation';
	/** How the face of the master is closed, if it is porous. */
	sealing: string;
	release?: { name: string; flashOffS: number; powder: boolean };
	shape: MouldInputs['shape'];
	seamSide: MouldInputs['seamSide'];
	degas: MouldInputs['degas'];
	vacuum?: { risenMl: number; vesselMl: number; pumpDownS: number; takesS: number };
	pours: {
		name: string;
		massG: number;
		aG?: number;
		bG?: number;
		thickenerG?: number;
		/** Mixes that the scale, the cup and the vessel need. */
		mixes: number;
		/** After it is in place, until the next step may touch it, s. */
		setS: number;
	}[];
	workingTimeS: number;
	/** Jacket: parts of the shell and how long each sets. */
	shell?: {
		kind: 'resin' | 'plaster';
		parts: number;
		setS: number;
		massEachG: number;
		layers: number;
		bolts: number;
	};
	/** Press: how hot and how long each half is softened. */
	soften?: { tempC: number; softenS: number };
	/** Volume that the finished cavity should take, ml. */
	masterVolumeMl: number;
	cavities: number;
}

/** Time from the pour until what was poured may be handled, for each pour of a plan. */
export function settingTimes(plan: MouldPlan): number[] {
	const { pours, readyInS } = plan;
	if (plan.kind === 'jacket') {
		// the last coat cures out before the shell; the shell's own times come after it
		const between = pours.length > 1 ? pours[1]!.startS : 0;
		const shellS = plan.jacket!.shell.parts * shellSetS(plan);
		const last = readyInS - shellS - (pours.length - 1) * between;
		return pours.map((_, i) => (i < pours.length - 1 ? between : last));
	}
	return pours.map(() => readyInS / Math.max(1, pours.length));
}

/** Time for one part of the shell to set, s. */
export function shellSetS(plan: MouldPlan): number {
	return OPEN_CURE_KINDS[plan.jacket!.shell.kind];
}
