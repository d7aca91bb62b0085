import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { costOf, MOULD_MODULES } from '$lib/core/mould';
import { skinOf } from '$lib/core/master/skin';
import { mouldFigures, otherPiece, sprueVolumeMl } from '$lib/core/plan';
import { chemistryOf, containerHealth, containerSpeed, type ContainerRecord } from '$lib/core/shelf';
import { shotInputs } from '$lib/core/shot';
import type { WorkshopSettings } from '$lib/core/workshop';
import { attempt, madeId, orPage } from '$lib/server/forms';
import { listContainers } from '$lib/server/repositories/containers';
import { listMasters, type Master } from '$lib/server/repositories/masters';
import { demouldPresses } from '$lib/server/repositories/demouldPresses';
import { lastLayers } from '$lib/server/repositories/lastLayers';
import { leftOvers } from '$lib/server/repositories/leftOvers';
import { listExperiences } from '$lib/server/repositories/experiences';
import { listMaterials, listResins, listRubbers } from '$lib/server/repositories/materials';
import { listMoulds, mouldsInPours, takesResin, type Mould } from '$lib/server/repositories/moulds';
import { getShot, listShots, saveShot } from '$lib/server/repositories/shots';
import { listVessels, withPot } from '$lib/server/repositories/vessels';
import type { Actions, PageServerLoad } from './$types';

/**
 * What the form begins with: a kept shot that is changed or copied, else the last one that was sized for this mould.
 * Room and air are those of today.
 */
async function begunWith(url: URL, mouldId: string | undefined, settings: WorkshopSettings) {
	const wanted = url.searchParams.get('change') ?? url.searchParams.get('from');
	const shot = wanted
		? await orPage(getShot(wanted))
		: mouldId && (await listShots(LOOKED_THROUGH)).find((s) => s.inputs.mouldIds.includes(mouldId));
	const parsed = shot && shotInputs.safeParse(shot.inputs);
	if (!shot || !parsed || !parsed.success) return undefined;
	const { roomTempC, relativeHumidity } = settings;
	const today = { startTempC: roomTempC, mouldTempC: roomTempC, roomTempC, relativeHumidity };
	// of a shot over several moulds the one that was asked for
	const only =
		!wanted && mouldId && parsed.data.mouldIds.length > 1 ? { mouldIds: [mouldId], copies: 1 } : {};
	return { shot, inputs: { ...parsed.data, ...today, ...only } };
}
/** Shots that are looked through for the last one of a mould. */
const LOOKED_THROUGH = 300;

/** Of a piece the moulds that stand empty; all of them where none does. */
function readyOf(active: readonly Mould[], masterId: string, full: ReadonlySet<string>): string[] {
	const own = active.filter((m) => m.masterId === masterId && takesResin(m));
	const empty = own.filter((m) => !full.has(m.id));
	return (empty.length > 0 ? empty : own).map((m) => m.id);
}

/** As a cup of another piece may fill it; nothing where nobody knows what it takes. */
function asOther(mould: Mould, masters: readonly Master[]) {
	const master = masters.find((m) => m.id === mould.masterId);
	return master && master.volumeMl !== null
		? otherPiece(mould, { record: master.record, volumeMl: master.volumeMl })
		: null;
}

