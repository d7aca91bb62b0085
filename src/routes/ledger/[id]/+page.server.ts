import { pictureActions } from '$lib/server/pictureActions';
import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { cup } from '$lib/core/cure';
import { CAUSE_IDS, rankCauses, type Evidence, type Fault } from '$lib/core/faults';
import { valueOf } from '$lib/core/outcome';
import { fieldErrors } from '$lib/core/fieldErrors';
import { outcomeOf } from '$lib/core/outcomeOf';
import { dewPointC } from '$lib/core/humidity';
import { addition, correction } from '$lib/core/ledger';
import { clockCups, resinIn, type PourPlan } from '$lib/core/plan';
import {
	counts,
	cutShortOf,
	evidenceOf,
	inOrder,
	layerStories,
	reducePour,
	stepsOf,
	type PourState
} from '$lib/core/bench';
import { FAULTS } from '$lib/core/faults';
import { chemistryOf } from '$lib/core/shelf';
import { orFail, orPage } from '$lib/server/forms';
import { actingOf } from '$lib/server/people/acting';
import { getContainer, openingsBy } from '$lib/server/repositories/containers';
import type { Pull } from '$lib/core/ledger';
import { getPull } from '$lib/server/repositories/ledger';
import {
	addFindings,
	confirmCause,
	confirmedCauses,
	correctPull,
	listCorrections
} from '$lib/server/repositories/ledgerCorrections';
import { listPictures } from '$lib/server/repositories/pictures';
import { ordersOfPours } from '$lib/server/repositories/orders';
import { listResins } from '$lib/server/repositories/materials';
import { devicesOf } from '$lib/server/repositories/benchEvents';
import { getPour, readEvents } from '$lib/server/repositories/pours';
import { listInspections } from '$lib/server/repositories/wear';
import { worstSign } from '$lib/core/wear';
import type { Actions, PageServerLoad } from './$types';

const DAY_MS = 86_400_000;
const AIR = ['roomTempC', 'mouldTempC', 'relativeHumidity'];
const SHOWN_CAUSES = 5;

/** What other books say of a pull: its tins as they were, the mould's pulls and last look before it. */
async function aroundOf(pull: Pull, plan: PourPlan | undefined) {
	const atMs = pull.combinedAt.getTime();
	const ids = [plan?.containers?.a, plan?.containers?.b].filter((id): id is string => Boolean(id));
	const [inspections, tins] = await Promise.all([
		listInspections(pull.mouldId),
		Promise.all(ids.map((id) => getContainer(id).catch(() => undefined)))
	]);
	const inspection = inspections.filter((l) => l.at.getTime() <= atMs).at(-1);
	const wear = inspection && worstSign(inspection.inspection.scores)?.score;
	const open = tins.flatMap((t) => (t?.record.openedOn ? [Date.parse(t.record.openedOn)] : []));
	const days = open.map((ms) => (atMs - ms) / DAY_MS).filter((d) => d >= 0);
	const openings = await Promise.all(tins.flatMap((t) => (t ? [openingsBy(t, pull.combinedAt)] : [])));
	return {
		mouldPulls: pull.pullNumber,
		...(wear === undefined ? {} : { mouldWear: wear }),
		...(days.length ? { tinDays: Math.max(...days) } : {}),
		...(openings.length ? { tinOpenings: Math.max(...openings) } : {})
	};
}

/** What its resin is by the shelf, where a notebook's name is found there. */
async function chemistryByName(resinName: string): Promise<Evidence['chemistry']> {
	const name = resinName.trim().toLowerCase();
	const resin = (await listResins()).find((r) => r.record.name.toLowerCase() === name);
	return resin && chemistryOf(resin.record.family);
}

