import type { Content } from 'pdfmake/interfaces';
import { toSvg } from '$lib/core/drawing';
import { BASE_BOARD, closingOf, drawMould, KIND_WORDS, MOULD_MODULES } from '$lib/core/mould';
import { formatQuantity } from '$lib/core/units';
import { addressOf, LOOPBACK_WORDS } from '$lib/server/address';
import { orPage } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { PAGE_SIZES, PAPER_FONT, onPaper, PT_PER_MM } from '$lib/server/paper';
import { sheet } from '$lib/server/printed';
import { getMaster } from '$lib/server/repositories/masters';
import { getMould } from '$lib/server/repositories/moulds';
import type { Paper } from '$lib/core/workshop';
import type { RequestHandler } from './$types';

/** Height of the letters on the sheet, mm. */
const LETTER_MM = 3.2;
/** What is left of the sheet, mm; the section goes to a second one where the first is full. */
const LEFT: Readonly<Record<Paper, { widthMm: number; planMm: number; sectionMm: number }>> = {
	A4: { widthMm: 190, planMm: 190, sectionMm: 250 },
	Letter: { widthMm: 195, planMm: 172, sectionMm: 232 }
};

/** Parts of the true size in which a drawing is put on paper: nothing between that a rule could not be laid to. */
const PARTS = [1, 2, 5, 10, 20] as const;

/** The largest of them that fits the sheet: a drawing is at its true size, or plainly at a part of it. */
function scaleFor(drawing: { widthMm: number; heightMm: number }, widthMm: number, mostMm: number): number {
	const fits = (part: number) => drawing.widthMm / part <= widthMm && drawing.heightMm / part <= mostMm;
	return PARTS.find(fits) ?? PARTS[PARTS.length - 1]!;
}

/** The sheet that lies on the base board: the plan at its true size where it fits, how it will be opened. */
export const GET: RequestHandler = async (event) => {
	const { params, locals, url, platform } = event;
	const address = addressOf(locals.settings, url, platform);
	const left = LEFT[locals.settings.paper];
	const mould = await orPage(getMould(params.id));
	const master = await getMaster(mould.masterId);
	const { inputs, plan } = mould;
	const show = (mm: number) => onPaper(formatQuantity(mm, 'length', locals.settings.units));
	const small = drawMould(inputs, plan, master.record, show, LETTER_MM);
	// the section is shrunk to its strip: its letters are drawn larger by as much
	const shrink = 1 / scaleFor(small.section, left.widthMm, left.sectionMm);
	// the board is left to the list where its room would cost the mould its true size
	const unboarded = { ...plan, cutList: plan.cutList?.filter((c) => c.what !== BASE_BOARD) };
	const bare = drawMould(inputs, unboarded as typeof plan, master.record, show, LETTER_MM).plan;
	const partOf = (d: typeof bare) => scaleFor(d, left.widthMm, left.planMm);
	const drawings = {
		plan: partOf(bare) < partOf(small.plan) ? bare : small.plan,
		section: drawMould(inputs, plan, master.record, show, LETTER_MM / shrink).section
	};
	const placed = (title: string, drawing: typeof drawings.plan, mostMm: number): Content => {
		const part = scaleFor(drawing, left.widthMm, mostMm);
		const svg = onPaper(toSvg(drawing, mould.label)).replaceAll('sans-serif', PAPER_FONT);
		// a title never stands alone at the foot of a sheet
		return {
			unbreakable: true,
			stack: [
				{
					text: `${title}, ${part === 1 ? '1:1, at its true size' : `1:${part}`}`,
					bold: true,
					margin: [0, 6, 0, 0]
				},
				{ svg, width: (drawing.widthMm / part) * PT_PER_MM, margin: [0, 2, 0, 0] }
			]
		};
	};
	const closed = closingOf(mould);
	const cut = (plan.cutList ?? []).map((c) =>
		c.thicknessMm > 0
			? `${c.count} × ${c.what}: ${show(c.lengthMm)} × ${show(c.widthMm)}, ${show(c.thicknessMm)} thick`
			: `${c.what}: ${show(c.widthMm)}, ${show(c.lengthMm)} long`
	);
	return sheet(
		{
			pageSize: PAGE_SIZES[locals.settings.paper],
			pageMargins: [10 * PT_PER_MM, 10 * PT_PER_MM, 10 * PT_PER_MM, 10 * PT_PER_MM],
			info: { title: `M${mould.number} ${mould.label}` },
			numbered: onPaper(`M${mould.number} ${mould.label}`),
			content: [
				{
					columns: [
						{
							width: '*',
							stack: [
								{ text: `M${mould.number}  ${mould.label}`, fontSize: 20, bold: true },
								{
									text: `${KIND_WORDS[plan.kind]} round ${mould.masterName}${mould.rubberName ? `, ${mould.rubberName}` : ''}`
								},
								{ text: MOULD_MODULES[plan.kind].opening(inputs, plan), margin: [0, 4, 0, 0], bold: true },
								{ text: `Closed: ${closed.how} ${closed.little} ${closed.much}`, margin: [0, 2, 0, 0] },
								...(cut.length > 0
									? [{ ul: cut, margin: [0, 4, 0, 0] as [number, number, number, number] }]
									: [])
							]
						},
						{ qr: `${address.base}/moulds/${mould.id}`, fit: 70, width: 75 }
					],
					columnGap: 14
				},
				placed('Plan', drawings.plan, left.planMm),
				placed('Section', drawings.section, left.sectionMm),
				// a bar to check the printer by
				{
					canvas: [{ type: 'line', x1: 0, y1: 0, x2: 100 * PT_PER_MM, y2: 0, lineWidth: 2 }],
					margin: [0, 6, 0, 0]
				},
				{
					text: 'This bar is 100 mm (3.94 in) long when the sheet is printed at its true size.',
					fontSize: 8
				},
				...(address.loopback ? [{ text: LOOPBACK_WORDS, fontSize: 8 }] : [])
			]
		},
		`mould-${mould.number}-board.pdf`,
		asker(event)
	);
};
