export interface FuseLabel {
	text: string;
	/** Where on the bar it points, as a share of its width. */
	at: number;
}
export interface PlacedLabel extends FuseLabel {
	/** Left edge of the words, px. */
	leftPx: number;
	/** Line over the bar, 0 the nearest. */
	row: number;
	widthPx: number;
}

/** Width of a letter of the labels and the room between two of them, px. */
const LETTER_PX = 7.4;
const GAP_PX = 10;

/**
 * Places the words of steps that are too short to hold them over the bar, so that none covers another; each keeps a
 * leader to its step. Words that would leave the bar are moved inwards.
 * @param labels in order along the bar
 */
export function placeLabels(labels: readonly FuseLabel[], barPx: number): PlacedLabel[] {
	const ends: number[] = [];
	return labels.map((label) => {
		const widthPx = Math.min(barPx, label.text.length * LETTER_PX);
		const leftPx = Math.max(0, Math.min(barPx - widthPx, label.at * barPx - widthPx / 2));
		let row = ends.findIndex((end) => end + GAP_PX <= leftPx);
		if (row < 0) row = ends.length;
		ends[row] = leftPx + widthPx;
		return { ...label, leftPx, row, widthPx };
	});
}

/** Width of a letter in a block, where words are larger, and its two edges, px. */
const BLOCK_LETTER_PX = 8.6;
const BLOCK_EDGES_PX = 20;

/** Whether a block of this width holds its own words. */
export const holdsWords = (widthPx: number, text: string): boolean =>
	widthPx >= text.length * BLOCK_LETTER_PX + BLOCK_EDGES_PX;