/** The log of its pour, with air and mould as the ledger has them now: a correction counts. */
function evidenceFor(
	{ body }: Pull,
	known: boolean,
	plan: PourPlan | undefined,
	state: PourState | undefined,
	around: Awaited<ReturnType<typeof aroundOf>>,
	chemistry: Evidence['chemistry']
): Evidence {
	const { roomTempC, relativeHumidity, mouldTempC } = body;
	if (plan && state) {
		// what stands there unread and uncorrected is the plan's, and no evidence
		if (!known) return evidenceOf(plan, state, around);
		const air = {
			roomTempC: roomTempC ?? plan.roomTempC,
			relativeHumidity: relativeHumidity ?? plan.relativeHumidity,
			mouldTempC: mouldTempC ?? plan.mouldTempC
		};
		return evidenceOf(plan, { ...state, air }, around);
	}
	const whole = roomTempC !== null && relativeHumidity !== null && mouldTempC !== null;
	return {
		...(chemistry ? { chemistry } : {}),
		...around,
		...(relativeHumidity === null ? {} : { relativeHumidity }),
		...(mouldTempC === null ? {} : { mouldTempC }),
		...(whole ? { dewMarginC: mouldTempC - dewPointC({ tempC: roomTempC, relativeHumidity }) } : {})
	};
}

/** Cup and pot as they were, beside what was foretold. */
function curvesOf(plan: PourPlan, state: PourState, pressure: { atMs: number; gaugeKpa: number }[]) {
	const from = state.combinedAtMs;
	if (from === undefined) return null;
	const all = clockCups(plan).map((c, i) => ({
		name: plan.cups?.[i]?.name ?? (plan.layers && plan.layers.length > 1 ? `layer ${i + 1}` : ''),
		foretold: foretoldOf(plan, c, state),
		read: state.temps.filter((t) => t.cup === i).map(({ timeS, tempC }) => ({ timeS, tempC }))
	}));
	// what was never read is told of by the first alone
	const read = all.filter((c) => c.read.length > 0);
	return {
		cups: read.length > 0 ? read : all.slice(0, 1),
		pressure: pressure.map((p) => ({ timeS: (p.atMs - from) / 1000, gaugeKpa: p.gaugeKpa })),
		targetGaugeKpa: plan.pot?.targetGaugeKpa ?? null,
		potLifeS: plan.potLifeS
	};
}

/** How warm a cup was foretold to become, until it was too thick or last read. */
function foretoldOf(plan: PourPlan, of: ReturnType<typeof clockCups>[number], state: PourState) {
	const { cure, roomTempC } = plan;
	if (!cure) return [];
	const asked = { resin: resinIn(of, cure), massG: of.massG, startTempC: of.startTempC, roomTempC };
	const until = Math.max(plan.potLifeS * 1.3, ...state.temps.map((t) => t.timeS));
	const series = valueOf(outcomeOf(() => cup(asked).series)) ?? [];
	return series.filter((p) => p.timeS <= until).map(({ timeS, tempC }) => ({ timeS, tempC }));
}

export const load: PageServerLoad = async ({ params }) => {
	const pull = await orPage(getPull(params.id));
	const [pour, known, corrections, confirmed, photos, orders] = await Promise.all([
		pull.pourId ? getPour(pull.pourId) : undefined,
		pull.pourId ? readEvents(pull.pourId) : undefined,
		listCorrections(pull.id),
		confirmedCauses(pull.id),
		listPictures('pull', pull.id),
		ordersOfPours([pull.pourId])
	]);
	const plan = pour?.plan;
	const events = known?.events ?? [];
	const state = plan && reducePour(stepsOf(plan), events);
	const around = await aroundOf(pull, plan);
	const chemistry = plan ? plan.chemistry : await chemistryByName(pull.resinName);
	const evidence = evidenceFor(
		pull,
		pull.body.conditionsRead || corrections.some((c) => AIR.includes(c.field)),
		plan,
		state,
		around,
		chemistry
	);
	return {
		pull,
		plan: plan ?? null,
		shotId: plan?.shotId ?? null,
		order: orders.get(pull.pourId ?? '') ?? null,
		events: inOrder(events),
		devices: pull.pourId ? await devicesOf(pull.pourId) : {},
		cut: plan && state ? cutShortOf(plan, stepsOf(plan), state) : {},
		layers: plan && state ? layerStories(plan, state) : [],
		corrections,
		photos,
		causes: pull.body.faults
			.filter((f): f is Fault => (FAULTS as readonly string[]).includes(f))
			.map((fault) => ({
				fault,
				confirmed: confirmed.here[fault] ?? null,
				ranked: rankCauses(fault, evidence, confirmed.all[fault] ?? {}).slice(0, SHOWN_CAUSES)
			})),
		curves:
			plan && state
				? curvesOf(
						plan,
						state,
						events.flatMap((e) =>
							e.kind === 'pressure-read' && e.gaugeKpa !== undefined && counts(e)
								? [{ atMs: e.atMs, gaugeKpa: e.gaugeKpa }]
								: []
						)
					)
				: null
	};
};

