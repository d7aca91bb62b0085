/** Puts the chosen theme on the page; `system` follows the device, also when it changes. */
export function followTheme(theme: 'light' | 'dark' | 'system'): () => void {
	const media = matchMedia('(prefers-color-scheme: dark)');
	const apply = () =>
		document.documentElement.classList.toggle(
			'dark',
			theme === 'dark' || (theme === 'system' && media.matches)
		);
	apply();
	media.addEventListener('change', apply);
	return () => media.removeEventListener('change', apply);
}
