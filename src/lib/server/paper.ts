import type { Content } from 'pdfmake/interfaces';
import type { PieceOutline } from '$lib/core/mould';
import type { Paper } from '$lib/core/workshop';

/** The papers by the names that the library has for them. */
export const PAGE_SIZES = { A4: 'A4', Letter: 'LETTER' } as const satisfies Record<Paper, string>;

/** Points in a millimetre. */
export const PT_PER_MM = 72 / 25.4;
/** Signs that the paper's font does not have. */
export const onPaper = (text: string) => text.replace(/\u202f/g, '\u00a0').replace(/⌀/g, 'Ø');

/** The font of every sheet, for drawings that name one. */
export const PAPER_FONT = 'Atkinson';

/** A piece from the front, as high or as wide as its place on the paper, pt. */
export function drawnOnPaper({ d, widthMm, heightMm }: PieceOutline, placePt: number): Content {
	const box = Math.max(widthMm, heightMm);
	return {
		svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${-box / 2} ${-box} ${box} ${box}"><path d="${d}" fill="#444444"/></svg>`,
		width: placePt,
		height: placePt
	};
}
