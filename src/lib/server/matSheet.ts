import type { Content } from 'pdfmake/interfaces';
import { isWhite, MARKER_CELLS, MATS, RULER_MM, type Mat, type MatSize } from '$lib/core/photo';
import type { Sheet } from './heavy/tasks';
import { PAPER_FONT, PT_PER_MM } from './paper';

/** Papers that a mat is printed on, mm, upright. */
export const MAT_PAPERS = {
	A4: { widthMm: 210, heightMm: 297 },
	Letter: { widthMm: 215.9, heightMm: 279.4 },
	A3: { widthMm: 297, heightMm: 420 }
} as const;
export type MatPaper = keyof typeof MAT_PAPERS;

/** Printers leave this free, mm. */
const MARGIN_MM = 7;

/** On how many sheets of a paper a mat goes: whole, in two halves that meet in the middle, or not at all. */
export function sheetsFor(size: MatSize, paper: MatPaper): 1 | 2 | undefined {
	const { widthMm, heightMm } = MAT_PAPERS[paper];
	const across = 2 * MATS[size].halfMm;
	if (across <= widthMm - 2 * MARGIN_MM) return 1;
	return across <= heightMm - 2 * MARGIN_MM && across / 2 <= widthMm - 2 * MARGIN_MM ? 2 : undefined;
}

const rect = (x: number, y: number, w: number, h: number, fill: string) =>
	`<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}"/>`;

/** A mat's drawing about its middle, mm, y downwards: markers, the corners of the middle, which side is the front. */
function drawn(mat: Mat): string {
	const parts: string[] = [];
	for (const { id, xMm, yMm, edgeMm } of mat.markers) {
		const [x, y] = [xMm - edgeMm / 2, -yMm - edgeMm / 2];
		parts.push(rect(x, y, edgeMm, edgeMm, '#000'));
		const cell = edgeMm / (MARKER_CELLS + 2);
		for (let row = 0; row < MARKER_CELLS; row++)
			for (let column = 0; column < MARKER_CELLS; column++)
				if (isWhite(id, row, column))
					// a hair wider than its cell: white beside white leaves no line
					parts.push(
						rect(
							x + (column + 1) * cell - 0.02,
							y + (row + 1) * cell - 0.02,
							cell + 0.04,
							cell + 0.04,
							'#fff'
						)
					);
	}
	return parts.join('');
}

/** A ruler of 100 mm from its left end, ticks each 10 mm. */
function ruler(x: number, y: number): string {
	const ticks = Array.from({ length: 11 }, (_, i) =>
		rect(x + 10 * i - 0.1, y - (i % 10 === 0 ? 5 : 2.5), 0.2, i % 10 === 0 ? 5 : 2.5, '#000')
	);
	return `${rect(x - 0.1, y - 0.2, RULER_MM + 0.2, 0.2, '#000')}${ticks.join('')}<text x="${x + RULER_MM + 3}" y="${y}" font-size="4" font-family="${PAPER_FONT}">measure from end to end: 100 mm?</text>`;
}

function page(svg: string, paper: { widthMm: number; heightMm: number }, last: boolean): Content {
	return {
		svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${paper.widthMm} ${paper.heightMm}">${svg}</svg>`,
		width: paper.widthMm * PT_PER_MM,
		height: paper.heightMm * PT_PER_MM,
		...(last ? {} : { pageBreak: 'after' })
	};
}

const line = (x: number, y: number, text: string, size: number, bold = false) =>
	`<text x="${x}" y="${y}" font-size="${size}" font-family="${PAPER_FONT}"${bold ? ' font-weight="bold"' : ''}>${text}</text>`;

/** What stands under every mat. */
const SAYS =
	'Print at 100 %, not fitted to the page. Flat, under even light. The piece stands in the empty middle and is not moved.';

/** A mat as it is printed: whole, or as two halves to be laid edge to edge along their dashed lines. */
export function matSheet(size: MatSize, paper: MatPaper): Sheet {
	const mat = MATS[size];
	const sheets = sheetsFor(size, paper);
	if (!sheets) throw new RangeError(`A ${size} mat does not go on ${paper}.`);
	const upright = MAT_PAPERS[paper];
	const flat = { widthMm: upright.heightMm, heightMm: upright.widthMm };
	const on = sheets === 1 ? upright : flat;
	const middle = on.widthMm / 2;
	const pages =
		sheets === 1
			? [
					line(middle - mat.halfMm, MARGIN_MM + 8, `Mat, ${size}`, 6, true) +
						`<g transform="translate(${middle} ${MARGIN_MM + 14 + mat.halfMm})">${drawn(mat)}</g>` +
						ruler(middle - mat.halfMm, MARGIN_MM + 14 + 2 * mat.halfMm + 13) +
						line(middle - mat.halfMm, MARGIN_MM + 14 + 2 * mat.halfMm + 20, SAYS, 3)
				]
			: [
					halfPage(mat, on, 'far'),
					halfPage(mat, on, 'near') +
						ruler(middle - 90, on.heightMm - MARGIN_MM - 8) +
						line(middle - 90, on.heightMm - MARGIN_MM - 2, SAYS, 3)
				];
	return {
		pageSize: { width: on.widthMm * PT_PER_MM, height: on.heightMm * PT_PER_MM },
		pageMargins: 0,
		info: { title: `Mat, ${size}` },
		content: pages.map((svg, i) => page(svg, on, i === pages.length - 1))
	};
}

/** The half of a mat beyond its middle, or the one before it; the other is cut off at the line where they meet. */
function halfPage(
	mat: Mat,
	{ widthMm, heightMm }: { widthMm: number; heightMm: number },
	half: 'far' | 'near'
): string {
	const seam = half === 'far' ? heightMm - MARGIN_MM - 10 : MARGIN_MM + 10;
	const markers = mat.markers.filter((m) => (half === 'far' ? m.yMm > 0 : m.yMm < 0));
	const [x, y] = [widthMm / 2 - mat.halfMm, half === 'far' ? seam + 6 : seam - 3];
	return (
		`<g transform="translate(${widthMm / 2} ${seam})">${drawn({ ...mat, markers })}</g>` +
		`<line x1="${MARGIN_MM}" y1="${seam}" x2="${widthMm - MARGIN_MM}" y2="${seam}" stroke="#000" stroke-width="0.2" stroke-dasharray="3 2"/>` +
		line(
			x,
			y,
			half === 'far'
				? 'Cut along the dashed line and lay this half over the other, line on line.'
				: 'The dashed line of the other half comes here.',
			4
		)
	);
}
