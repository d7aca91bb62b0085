/**
 * Paper shows all of a page: what is folded is opened and the dark theme laid off before it is printed, and put back
 * afterwards. @returns how to stop it
 */
export function followPrint(root: HTMLElement): () => void {
	let folded: HTMLDetailsElement[] = [];
	let dark = false;
	const before = () => {
		// a second call without an end between keeps what the first found
		if (folded.length > 0 || dark) return;
		folded = [...root.querySelectorAll<HTMLDetailsElement>('details:not([open], .no-print)')];
		for (const details of folded) details.open = true;
		dark = root.classList.contains('dark');
		root.classList.remove('dark');
	};
	const after = () => {
		for (const details of folded) details.open = false;
		root.classList.toggle('dark', dark || root.classList.contains('dark'));
		[folded, dark] = [[], false];
	};
	window.addEventListener('beforeprint', before);
	window.addEventListener('afterprint', after);
	return () => {
		window.removeEventListener('beforeprint', before);
		window.removeEventListener('afterprint', after);
	};
}
