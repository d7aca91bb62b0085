import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { compressed } from './compressed';

const text = 'A 69 g, B 62 g. '.repeat(400);
const asked = (encoding: string) => new Headers({ 'accept-encoding': encoding });
const answer = (headers: Record<string, string> = {}, body: string | null = text) =>
	new Response(body, { headers: { 'content-type': 'text/html; charset=utf-8', ...headers } });

describe('an answer', () => {
	it('of text is packed, and comes out as it went in', async () => {
		const packed = compressed(
			answer({ etag: '"x"', 'content-length': String(text.length) }),
			asked('br, gzip')
		);
		expect(Object.fromEntries(packed.headers)).toMatchObject({
			'content-encoding': 'gzip',
			vary: 'accept-encoding',
			etag: 'W/"x"'
		});
		expect(packed.headers.has('content-length')).toBe(false);
		const bytes = Buffer.from(await packed.arrayBuffer());
		expect(bytes.length).toBeLessThan(text.length / 5);
		expect(gunzipSync(bytes).toString()).toBe(text);
	});
	it.each([
		['nobody asked for it', answer(), asked('identity')],
		['it is a stream of events', answer({ 'content-type': 'text/event-stream' }), asked('gzip')],
		['it is a picture', answer({ 'content-type': 'image/png' }), asked('gzip')],
		['it is packed already', answer({ 'content-encoding': 'br' }), asked('gzip')],
		['it is short', answer({ 'content-length': '200' }), asked('gzip')],
		['it is empty', answer({}, null), asked('gzip')]
	])('stays as it is when %s', (_why, response, headers) => {
		expect(compressed(response, headers)).toBe(response);
	});
});
