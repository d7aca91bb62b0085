import type { Grade } from '../bench';
import type { CycleBody, PullBody } from '../openData/bodies';

/** One pour of one mould as the ledger holds it. */
export interface Pull {
	id: string;
	/** Nothing for a pull out of an old notebook. */
	pourId: string | null;
	mouldId: string;
	mouldNumber: number;
	mouldLabel: string;
	/** Which pull of its mould this was: 1 is the first. */
	pullNumber: number;
	masterName: string;
	resinName: string;
	copies: number;
	grade: Grade;
	combinedAt: Date;
	body: PullBody;
}

/** A pull as a row of a list. */
export interface PullLine {
	id: string;
	mouldId: string;
	mouldNumber: number;
	mouldLabel: string;
	pullNumber: number;
	resinName: string;
	grade: Grade;
	faults: PullBody['faults'];
	combinedAtMs: number;
	massG: PullBody['massG'];
	roomTempC: PullBody['roomTempC'];
	relativeHumidity: PullBody['relativeHumidity'];
	pouredByS?: number;
	/** It was settled, or in layers filled, after the pot life of its cup. */
	late: boolean;
	/** Reached, else aimed at. */
	potGaugeKpa?: number;
}

/**
 * Whether something came after the pot life of the cup that fills the cast: of layers each has a cup and a pot life of its
 * own. A pull of an earlier version says nothing of its cups; whether one that was planned past its pot life, as only
 * layers are, ran over is not known, and not said.
 * @param body a pull's own figures, s after its first cup was combined.
 * @param atS what came then, s; nothing where it did not come.
 * @example
 * isPastPotLife(pulled.body, 140); // false
 * isPastPotLife(pulled.body, 160); // true
 */
export function isPastPotLife(
	{ planned, real }: Pick<PullBody, 'planned' | 'real'>,
	atS: number | undefined
): boolean {
	if (atS === undefined || planned.potLifeS <= 0) return false;
	if (real.lastCupFromS !== undefined)
		return atS - real.lastCupFromS > (planned.lastCupPotLifeS ?? planned.potLifeS);
	return planned.pouredByS <= planned.potLifeS && atS > planned.potLifeS;
}

/**
 * A pull as the lists show it.
 * @example
 * pullLine(pulled).late; // false
 */
export function pullLine(pull: Pull): PullLine {
	const { body } = pull;
	const { pouredByS, settledByS } = body.real;
	const inLayers = body.planned.lastCupPotLifeS !== undefined;
	return {
		id: pull.id,
		mouldId: pull.mouldId,
		mouldNumber: pull.mouldNumber,
		mouldLabel: pull.mouldLabel,
		pullNumber: pull.pullNumber,
		resinName: pull.resinName,
		grade: pull.grade,
		faults: body.faults,
		combinedAtMs: pull.combinedAt.getTime(),
		massG: body.massG,
		roomTempC: body.roomTempC,
		relativeHumidity: body.relativeHumidity,
		// a layer is turned until it gels: what counts is that it was spread in time
		late: isPastPotLife(body, inLayers ? pouredByS : settledByS),
		...(pouredByS === undefined ? {} : { pouredByS }),
		...(body.pot ? { potGaugeKpa: body.pot.reachedGaugeKpa ?? body.pot.targetGaugeKpa } : {})
	};
}

/** A correction of a pull: the old value stays beside the new one, with who, when and why. */
export interface KeptCorrection {
	id: string;
	at: Date;
	field: string;
	from: unknown;
	to: unknown;
	who: string;
	why: string;
}

/** One time under pressure or vacuum. */
export interface Cycle {
	id: string;
	pourId: string | null;
	at: Date;
	body: CycleBody;
}
