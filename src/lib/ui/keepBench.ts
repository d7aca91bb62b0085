import { dev } from '$app/environment';

/** What a page loads after it stands, such as its worker, is there by then, ms. */
const LOADED_AFTER_MS = [1500, 12_000];

/**
 * Keeps this page of the bench, so that it opens again while the server or the network is away. Browser only;
 * one that cannot do it works as before. Returns what stops it.
 */
export function keepBench(): () => void {
	if (dev || !('serviceWorker' in navigator)) return () => {};
	let timers: ReturnType<typeof setTimeout>[] = [];
	const keep = async () => {
		const { active } = await navigator.serviceWorker.ready;
		const loaded = performance.getEntriesByType('resource').map((entry) => entry.name);
		const own = [location.href.split('#')[0]!, ...loaded].filter((url) => url.startsWith(location.origin));
		active?.postMessage({ keep: [...new Set(own)] });
	};
	navigator.serviceWorker
		.register('/service-worker.js')
		.then(() => {
			timers = LOADED_AFTER_MS.map((ms) => setTimeout(() => void keep(), ms));
		})
		// a browser that forbids it: the page that is open goes on all the same
		.catch(() => undefined);
	return () => timers.forEach(clearTimeout);
}