const given = (key: string, value: number | undefined) => (value === undefined ? {} : { [key]: value });

const NUMBERS = ['massG', 'roomTempC', 'mouldTempC', 'relativeHumidity', 'copies'];

export const actions: Actions = {
	correct: async ({ params, request, locals }) => {
		const data = await request.formData();
		const field = String(data.get('field') ?? '');
		const raw = String(data.get('to') ?? '');
		const typed = {
			field,
			to: NUMBERS.includes(field)
				? raw === ''
					? undefined
					: Number(raw)
				: field === 'faults'
					? data.getAll('fault').map(String)
					: raw,
			// whoever is signed in stands for what they correct
			who: actingOf(locals, String(data.get('who') ?? '')),
			why: String(data.get('why') ?? '')
		};
		const parsed = correction.safeParse(typed);
		const id = z.uuid().safeParse(data.get('entry'));
		if (!parsed.success || !id.success)
			return fail(400, {
				problems: Object.fromEntries(
					(parsed.success ? [] : (fieldErrors(parsed.error) ?? [])).map((e) => [
						e.path.split('.')[0]!,
						e.message
					])
				)
			});
		return orFail(
			async () => {
				await correctPull(params.id, id.data, parsed.data, new Date(), locals.person);
				return { corrected: true };
			},
			(to) => ({ problems: { to } })
		);
	},
	add: async ({ params, request, locals }) => {
		const data = await request.formData();
		const typed = (name: string) => {
			const raw = String(data.get(name) ?? '');
			return raw === '' ? undefined : Number(raw);
		};
		const sizeMm = typed('sizeMm');
		const parsed = addition.safeParse({
			findings: {
				...given('castMassG', typed('castMassG')),
				...given('reworkS', typed('reworkS')),
				...(sizeMm === undefined
					? {}
					: { sizeMm, sizeOf: String(data.get('sizeOf') ?? ''), ...given('masterMm', typed('masterMm')) })
			},
			who: actingOf(locals, String(data.get('who') ?? ''))
		});
		const id = z.uuid().safeParse(data.get('entry'));
		if (!parsed.success || !id.success)
			return fail(400, {
				addProblems: Object.fromEntries(
					(parsed.success ? [] : (fieldErrors(parsed.error) ?? [])).map((e) => [
						e.path.split('.').at(-1)!,
						e.message
					])
				)
			});
		return orFail(
			async () => {
				await addFindings(params.id, id.data, parsed.data, new Date(), locals.person);
				return { added: true };
			},
			(findings) => ({ addProblems: { findings } })
		);
	},
	cause: async ({ params, request, locals }) => {
		const data = await request.formData();
		const fault = FAULTS.find((f) => f === data.get('fault'));
		const cause = CAUSE_IDS.find((c) => c === data.get('cause'));
		if (!fault || !cause) return fail(400, { problems: { cause: 'There is no such cause.' } });
		await orPage(getPull(params.id));
		await confirmCause(params.id, fault, cause, new Date(), locals.person);
	},
	...pictureActions('pull')
};
