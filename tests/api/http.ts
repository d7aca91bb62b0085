/** Where the built application is served for these tests. */
export const base = process.env.ANTHYPOS_URL ?? 'http://127.0.0.1:4610';

export async function post(path: string, body: unknown, headers: Record<string, string> = {}) {
	const response = await fetch(base + path, {
		method: 'POST',
		headers: { 'content-type': 'application/json', ...headers },
		body: typeof body === 'string' ? body : JSON.stringify(body)
	});
	const text = await response.text();
	return { status: response.status, text, json: parsed(text) };
}

export async function get(path: string) {
	const response = await fetch(base + path);
	const text = await response.text();
	return { status: response.status, text, json: parsed(text) };
}

/** Sends a form as the page's own script does; the answer says how it went. */
export async function sendForm(path: string, fields: readonly (readonly [string, string])[]) {
	const form = new FormData();
	for (const [name, value] of fields) form.append(name, value);
	const response = await fetch(base + path, {
		method: 'POST',
		headers: { accept: 'application/json', 'x-sveltekit-action': 'true', origin: base },
		body: form
	});
	const text = await response.text();
	return { status: response.status, text };
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- answers are examined field by field
function parsed(text: string): any {
	try {
		return JSON.parse(text);
	} catch {
		return undefined;
	}
}
