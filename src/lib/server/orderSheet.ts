import type { Content, TableCell } from 'pdfmake/interfaces';
import type { Paper } from '$lib/core/workshop';
import type { Sheet } from './heavy/tasks';
import { onPaper, PAGE_SIZES, PT_PER_MM } from './paper';
import { tickBox } from './paperParts';

/** A cell that is a box to tick: the paper's font has no sign for it. */
export const TICK = '\u2610';

/** A table of an order's sheet. */
interface SheetTable {
	head: readonly string[];
	widths: readonly (number | '*')[];
	rows: readonly (readonly string[])[];
	foot?: readonly string[];
	/** Columns of numbers, from 0: they stand right. */
	numbers?: readonly number[];
}

const table = ({ head, widths, rows, foot, numbers = [] }: SheetTable): Content => {
	const cell = (text: string, column: number, margin: number, bold = false): TableCell =>
		text === TICK
			? { stack: [tickBox()], margin: [0, margin, 0, margin] }
			: {
					text: onPaper(text),
					bold,
					margin: [0, margin, 0, margin],
					alignment: numbers.includes(column) ? 'right' : 'left'
				};
	return {
		margin: [0, 14, 0, 14],
		table: {
			headerRows: 1,
			widths: [...widths],
			body: [
				head.map((text, i) => cell(text, i, 0, true)),
				...rows.map((row) => row.map((text, i) => cell(text, i, 3))),
				...(foot ? [foot.map((text, i) => cell(text, i, 5, true))] : [])
			]
		},
		layout: 'lightHorizontalLines'
	};
};

/** A sheet that goes out with an order: its name and number, for whom, tables and sentences. */
export function orderSheet(
	paper: Paper,
	title: string,
	name: string,
	day: string,
	parts: readonly (SheetTable | string)[]
): Sheet {
	return {
		pageSize: PAGE_SIZES[paper],
		pageMargins: [20 * PT_PER_MM, 18 * PT_PER_MM, 20 * PT_PER_MM, 18 * PT_PER_MM],
		info: { title },
		numbered: onPaper(`${title}, ${name}`),
		content: [
			{ text: onPaper(title), fontSize: 20, bold: true },
			{ text: onPaper(`for ${name}`), fontSize: 13, margin: [0, 2, 0, 0] },
			{ text: onPaper(day), margin: [0, 2, 0, 0] },
			...parts.map((p): Content =>
				typeof p === 'string' ? { text: onPaper(p), margin: [0, 4, 0, 0] } : table(p)
			)
		]
	};
}
