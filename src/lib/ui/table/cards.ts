/**
 * A table that turns into cards on a narrow screen: each cell learns the head of its column, which stands before it
 * there. Rows that come later learn theirs too.
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
	label();
	table.classList.add('cards');
	const watch = new MutationObserver(label);
	watch.observe(table, { childList: true, subtree: true });
	return () => watch.disconnect();
}