export const load: PageServerLoad = async ({ url, locals }) => {
	const [
		masters,
		resins,
		allMoulds,
		tins,
		releases,
		rubbers,
		experiences,
		fillers,
		recipes,
		colours,
		thermoplastics,
		markCups,
		vessels,
		presses,
		layersBefore,
		full,
		took
	] = await Promise.all([
		listMasters(),
		listResins(),
		listMoulds(),
		listContainers(),
		listMaterials('release'),
		listRubbers(),
		listExperiences(),
		listMaterials('filler'),
		listMaterials('recipe'),
		listMaterials('colour'),
		listMaterials('thermoplastic'),
		listMaterials('cup'),
		listVessels(),
		demouldPresses(),
		lastLayers(),
		mouldsInPours(),
		leftOvers()
	]);
	const active = allMoulds.filter((m) => m.state === 'active');
	const mould = active.find((m) => m.id === url.searchParams.get('mould'));
	const masterId = mould?.masterId ?? url.searchParams.get('master') ?? '';
	const form = await superValidate(zod4(shotInputs));
	const { roomTempC, relativeHumidity } = locals.settings;
	const begun = await begunWith(url, mould?.id, locals.settings);
	Object.assign(
		form.data,
		begun?.inputs ?? {
			masterId: masters.some((m) => m.id === masterId) ? masterId : '',
			mouldIds: mould ? [mould.id] : readyOf(active, masterId, full),
			resinId: resins.find((r) => r.id === url.searchParams.get('resin'))?.id ?? '',
			copies: 1,
			sprueVolumeMl: 0,
			sectionMm: 6,
			kind: 'solid',
			measuring: locals.settings.measuring,
			startTempC: roomTempC,
			mouldTempC: roomTempC,
			roomTempC,
			relativeHumidity
		}
	);
	const today = new Date().toISOString().slice(0, 10);
	const healthOf = (record: ContainerRecord) => {
		const resin = resins.find((r) => r.id === record.materialId);
		return containerHealth(
			record,
			resin ? chemistryOf(resin.record.family) : 'silicone',
			today,
			locals.settings
		);
	};
	const materialsOf = ({ inputs }: Mould) => ({
		rubber: rubbers.find((r) => r.id === inputs.rubberId)?.record,
		thermoplastic: thermoplastics.find((t) => t.id === inputs.thermoplasticId)?.record
	});
	const changed = url.searchParams.has('change') && begun ? begun.shot : undefined;
	return {
		form,
		changed: changed ? { id: changed.id, number: changed.number, version: changed.version } : null,
		begunFrom: begun && !changed ? begun.shot.number : null,
		masters: masters.map((m) => ({ ...m, skin: skinOf(m.record) })),
		resins,
		releases,
		rubbers,
		experiences,
		presses,
		lastLayers: layersBefore,
		took,
		fillers,
		recipes,
		colours,
		thermoplastics,
		cups: markCups.map(({ id, record }) => ({ id, name: record.name, record })),
		settings: locals.settings,
		pots: vessels
			.filter((v) => v.record.kind === 'pot')
			.map((v) => ({
				id: v.id,
				name: v.record.name,
				refused: v.refused,
				settings: withPot(locals.settings, v),
				outOfUse: v.record.outOfUse
			})),
		tins: tins
			.filter((t) => !t.emptied && t.remainingG > 0)
			.map(({ id, record, remainingG, rateFactor }) => ({
				id,
				health: healthOf(record),
				materialId: record.materialId,
				part: record.part,
				remainingG,
				emptied: false,
				speed: containerSpeed(record.slowerPercent, rateFactor)
			})),
		moulds: active.map((m) => ({
			id: m.id,
			number: m.number,
			label: m.label,
			masterId: m.masterId,
			pulls: m.pulls,
			inPour: full.has(m.id),
			face: MOULD_MODULES[m.inputs.kind].thing(m.inputs, materialsOf(m)) ?? null,
			refuses: MOULD_MODULES[m.inputs.kind].refusesResin,
			...mouldFigures(m, masters.find((a) => a.id === m.masterId)?.volumeMl ?? 0),
			other: asOther(m, masters),
			cost: costOf(m.plan, materialsOf(m), m.inputs.lossPercent).cost ?? null,
			sprueMl: sprueVolumeMl(m)
		}))
	};
};

export const actions: Actions = {
	default: async ({ request, url, locals }) => {
		const data = await request.formData();
		const form = await superValidate(data, zod4(shotInputs));
		if (!form.valid) return fail(400, { form });
		const changed = url.searchParams.get('change');
		const version = z.coerce.number().int().min(0).catch(0).parse(url.searchParams.get('version'));
		return attempt(form, async () => {
			const id = await saveShot(form.data, locals.settings, {
				...(changed ? { id: changed, version } : { id: madeId(data) }),
				actor: locals.person
			});
			redirect(303, `/shots/${id}`);
		});
	}
};
