/** Cells to a side within the black border, which is one cell wide. */
export const MARKER_CELLS = 4;

/**
 * The first markers of the common 4 × 4 dictionary (S. Garrido-Jurado and others, Pattern Recognition 47 (2014) 2280),
 * sixteen cells each as four hexadecimal digits, row by row from above, a set bit for white. The test compares each
 * with what the library draws.
 */
const CELLS =
	'b532 0f9a 332d 9946 549e 79cd 9e2e c4f2 feda cf56 f991 11a7 0eb7 2a0f 24b1 263e 4665 6600 6c5e 76af 868b b02b ccd5 dd82 fe47 9471 ace4 a554 2123 346f 4415 57b2 9ecf f0cb 08ae 0929 1875 04ff 0df6 1c5a 1718 2a28 328c 38b2 24e8 2eeb 2d3f 4b64 502e 5013 5194 5568 5d41 5f97 6801 6867'
		.split(' ')
		.map((hex) => parseInt(hex, 16));

/**
 * Whether a cell of a marker is white; `row` and `column` from 0 at its upper left, without the border.
 * @example
 * isWhite(0, 0, 0); // true
 */
export const isWhite = (id: number, row: number, column: number): boolean =>
	((CELLS[id]! >> (MARKER_CELLS ** 2 - 1 - (row * MARKER_CELLS + column))) & 1) === 1;
