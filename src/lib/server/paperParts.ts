import type { Column, Content } from 'pdfmake/interfaces';

/** The colours of A and B on screens, and their patterns: told apart without colour too. */
const PART_A = '#6b2c5d';
const PART_B = '#a06a10';
const BAND = { width: 240, height: 9 };

const bands = {
	A: `<rect width="${BAND.width}" height="${BAND.height}" fill="${PART_A}"/>`,
	B: Array.from(
		{ length: BAND.width / 12 },
		(_, i) =>
			`<polygon points="${i * 12},${BAND.height} ${i * 12 + 6},0 ${i * 12 + 12},0 ${i * 12 + 6},${BAND.height}" fill="${PART_B}"/>`
	).join(''),
	Resin: `<rect width="${BAND.width}" height="${BAND.height}" fill="#555555"/>`,
	Catalyst: `<rect x="0.5" y="0.5" width="${BAND.width - 1}" height="${BAND.height - 1}" fill="none" stroke="#555555"/>`
};

/** One part of a mix as the bench shows it: its pattern, its letter, its amount large; beneath, what else is said. */
export function partBox(part: keyof typeof bands, amount: string, said: readonly string[]): Column {
	return {
		width: '*',
		stack: [
			{
				svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${BAND.width} ${BAND.height}">${bands[part]}</svg>`,
				width: BAND.width
			},
			{
				text: [
					{ text: `${part}  `, fontSize: 22, bold: true },
					{ text: amount, fontSize: 34, bold: true }
				],
				lineHeight: 1,
				margin: [0, 2, 0, 0]
			},
			{ text: said.filter(Boolean).join(', ') }
		]
	};
}

/** A box to tick. Made anew each time: the library notes in it where it stands. */
export const tickBox = (): Content => ({
	canvas: [{ type: 'rect', x: 0, y: 1, w: 9, h: 9, lineWidth: 1 }]
});

/** Where what was real is written down. */
export const roomToWrite = (): Content => ({
	canvas: [{ type: 'line', x1: 4, y1: 13, x2: 62, y2: 13, lineWidth: 0.5, lineColor: '#888888' }]
});
