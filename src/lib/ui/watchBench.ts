import { onMount } from 'svelte';
import { afterNavigate, beforeNavigate, invalidateAll } from '$app/navigation';
import { CLOCKS_CHANGED, CLOCKS_MOVED } from './clockText';

/** What moves no clock, such as a plan, is looked for so often, ms. */
const EVERY_MS = 20_000;

/**
 * Asks again while the page is in sight: at once after what was done on this device, as soon as the strip hears of it after
 * what was done on another, else now and then.
 * @returns ends it
 */
export function watchBench(ask: () => void): () => void {
	const seen = () => document.visibilityState === 'visible' && ask();
	const timer = setInterval(seen, EVERY_MS);
	const told = [CLOCKS_CHANGED, CLOCKS_MOVED];
	for (const what of told) window.addEventListener(what, seen);
	document.addEventListener('visibilitychange', seen);
	return () => {
		clearInterval(timer);
		for (const what of told) window.removeEventListener(what, seen);
		document.removeEventListener('visibilitychange', seen);
	};
}

/**
 * Asks again for a page when something that was done on this device reached the server while the page was on its way: the
 * page was read before that, and listened only after. Called while a layout is made.
 */
export function catchUp(): void {
	let missed = false;
	const arrived = () => void (missed = true);
	beforeNavigate(() => void (missed = false));
	afterNavigate(() => void (missed && invalidateAll()));
	onMount(() => {
		window.addEventListener(CLOCKS_CHANGED, arrived);
		return () => window.removeEventListener(CLOCKS_CHANGED, arrived);
	});
}
