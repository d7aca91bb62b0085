import { refusal, type Refusal } from '$lib/core/outcome';

/** A JSON body, or what is wrong with it and its HTTP status. */
export type Body = { ok: true; value: unknown } | (Refusal & { status: 413 | 422 });

/** Largest JSON body that the open interface reads, bytes. */
const MAX_JSON_BYTES = 256 * 1024;

/** Reads on and throws away: a client that is still sending would otherwise never see the answer. */
export async function drain(body: ReadableStream<Uint8Array> | null | undefined): Promise<void> {
	const reader = body?.getReader();
	try {
		while (reader && !(await reader.read()).done);
	} catch {
		// the server's own limit ended the stream: nothing more can be done for this client
	}
}

/** A body as bytes, or nothing when it is larger than allowed; the bound holds while reading. */
export async function readBytes(request: Request, maxBytes: number): Promise<Uint8Array | undefined> {
	if (Number(request.headers.get('content-length') ?? 0) > maxBytes) {
		await drain(request.body);
		return undefined;
	}
	const chunks: Uint8Array[] = [];
	let size = 0;
	try {
		const reader = request.body?.getReader();
		for (;;) {
			const part = await reader?.read();
			if (!part || part.done) break;
			size += part.value.byteLength;
			if (size <= maxBytes) chunks.push(part.value);
		}
	} catch {
		return undefined;
	}
	if (size > maxBytes) return undefined;
	const bytes = new Uint8Array(size);
	let at = 0;
	for (const chunk of chunks) {
		bytes.set(chunk, at);
		at += chunk.byteLength;
	}
	return bytes;
}

/** Reads a JSON body of bounded size; the bound holds while reading, whatever the header says. */
export async function readJson(request: Request, maxBytes = MAX_JSON_BYTES): Promise<Body> {
	const bytes = await readBytes(request, maxBytes);
	if (!bytes) return { ...refusal(`At most ${maxBytes / 1024} kB are read here.`), status: 413 };
	try {
		return { ok: true, value: JSON.parse(new TextDecoder().decode(bytes)) };
	} catch {
		return { ...refusal('The body is not JSON.'), status: 422 };
	}
}
