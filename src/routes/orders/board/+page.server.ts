import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { handsTimes, type Planned } from '$lib/core/orders';
import { asker } from '$lib/server/heavy/asker';
import { orFail } from '$lib/server/forms';
import { followImproved, pinActivity, planNow } from '$lib/server/repositories/plans';
import { getMould } from '$lib/server/repositories/moulds';
import { readHours, saveHours } from '$lib/server/repositories/workHours';
import type { Actions, PageServerLoad } from './$types';

/** So many days are drawn at most. */
const MOST_DAYS = 35;

/** What the board shows of an activity: a fortnight has hundreds. */
function drawnOf(a: Planned): Planned {
	const { id, part, startMs, endMs, hands, orderId, lineId, number, pieceName, moulds, potId, pinned, load } =
		a;
	return { id, part, startMs, endMs, hands, orderId, lineId, number, pieceName, moulds, potId, pinned, load };
}

export const load: PageServerLoad = async (event) => {
	const { followed, proposed, workshop } = await planNow(event.locals.settings, asker(event));
	const { nowMs, hours } = workshop;
	const plan = followed?.plan;
	const lastMs = Math.max(plan?.finishMs ?? nowMs, ...workshop.orders.map((o) => o.dueAtMs));
	const days = Math.min(MOST_DAYS, Math.max(2, Math.ceil((lastMs - nowMs) / 86_400_000) + 1));
	return {
		proven: plan?.proven ?? false,
		activities: (plan?.activities ?? []).map(drawnOf),
		openings: handsTimes(hours, nowMs, days).map((o) => ({
			fromMs: nowMs + o.fromS * 1000,
			untilMs: nowMs + o.untilS * 1000,
			hands: o.hands
		})),
		days,
		zone: hours.zone,
		startMs: nowMs,
		orders: workshop.orders.map(({ id, name, dueAtMs }) => ({ id, name, dueAtMs })),
		moulds: workshop.moulds.map(({ id, number, label }) => ({
			id,
			number,
			label,
			out: hours.keptOut.includes(id)
		})),
		pots: workshop.pots.map(({ id, name }) => ({ id, name })),
		finishMs: plan?.finishMs ?? null,
		boundMs: plan?.boundMs ?? null,
		conflict: plan?.conflict ?? [],
		proposed: proposed && { restsOn: proposed.kept.restsOn, words: proposed.differences.words }
	};
};

const asked = z.object({
	id: z.string().min(1).max(120),
	/** Empty lets it go again. */
	startMs: z.union([
		z.literal('').transform(() => null),
		z.coerce.number().int().min(0).max(4_102_444_800_000)
	])
});

const improved = z.record(z.string().max(120), z.number().int().min(0).max(4_102_444_800_000));

export const actions: Actions = {
	/** What a better plan is looked for from, in the page’s own worker. */
	workshop: async (event) => {
		const { followed, workshop } = await planNow(event.locals.settings, asker(event));
		const { activities, lateWeightedS, finishMs } = followed?.plan ?? {};
		return {
			workshop,
			startsMs: Object.fromEntries((activities ?? []).map((a) => [a.id, a.startMs])),
			lateWeightedS: lateWeightedS ?? 0,
			finishMs: finishMs ?? workshop.nowMs
		};
	},
	/** Follows a plan that this page has found; it is checked here. */
	improved: async (event) => {
		const data = await event.request.formData();
		const text = String(data.get('starts') ?? '');
		const asOfMs = Number(data.get('asOfMs'));
		let typed: unknown;
		try {
			typed = JSON.parse(text);
		} catch {
			typed = undefined;
		}
		const starts = improved.safeParse(typed);
		if (!starts.success)
			return fail(400, { refused: 'The plan could not be read: look for it again.', id: '' });
		return orFail(
			async () => {
				const { settings, person } = event.locals;
				return { words: (await followImproved(starts.data, asOfMs, settings, asker(event), person)).words };
			},
			(refused) => ({ refused, id: '' })
		);
	},
	/** Keeps a mould out of the plan, or lets it in again. */
	keepOut: async ({ request, url, locals }) => {
		const data = await request.formData();
		const [id, out] = [String(data.get('mouldId') ?? ''), url.searchParams.get('out') === 'yes'];
		return orFail(
			async () => {
				const { number } = await getMould(id);
				const { hours, version } = await readHours();
				const rest = hours.keptOut.filter((m) => m !== id);
				await saveHours({ ...hours, keptOut: out ? [...rest, id] : rest }, version, locals.person);
				return { words: [out ? `M${number} is kept out of the plan.` : `M${number} is planned with again.`] };
			},
			(refused) => ({ refused, id: '' })
		);
	},
	/** Puts an activity to a time, or lets it go again. */
	pin: async (event) => {
		const typed = asked.safeParse(Object.fromEntries(await event.request.formData()));
		if (!typed.success) return fail(400, { refused: 'Say which activity, and when it begins.', id: '' });
		const { id, startMs } = typed.data;
		const moved = await orFail(
			async () => {
				const { settings, person } = event.locals;
				return { words: (await pinActivity(id, startMs, settings, asker(event), person)).words };
			},
			(refused) => ({ refused, id })
		);
		return moved;
	}
};
