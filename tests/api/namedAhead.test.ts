import { expect, it } from 'vitest';
import { base } from './http';

it.each(['/', '/moulds/new', '/cure'])(
	'%s names ahead what begins it and the scripts that are worth it, and none that is small',
	async (path) => {
		const answer = await fetch(base + path);
		await answer.text();
		const named = [...(answer.headers.get('link') ?? '').matchAll(/<([^>]+\.js)>; rel="modulepreload"/g)];
		expect(named.length).toBeGreaterThan(5);
		expect(named.filter(([, href]) => href!.includes('/entry/')).length).toBeGreaterThan(0);
		for (const [, href] of named.filter(([, href]) => href!.includes('/chunks/'))) {
			const script = await fetch(new URL(href!, base + path), { headers: { 'accept-encoding': 'identity' } });
			expect(script.status).toBe(200);
			expect((await script.arrayBuffer()).byteLength, href).toBeGreaterThanOrEqual(4000);
		}
	}
);
