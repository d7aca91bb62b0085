import { readVolume } from '$lib/core/master';
import { orPage } from '$lib/server/forms';
import { photosHere } from '$lib/server/repositories/photos';
import { getMaster } from '$lib/server/repositories/masters';
import type { PageServerLoad } from './$types';

/** Ways of measuring that are right about volume whatever the shape. */
const BY_WATER = new Set(['overflow', 'rise', 'mould-water']);

export const load: PageServerLoad = async ({ params }) => {
	const master = await orPage(getMaster(params.id));
	const water = master.record.readings.findLast((r) => BY_WATER.has(r.method));
	const pictured = master.record.shape?.pictured;
	const here = new Set(await photosHere(pictured?.photoIds ?? []));
	const before = {
		photos: (pictured?.photoIds ?? []).flatMap((id, i) =>
			here.has(id) ? [{ id, strokes: pictured?.painted?.[i] ?? [] }] : []
		),
		rulerMm: pictured?.rulerMm ?? 100,
		flatTop: pictured?.flatTop ?? false
	};
	return { master, before, waterMl: water && readVolume(water).volumeMl };
};
