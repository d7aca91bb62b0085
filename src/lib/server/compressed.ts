/** What shrinks: text. Pictures, meshes and archives are small already; a stream of events must not wait in a buffer. */
const TEXT = /^(text\/(?!event-stream)|application\/(json|javascript|xml|manifest\+json)|image\/svg\+xml)/;
/** Under this it costs more than it saves, bytes. */
const LEAST_BYTES = 1024;

/**
 * The same answer, compressed where the browser takes that and it is worth it.
 * @param asked the request's headers
 */
export function compressed(response: Response, asked: Headers): Response {
	const { headers, body } = response;
	const length = headers.get('content-length');
	if (
		!body ||
		!/\bgzip\b/.test(asked.get('accept-encoding') ?? '') ||
		headers.has('content-encoding') ||
		!TEXT.test(headers.get('content-type') ?? '') ||
		(length !== null && Number(length) < LEAST_BYTES)
	)
		return response;
	const packed = new Headers(headers);
	packed.delete('content-length');
	packed.set('content-encoding', 'gzip');
	packed.append('vary', 'accept-encoding');
	// the same content in other bytes: an etag says so by being weak
	const etag = packed.get('etag');
	if (etag && !etag.startsWith('W/')) packed.set('etag', `W/${etag}`);
	return new Response(body.pipeThrough(new CompressionStream('gzip')), {
		status: response.status,
		statusText: response.statusText,
		headers: packed
	});
}
