/** Up to here a row is always a card: a telephone, or a tablet held upright. */
const NARROW = '(max-width: 56rem)';

/**
 * A table that turns into cards on a narrow screen, or where its last column would be out of sight: each cell learns the
 * head of its column, which stands before it there. Rows that come later learn theirs too.
 */
export function cards(table: HTMLTableElement): () => void {
	const label = () => {
		const heads = [...table.querySelectorAll('thead th')].map((th) => th.textContent?.trim() ?? '');
		for (const row of table.querySelectorAll('tbody tr'))
			[...row.children].forEach((cell, i) => {
				if (
					cell.tagName === 'TD' &&
					!cell.hasAttribute('colspan') &&
					cell.getAttribute('data-label') !== heads[i]
				)
					cell.setAttribute('data-label', heads[i] ?? '');
			});
	};
	const parent = table.parentElement!;
	let roomPx = 0;
	const fit = () => {
		roomPx = parent.clientWidth;
		if (roomPx === 0) return;
		const narrow = matchMedia(NARROW).matches;
		if (!narrow) table.classList.remove('cards');
		table.classList.toggle('cards', narrow || table.scrollWidth > roomPx + 1);
	};
	label();
	const rows = new MutationObserver(() => {
		label();
		fit();
	});
	rows.observe(table, { childList: true, subtree: true });
	// it is told of the room that there is at once: before the first picture, without a layout of its own
	const room = new ResizeObserver(() => parent.clientWidth !== roomPx && fit());
	room.observe(parent);
	return () => {
		rows.disconnect();
		room.disconnect();
	};
}
