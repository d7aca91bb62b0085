/**
 * For a fold whose state the page knows: what was unfolded before the page was awake is not folded again by its waking.
 * The page's head notes the press (`app.html`).
 */
export function staysOpen(fold: HTMLDetailsElement): void {
	if (fold.dataset['unfolded'] === undefined) return;
	delete fold.dataset['unfolded'];
	fold.open = true;
}
