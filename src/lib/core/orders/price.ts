import { mendingS, type CastsSeen } from './mending';
import { yieldOf } from './needed';
import type { OrderRecord } from './order';

/** What one good copy of a line costs, by what it is made of. */
export interface LineCost {
	lineId: string;
	pieceName: string;
	resinName: string;
	copies: number;
	material: number;
	mould: number;
	/** Casting it, taking it out, finishing and mending it. */
	hands: number;
	/** Its share of a cycle of the pot; nothing where it does not go into one. */
	pot: number | null;
	/** Of one good copy: what is thrown away is paid by it. */
	good: number;
	/** What is asked for one, with the margin. */
	price: number;
	total: number;
	/** What of the casts is expected to be thrown away, 0 to 1. */
	scrapShare: number;
	/** How its casts came out so far: with few the share above is mostly what a newcomer is taken for. */
	seen: CastsSeen;
	/** What of it has no price, so that it is in none of these. */
	unpriced: readonly string[];
}

export interface OrderPrice {
	lines: LineCost[];
	cost: number;
	total: number;
	/** What has no price in any line, each once: with it everything costs more. */
	unpriced: readonly string[];
}

/** What a copy of a line is made of. */
export interface CopyParts {
	pieceName: string;
	resinName: string;
	material: number;
	mould: number;
	handsS: number;
	/** Its share of a cycle of the pot, 0 to 1; nothing where it does not go into one. */
	potShare: number | null;
	seen: CastsSeen;
	/** Names of the materials that nobody gave a price. */
	unpriced: readonly string[];
}

/**
 * What an order costs and what is asked for it. Casting (material, the mould's share by its expected life, the pot, hands) is
 * paid by the good ones, with the same expected share of good ones by which the plan casts; finishing and mending are spent on
 * good ones alone. A margin is a share of the price, not of the cost.
 * @param rates what an hour of hands and a cycle of the pot cost; 0: it is not counted
 * @param marginPercent 0 to 95
 * @throws RangeError for a margin that is none
 * @example
 * orderPrice({ lines: [] }, () => undefined, { hourly: 20, potCycle: 0.5 }, 30).total; // 0
 */
export function orderPrice(
	{ lines }: Pick<OrderRecord, 'lines'>,
	partsOf: (lineId: string) => CopyParts | undefined,
	{ hourly, potCycle }: { hourly: number; potCycle: number },
	marginPercent: number
): OrderPrice {
	if (!(marginPercent >= 0 && marginPercent <= 95))
		throw new RangeError(`orderPrice: a margin is 0 to 95 %, got ${marginPercent}`);
	const priced = lines.flatMap((line): LineCost[] => {
		const parts = partsOf(line.id);
		if (!parts) return [];
		const casting = (parts.handsS / 3600) * hourly;
		const after = ((line.finishMinutes * 60 + (mendingS(parts.seen) ?? 0)) / 3600) * hourly;
		const pot = parts.potShare === null ? null : parts.potShare * potCycle;
		const { mean } = yieldOf(parts.seen);
		const good = (parts.material + parts.mould + (pot ?? 0) + casting) / mean + after;
		// asked in whole hundredths, so that a total is the sum of what is read
		const price = Math.ceil((good / (1 - marginPercent / 100)) * 100 - 1e-9) / 100;
		return [
			{
				lineId: line.id,
				pieceName: parts.pieceName,
				resinName: parts.resinName,
				copies: line.copies,
				material: parts.material,
				mould: parts.mould,
				hands: casting + after,
				pot,
				good,
				price,
				total: price * line.copies,
				scrapShare: 1 - mean,
				seen: parts.seen,
				unpriced: parts.unpriced
			}
		];
	});
	return {
		lines: priced,
		cost: priced.reduce((sum, l) => sum + l.good * l.copies, 0),
		total: priced.reduce((sum, l) => sum + l.total, 0),
		unpriced: [...new Set(priced.flatMap((l) => l.unpriced))]
	};
}
