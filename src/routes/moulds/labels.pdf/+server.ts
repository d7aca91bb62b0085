import { error } from '@sveltejs/kit';
import type { TableCell } from 'pdfmake/interfaces';
import { KIND_WORDS, type PieceOutline } from '$lib/core/mould';
import { addressOf, LOOPBACK_WORDS } from '$lib/server/address';
import { allFaces } from '$lib/server/faces';
import { asker } from '$lib/server/heavy/asker';
import { drawnOnPaper, PAGE_SIZES, PT_PER_MM } from '$lib/server/paper';
import { sheet } from '$lib/server/printed';
import { listMoulds, type Mould } from '$lib/server/repositories/moulds';
import type { RequestHandler } from './$types';

const COLUMNS = 3;
const CELL = { widthMm: 62, heightMm: 36 };
const day = (date: Date | null) => (date ? date.toISOString().slice(0, 10) : 'not poured');

function label(mould: Mould, origin: string, outline: PieceOutline | undefined): TableCell {
	return {
		columns: [
			{ qr: `${origin}/moulds/${mould.id}`, fit: 66, width: 70 },
			[
				{
					columns: [
						{ text: `M${mould.number}`, fontSize: 22, bold: true },
						...(outline ? [drawnOnPaper(outline, 40)] : [])
					]
				},
				{ text: mould.label.slice(0, 40), bold: true, fontSize: 8.5 },
				{ text: KIND_WORDS[mould.plan.kind ?? mould.inputs.kind], fontSize: 7.5 },
				{
					text: [mould.rubberName, mould.inputs.rubberLot, day(mould.pouredAt)].filter(Boolean).join(', '),
					fontSize: 7.5
				},
				{ text: mould.place.slice(0, 36), fontSize: 7.5 }
			]
		],
		columnGap: 4,
		margin: [2, 4, 2, 2]
	};
}

/** Labels for moulds, several to a sheet; each has a code that opens the mould's page. */
export const GET: RequestHandler = async (event) => {
	const { url, locals, platform } = event;
	const address = addressOf(locals.settings, url, platform);
	const wanted = url.searchParams.get('ids')?.split(',').filter(Boolean);
	const [all, faces] = await Promise.all([listMoulds(), allFaces()]);
	const chosen = all.filter((m) => (wanted ? wanted.includes(m.id) : m.state !== 'retired'));
	if (chosen.length === 0) error(404, 'No such mould: choose at least one for its label.');
	const cells = chosen.slice(0, 300).map((m) => label(m, address.base, faces[m.masterId]?.outline));
	const rows: TableCell[][] = [];
	for (let i = 0; i < cells.length; i += COLUMNS) {
		const row = cells.slice(i, i + COLUMNS);
		rows.push([...row, ...Array.from({ length: COLUMNS - row.length }, () => '')]);
	}
	return sheet(
		{
			pageSize: PAGE_SIZES[locals.settings.paper],
			pageMargins: [10 * PT_PER_MM, 12 * PT_PER_MM, 10 * PT_PER_MM, 12 * PT_PER_MM],
			info: { title: 'Mould labels' },
			content: [
				{
					table: {
						widths: Array.from({ length: COLUMNS }, () => CELL.widthMm * PT_PER_MM),
						heights: CELL.heightMm * PT_PER_MM,
						dontBreakRows: true,
						body: rows
					},
					layout: 'labels'
				},
				...(address.loopback
					? [{ text: LOOPBACK_WORDS.replace('This code opens', 'These codes open'), fontSize: 8 }]
					: [])
			]
		},
		'mould-labels.pdf',
		asker(event)
	);
};
