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

/** Between words and a leader that passes them, px. */
const CLEAR_PX = 4;

/** From left to right: words end before the leader of the next, where they can and still reach their own. */
function place(labels: readonly FuseLabel[], barPx: number): PlacedLabel[] {
	const ends: number[] = [];
	return labels.map((label, i) => {
		const widthPx = Math.min(barPx, label.text.length * LETTER_PX);
		const ownPx = label.at * barPx;
		const next = labels[i + 1];
		const mostPx = next ? Math.max(ownPx, next.at * barPx - CLEAR_PX) : barPx;
		const leftPx = Math.max(0, Math.min(barPx - widthPx, mostPx - widthPx, ownPx - widthPx / 2));
		let row = ends.findIndex((end) => end + GAP_PX <= leftPx);
		if (row < 0) row = ends.length;
		ends[row] = leftPx + widthPx;
		return { ...label, leftPx, row, widthPx };
	});
}

/** How often a leader goes through words that are not its own. */
export const crossings = (placed: readonly PlacedLabel[], barPx: number): number =>
	placed.reduce(
		(n, a) =>
			n +
			placed.filter(
				(b) => b.row < a.row && b.leftPx - 1 < a.at * barPx && a.at * barPx < b.leftPx + b.widthPx + 1
			).length,
		0
	);

/**
 * Places the words of steps that are too short to hold them over the bar, so that none covers another; each keeps a
 * leader to its step, which goes past the others' words: the later steps stand higher, or the earlier ones where that is
 * the clearer. Words that would leave the bar are moved inwards.
 * @param labels in order along the bar
 */
export function placeLabels(labels: readonly FuseLabel[], barPx: number): PlacedLabel[] {
	const placed = place(labels, barPx);
	if (crossings(placed, barPx) === 0) return placed;
	const mirrored = place(labels.map((l) => ({ ...l, at: 1 - l.at })).reverse(), barPx)
		.map((l) => ({ ...l, at: 1 - l.at, leftPx: Math.max(0, barPx - l.leftPx - l.widthPx) }))
		.reverse();
	return crossings(mirrored, barPx) < crossings(placed, barPx) ? mirrored : placed;
}

/** Width of a letter in a block, where words are larger, and its two edges, px. */
const BLOCK_LETTER_PX = 8.6;
const BLOCK_EDGES_PX = 20;

/** Whether a block of this width holds its own words. */
export const holdsWords = (widthPx: number, text: string): boolean =>
	widthPx >= text.length * BLOCK_LETTER_PX + BLOCK_EDGES_PX;
