import type { z } from 'zod';
import { valueOf } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import type { ResinRecord } from '../shelf/resin';
import { shotInputs } from './inputs';
import type { Layer } from './layer';
import type { PlannedShot, ShotContext } from './planned';
import { planShot } from './planShot';

/** A change, and what it does to the shot. */
export interface WhatIf {
	what: string;
	potLifeS: number;
	slackS: number;
	demouldS: number;
	/** Seconds of slack that it gains against the shot as planned. */
	gainS: number;
}

type Typed = z.input<typeof shotInputs>;
export interface OtherResin {
	name: string;
	record: ResinRecord;
}

function figures(planned: PlannedShot, { mixS }: Pick<Typed, 'mixS'>) {
	const first = planned.shot.batches[0]!;
	return {
		potLifeS: first.potLifeS,
		slackS: Math.min(first.slackS, bondSlackS(first.layers ?? [], mixS ?? 45)),
		demouldS: planned.shot.demouldS
	};
}

/** Of a cast in layers: how much later than planned the next could come and still bond, where that is least, s. */
function bondSlackS(layers: readonly Layer[], mixS: number): number {
	const slacks = layers.flatMap((l, i) => {
		const below = layers[i - 1];
		return below && l.combinedS !== undefined ? [below.recoatUntilS - (l.combinedS + mixS)] : [];
	});
	return Math.min(Infinity, ...slacks);
}

/** How a cast that is laid in layers is made, and what does not belong to it. */
const isLayered = (planned: PlannedShot) => Boolean(planned.shot.batches[0]!.layers);

/** The shot with something changed; nothing where that leads out of range. */
function tried(what: string, inputs: Typed, context: ShotContext, slackS: number): WhatIf[] {
	const f = valueOf(outcomeOf(() => figures(planShot(shotInputs.parse(inputs), context, false), inputs)));
	return f ? [{ what, ...f, gainS: f.slackS - slackS }] : [];
}

/** Steps by which temperatures, masses and hands go wrong at a bench (defaults of ours). */
const DEG = 3;
const LATE_S = 20;
const COOL_C = 5;

/**
 * What happens when the room, the mass or the hands are not as planned.
 * @throws ZodError when the input is outside its schema.
 * @example
 * sensitivity(inputs({ kind: 'solid' }), context).length; // 5
 */
export function sensitivity(inputs: Typed, context: ShotContext): WhatIf[] {
	const parsed = shotInputs.parse(inputs);
	const planned = planShot(parsed, context, false);
	const { slackS } = figures(planned, parsed);
	const warmer = (by: number) => ({
		...parsed,
		roomTempC: parsed.roomTempC + by,
		mouldTempC: parsed.mouldTempC + by,
		startTempC: parsed.startTempC + by
	});
	const larger = (by: number): ShotContext => ({
		...context,
		cavityVolumeMl: context.cavityVolumeMl * by,
		...(context.skinAreaMm2 === undefined ? {} : { skinAreaMm2: context.skinAreaMm2 * by })
	});
	/** More or less resin: of a wall by its thickness, of a filled cavity by what it holds. */
	const by = (share: number, what: string) =>
		isLayered(planned) && !parsed.layerRows.length
			? tried(what, { ...parsed, wallMm: parsed.wallMm * share }, larger(share), slackS)
			: tried(what, parsed, larger(share), slackS);
	return [
		...tried(`${DEG} °C warmer`, warmer(DEG), context, slackS),
		...tried(`${DEG} °C colder`, warmer(-DEG), context, slackS),
		...by(1.1, '10 % more in the cup'),
		...by(0.9, '10 % less in the cup'),
		...tried(`${LATE_S} s late`, { ...parsed, mixS: parsed.mixS + LATE_S }, context, slackS)
	];
}

/**
 * What would give time, the most first; each on its own.
 * @throws ZodError when the input is outside its schema.
 * @example
 * whatHelps(inputs({ kind: 'solid' }), context, []).length; // 3
 */
export function whatHelps(inputs: Typed, context: ShotContext, others: readonly OtherResin[]): WhatIf[] {
	const parsed = shotInputs.parse(inputs);
	const planned = planShot(parsed, context, false);
	const { slackS } = figures(planned, parsed);
	const layered = isLayered(planned);
	const first = planned.shot.batches[0]!;
	const cooler = { ...parsed, startTempC: parsed.startTempC - COOL_C };
	const found = [
		...tried(`resin ${COOL_C} °C cooler`, cooler, context, slackS),
		...tried(
			`mould ${COOL_C} °C cooler`,
			{ ...parsed, mouldTempC: parsed.mouldTempC - COOL_C },
			context,
			slackS
		),
		...tried('a second pair of hands', { ...parsed, hands: (parsed.hands ?? 1) + 1 }, context, slackS),
		...(layered
			? [
					...tried('mixing in half the time', { ...parsed, mixS: parsed.mixS / 2 }, context, slackS),
					...(first.layers!.length < 12 && !parsed.layerRows.length
						? tried(
								'one layer more, each thinner',
								{ ...parsed, layers: first.layers!.length + 1 },
								context,
								slackS
							)
						: [])
				]
			: tried(
					'a syringe at the sprue, pouring in half the time',
					{ ...parsed, pourS: parsed.pourS / 2, pourWay: 'syringe' },
					context,
					slackS
				)),
		...(first.copies > 1
			? tried(`${first.copies - 1} at a time`, { ...parsed, copies: first.copies - 1 }, context, slackS)
			: []),
		...others.flatMap((o) => {
			// another tin has its own speed, which is not known here
			const own = { ...context, resin: o.record, rateFactor: undefined };
			return tried(o.name, parsed, own, slackS);
		})
	];
	return found.filter((w) => w.gainS > 1).sort((a, b) => b.gainS - a.gainS);
}

/** Everything that the shot page asks beside the shot itself. */
export const whatIf = (inputs: Typed, context: ShotContext, others: readonly OtherResin[]) => ({
	sensitivity: sensitivity(inputs, context),
	helps: whatHelps(inputs, context, others)
});
