import type { ShotBatch } from './batch';

/** A part of which the tins in use hold less than an order takes. */
export interface PartShort {
	part: 'A' | 'B';
	needG: number;
	leftG: number;
}

/**
 * What a whole order takes of both parts, g: every cup of every batch, each layer's and each colour's.
 * @example
 * orderTakesG(planShot(inputs({ kind: 'solid' }), context, false).shot.batches); // { aG: 53.543, bG: 48.189 }
 */
export function orderTakesG(batches: readonly Pick<ShotBatch, 'a' | 'b' | 'layers' | 'cups'>[]): {
	aG: number;
	bG: number;
} {
	const cups = batches.flatMap((b): readonly Pick<ShotBatch, 'a' | 'b'>[] => b.layers ?? b.cups ?? [b]);
	return {
		aG: cups.reduce((sum, c) => sum + c.a.massG, 0),
		bG: cups.reduce((sum, c) => sum + c.b.massG, 0)
	};
}

/**
 * Parts that the shelf is short of for an order. A part of which no tin is known is nobody's business here.
 * @param tins those in use of this resin; `whole` is a resin that is sold as one part
 * @example
 * shortOnShelf(planShot(inputs({ kind: 'solid' }), context, false).shot.batches, [
 *   { part: 'A', remainingG: 5 }
 * ]); // [{ part: 'A', needG: 53.543, leftG: 5 }]
 */
export function shortOnShelf(
	batches: Parameters<typeof orderTakesG>[0],
	tins: readonly { part: 'A' | 'B' | 'whole'; remainingG: number }[]
): PartShort[] {
	const { aG, bG } = orderTakesG(batches);
	const held = (parts: readonly string[]) => tins.filter((t) => parts.includes(t.part));
	return [
		{ part: 'A' as const, needG: aG, of: held(['A', 'whole']) },
		{ part: 'B' as const, needG: bG, of: held(['B']) }
	]
		.map(({ of, ...p }) => ({
			...p,
			known: of.length > 0,
			leftG: of.reduce((sum, t) => sum + t.remainingG, 0)
		}))
		.filter((p) => p.known && p.needG > p.leftG)
		.map(({ part, needG, leftG }) => ({ part, needG, leftG }));
}
