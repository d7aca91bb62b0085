/** Paper is light. Whoever draws for it calls this first: listeners of one event have no order among them. */
export function lightForPaper(): void {
	document.documentElement.classList.remove('dark');
}

/**
 * Puts the chosen theme on the page; `system` follows the device, also when it changes. What is printed
 * from a dark page is printed as from a light one.
 */
export function followTheme(theme: 'light' | 'dark' | 'system'): () => void {
	const media = matchMedia('(prefers-color-scheme: dark)');
	const apply = () =>
		document.documentElement.classList.toggle(
			'dark',
			theme === 'dark' || (theme === 'system' && media.matches)
		);
	// paper is not the device: a change that only printing brings does not put the dark back
	const follow = () => {
		if (!matchMedia('print').matches) apply();
	};
	apply();
	media.addEventListener('change', follow);
	window.addEventListener('beforeprint', lightForPaper);
	window.addEventListener('afterprint', apply);
	return () => {
		media.removeEventListener('change', follow);
		window.removeEventListener('beforeprint', lightForPaper);
		window.removeEventListener('afterprint', apply);
	};
}
