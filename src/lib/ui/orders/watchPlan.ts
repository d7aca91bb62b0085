import { CLOCKS_CHANGED } from '$lib/ui/clockText';

/** What happens elsewhere is looked for so often, ms. */
const EVERY_MS = 20_000;

/**
 * Asks again while the page is in sight: after what happened on this device at once, else now and then.
 * @returns ends it
 */
export function watchPlan(ask: () => void): () => void {
	const seen = () => document.visibilityState === 'visible' && ask();
	const timer = setInterval(seen, EVERY_MS);
	window.addEventListener(CLOCKS_CHANGED, seen);
	document.addEventListener('visibilitychange', seen);
	return () => {
		clearInterval(timer);
		window.removeEventListener(CLOCKS_CHANGED, seen);
		document.removeEventListener('visibilitychange', seen);
	};
}
