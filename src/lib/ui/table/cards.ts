/** Up to here a row is always a card: a telephone, or a tablet held upright. */
const NARROW = '(max-width: 56rem)';

/**
 * A table that turns into cards on a narrow screen, or where its last column would be out of sight: each cell learns the
 * head of its column, which stands before it there. Rows that come later learn theirs too. While it is a table no cell is
 * touched: a name on each of four hundred cells is a style for each.
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
	const narrow = matchMedia(NARROW);
	let roomPx = 0;
	const fit = () => {
		roomPx = parent.clientWidth;
		if (roomPx === 0) return;
		if (!narrow.matches) table.classList.remove('cards');
		const asCards = narrow.matches || table.scrollWidth > roomPx + 1;
		if (asCards) label();
		table.classList.toggle('cards', asCards);
	};
	const rows = new MutationObserver(fit);
	rows.observe(table, { childList: true, subtree: true });
	// it is told of the room that there is at once: before the first picture, without a layout of its own
	const room = new ResizeObserver(() => parent.clientWidth !== roomPx && fit());
	room.observe(parent);
	// one that lies under the edge of the window is told of no room before it comes near
	const turn = () => {
		roomPx = 0;
		if (narrow.matches) label();
		table.classList.toggle('cards', narrow.matches);
	};
	if (narrow.matches) turn();
	narrow.addEventListener('change', turn);
	return () => {
		narrow.removeEventListener('change', turn);
		rows.disconnect();
		room.disconnect();
	};
}
