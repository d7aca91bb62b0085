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

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- answers are examined field by field
function parsed(text: string): any {
	try {
		return JSON.parse(text);
	} catch {
		return undefined;
	}
}
