import { randomUUID } from 'node:crypto';
import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { orderForm, orderTyped, recordTyped } from '$lib/core/orders';
import { attempt, madeId, orFail, orPage } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { listMasters } from '$lib/server/repositories/masters';
import { listResins } from '$lib/server/repositories/materials';
import { partsOfLines } from '$lib/server/repositories/orderParts';
import { countLines, getOrder, saveOrder } from '$lib/server/repositories/orders';
import { helpsFor, outlookOf, planNow } from '$lib/server/repositories/plans';
import { listShots } from '$lib/server/repositories/shots';
import { readHours } from '$lib/server/repositories/workHours';
import type { Actions, PageServerLoad } from './$types';

const DAY_MS = 86_400_000;

/** Shots that a line may be cast by, newest first. */
async function shotChoices() {
	const [shots, masters, resins] = await Promise.all([listShots(300), listMasters(), listResins()]);
	return shots.map((s) => ({
		value: s.id,
		label: `S${s.number} ${masters.find((m) => m.id === s.masterId)?.record.name ?? ''}, ${resins.find((r) => r.id === s.resinId)?.record.name ?? ''}`
	}));
}

export const load: PageServerLoad = async (event) => {
	const { params, locals, url } = event;
	const [shots, { hours }] = await Promise.all([shotChoices(), readHours()]);
	if (params.id === 'new') {
		const form = await superValidate(zod4(orderForm));
		const week = orderTyped({ ...form.data, dueAtMs: Date.now() + 7 * DAY_MS, lines: [] }, hours.zone);
		form.data.dueDay = week.dueDay;
		form.data.dueTime = '10:00';
		const shotId = url.searchParams.get('shot') ?? '';
		form.data.lines = [
			{ id: randomUUID(), shotId, copies: undefined as unknown as number, finishMinutes: 0, hardenHours: 24 }
		];
		return {
			form,
			order: null,
			counts: {},
			outlook: null,
			sure: null,
			hindrances: [],
			isProposed: false,
			shots,
			zone: hours.zone,
			parts: {},
			mouldNumbers: {}
		};
	}
	const order = await orPage(getOrder(params.id));
	const [{ followed, proposed, workshop }, counts] = await Promise.all([
		planNow(locals.settings, asker(event)),
		countLines(order.record.lines.map((l) => l.id))
	]);
	return {
		form: await superValidate(orderTyped(order.record, hours.zone), zod4(orderForm)),
		order: { id: order.id, number: order.number, version: order.version },
		counts: Object.fromEntries(counts),
		...outlookOf(order.id, followed, proposed?.kept ?? null),
		shots,
		zone: hours.zone,
		parts: await partsOfLines(order.record, locals.settings),
		mouldNumbers: Object.fromEntries(workshop.moulds.map((m) => [m.id, m.number]))
	};
};

export const actions: Actions = {
	/** What would bring it forward most. */
	helps: async (event) =>
		orFail(
			async () => ({ helps: await helpsFor(event.params.id, event.locals.settings, asker(event)) }),
			(refused) => ({ refused })
		),
	save: async ({ request, params, url, locals }) => {
		const data = await request.formData();
		const form = await superValidate(data, zod4(orderForm));
		if (!form.valid) return fail(400, { form });
		const { hours } = await readHours();
		const record = recordTyped(form.data, hours.zone);
		return attempt(form, async () => {
			const actor = locals.person;
			if (params.id === 'new') redirect(303, `/orders/${await saveOrder(madeId(data), record, { actor })}`);
			await saveOrder(params.id, record, { version: Number(url.searchParams.get('version')), actor });
			return message(form, 'Kept.');
		});
	}
};
