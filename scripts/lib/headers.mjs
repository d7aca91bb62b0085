// What every answer of the server says about how it may be used: pages, files, errors and data alike.

/** What a page may load, in the form in which the framework takes it: everything comes from here. */
export const POLICY = {
	'default-src': ['self'],
	// widths and places of drawings stand in style attributes
	'style-src': ['self', 'unsafe-inline'],
	'img-src': ['self', 'data:', 'blob:'],
	'font-src': ['self', 'data:'],
	'worker-src': ['self', 'blob:'],
	'base-uri': ['none'],
	'form-action': ['self'],
	'frame-ancestors': ['self']
};

const KEYWORDS = new Set(['self', 'none', 'unsafe-inline', 'unsafe-eval', 'wasm-unsafe-eval']);
const inWords = (policy) =>
	Object.entries(policy)
		.map(([name, sources]) => `${name} ${sources.map((s) => (KEYWORDS.has(s) ? `'${s}'` : s)).join(' ')}`)
		.join('; ');

/** Headers by their names; a page has a policy of its own over this one, with its number. */
export const HEADERS = {
	'content-security-policy': inWords(POLICY),
	'x-content-type-options': 'nosniff',
	'referrer-policy': 'same-origin',
	'x-frame-options': 'SAMEORIGIN',
	'cross-origin-opener-policy': 'same-origin',
	'permissions-policy': 'camera=(self), microphone=(), geolocation=()'
};

/** The one worker whose library of computer vision makes its calls out of text; nothing of a page runs in it. */
const PICTURES_WORKER = /^\/_app\/immutable\/workers\/pictures\.worker-[\w-]+\.js$/;
const PICTURES_POLICY = inWords({ ...POLICY, 'script-src': ['self', 'unsafe-eval', 'wasm-unsafe-eval'] });

/** Sets them on every answer of a server, before whatever answers. */
export function withHeaders(httpServer) {
	httpServer.prependListener('request', (request, response) => {
		for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
		if (PICTURES_WORKER.test(request.url)) response.setHeader('content-security-policy', PICTURES_POLICY);
	});
}
