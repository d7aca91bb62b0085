/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { version } from '$service-worker';
import {
	asset,
	awayPage,
	benchPage,
	isAsset,
	isBenchPage,
	keepOpen,
	type BenchCache
} from './lib/offline/benchCache';

// Keeps the bench at hand while the server or the network is away. Nothing else of the application is kept.
const sw = globalThis as unknown as ServiceWorkerGlobalScope;
const NAME = `bench-${version}`;

async function cache(): Promise<BenchCache> {
	const own = await caches.open(NAME);
	return {
		match: (url) => own.match(url),
		put: (url, response) => own.put(url, response),
		keys: async () => (await own.keys()).map((request) => request.url),
		delete: (url) => own.delete(url)
	};
}
const get = (url: string) => fetch(url, { credentials: 'same-origin' });

sw.addEventListener('install', () => void sw.skipWaiting());
sw.addEventListener('activate', (event) => {
	const tidy = async () => {
		const old = (await caches.keys()).filter((name) => name.startsWith('bench-') && name !== NAME);
		await Promise.all(old.map((name) => caches.delete(name)));
		await sw.clients.claim();
	};
	event.waitUntil(tidy());
});
sw.addEventListener('message', (event) => {
	const { keep } = event.data as { keep?: string[] };
	if (Array.isArray(keep)) event.waitUntil(cache().then((own) => keepOpen(keep, own, get)));
});
sw.addEventListener('fetch', (event) => {
	const { request } = event;
	const { origin, pathname } = new URL(request.url);
	if (request.method !== 'GET' || origin !== sw.location.origin) return;
	if (isAsset(pathname)) event.respondWith(cache().then((own) => asset(request.url, own, get)));
	else if (request.mode !== 'navigate') return;
	else if (isBenchPage(pathname)) {
		event.respondWith(
			// the browser's own request: what it is led elsewhere by, it follows itself
			cache().then((own) => benchPage(request.url, own, () => fetch(request)).catch(() => awayPage(own)))
		);
	} else event.respondWith(fetch(request).catch(async () => awayPage(await cache())));
});
