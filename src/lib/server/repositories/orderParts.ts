import { costOf, MADE_OF } from '$lib/core/mould';
import { mixedOf, pullRecipe, type CopyParts, type OrderRecord } from '$lib/core/orders';
import type { WorkshopSettings } from '$lib/core/workshop';
import { NotFoundError, RefusedError } from '../errors';
import { keptPlans } from './keptPlans';
import { getMaster } from './masters';
import { getMaterial, getResin, listFillers } from './materials';
import { getMould } from './moulds';
import { getShot, type Shot } from './shots';
import { mouldWear } from './wear';
import { yieldsSeen } from './toPlan';

/** A material of a cup, and what a kilogram of it costs where that is known. */
interface Bought {
	name: string;
	massG: number;
	pricePerKg?: number | undefined;
}

/** What a copy of each line is made of, by the line; nothing for one whose shot cannot be poured as it is. */
export async function partsOfLines(
	{ lines }: OrderRecord,
	settings: WorkshopSettings
): Promise<Record<string, CopyParts>> {
	const found: Record<string, CopyParts> = {};
	for (const line of lines) {
		const parts = await partsOf(line.shotId, settings);
		if (parts) found[line.id] = parts;
	}
	return found;
}

async function partsOf(shotId: string, settings: WorkshopSettings): Promise<CopyParts | undefined> {
	try {
		const shot = await getShot(shotId);
		const [plans, master, resin, fillers, seen] = await Promise.all([
			keptPlans(shot, settings),
			getMaster(shot.masterId),
			getResin(shot.resinId),
			listFillers(),
			yieldsSeen()
		]);
		const [plan] = plans;
		if (!plan) return undefined;
		const recipe = pullRecipe(plan, 0, null);
		// of a cast in layers all of them: the plan's own mass is that of its first cup
		const { aG, bG, catalystG, fillers: mixedIn } = mixedOf(plan);
		const stirredIn = mixedIn.map((f) => ({
			...f,
			pricePerKg: fillers.find((x) => x.record.name === f.name)?.record.pricePerKg
		}));
		const materials: Bought[] = [
			{ name: resin.record.name, massG: aG + bG + catalystG, pricePerKg: resin.record.pricePerKg },
			...stirredIn
		];
		const mould = await mouldShare(plan.moulds.filter((m) => m.masterName === undefined).map((m) => m.id));
		const handsS = recipe.prepS + recipe.demouldS + recipe.blocks.reduce((sum, b) => sum + b.durationS, 0);
		return {
			pieceName: master.record.name,
			resinName: resin.record.name,
			material:
				(ownShare(shot) * materials.reduce((sum, m) => sum + (m.massG * (m.pricePerKg ?? 0)) / 1000, 0)) /
				recipe.copies,
			mould: mould.share / recipe.copies,
			handsS: handsS / recipe.copies,
			potShare: plan.pot ? 1 / recipe.copies : null,
			seen: seen.get(`${master.record.name}\n${resin.record.name}`) ?? { good: 0, scrap: 0 },
			unpriced: [
				...materials.filter((m) => m.pricePerKg === undefined && m.massG > 0).map((m) => m.name),
				...mould.unpriced
			]
		};
	} catch (error) {
		if (error instanceof RefusedError || error instanceof NotFoundError) return undefined;
		throw error;
	}
}

/** Which share of the first cup goes into moulds of the piece itself, 0 to 1. */
function ownShare({ planned }: Shot): number {
	const { pouredMl, alsoMl = 0 } = planned.shot.batches[0]!;
	return 1 - alsoMl / pouredMl;
}

/**
 * What a pull uses up of its moulds: their material by the pulls that they are expected to give in all. Powder and water
 * cost next to nothing; what one cost that was bought or printed nobody is asked.
 */
async function mouldShare(mouldIds: readonly string[]): Promise<{ share: number; unpriced: string[] }> {
	let share = 0;
	const unpriced: string[] = [];
	for (const id of mouldIds) {
		const mould = await getMould(id);
		const { inputs } = mould;
		const madeOf = MADE_OF[inputs.kind];
		if (madeOf === 'powder') continue;
		if (madeOf === 'nothing') {
			unpriced.push(`mould M${mould.number}`);
			continue;
		}
		const { record } = await (madeOf === 'rubber'
			? getMaterial('rubber', inputs.rubberId)
			: getMaterial('thermoplastic', inputs.thermoplasticId));
		const { cost } = costOf(mould.plan, { [madeOf]: record }, inputs.lossPercent);
		if (cost === undefined) unpriced.push(record.name);
		const { forecast } = await mouldWear(mould);
		share += (cost ?? 0) / Math.max(1, mould.pulls + forecast.pullsLeftMedian);
	}
	return { share, unpriced };
}
