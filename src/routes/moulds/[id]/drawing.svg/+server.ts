import { toSvg } from '$lib/core/drawing';
import { drawMould, sideBySide } from '$lib/core/mould';
import { formatQuantity } from '$lib/core/units';
import { orPage } from '$lib/server/forms';
import { getMaster } from '$lib/server/repositories/masters';
import { getMould } from '$lib/server/repositories/moulds';
import type { RequestHandler } from './$types';

/** Section and plan to scale, in millimetres, for a cutter or a drawing program. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const mould = await orPage(getMould(params.id));
	const master = await getMaster(mould.masterId);
	const show = (mm: number) => formatQuantity(mm, 'length', locals.settings.units);
	const drawing = sideBySide(drawMould(mould.inputs, mould.plan, master.record, show));
	return new Response(toSvg(drawing, `M${mould.number} ${mould.label}`), {
		headers: {
			'content-type': 'image/svg+xml; charset=utf-8',
			'content-disposition': `attachment; filename="mould-${mould.number}.svg"`
		}
	});
};
