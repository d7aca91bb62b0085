import { BaseError, ConnectionError } from 'sequelize';
import { disk, DISK_FULL, isDiskFull } from './disk';
import { log } from './log';

/** What is said while the database is away. */
const AWAY = 'The database does not answer just now. Nothing that was kept is lost; try again in a moment.';
/** After so long it is asked again, s. */
const RETRY_AFTER_S = 5;
/** An outage is logged once, and again when it still lasts after so long, ms. */
const SAID_AGAIN_MS = 10 * 60_000;
let saidAtMs = 0;

/** Codes with which the driver says that the line to the database is gone. */
const GONE = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ER_SOCKET_UNEXPECTED_CLOSE']);

/** Whether a failure is that of a database that cannot be reached, and not of what was asked of it. */
export function isAway(failure: unknown): boolean {
	if (failure instanceof ConnectionError || isDiskFull(failure)) return true;
	if (!(failure instanceof BaseError)) return false;
	const { original } = failure as { original?: { fatal?: boolean; code?: string; errno?: number } };
	// a node of a cluster that lost the others: ER_UNKNOWN_COM_ERROR; or lost them while it committed
	if (original?.errno === 1047 || original?.errno === 1180) return true;
	return original?.fatal === true || GONE.has(original?.code ?? '');
}

/** What is said now: that the database is away, or why. */
export const awayWords = (failure?: unknown): string =>
	isDiskFull(failure) || disk()?.state === 'full' ? DISK_FULL : AWAY;

/** One line for an outage, however many requests meet it. */
export function noteAway(failure: unknown, nowMs = Date.now()): void {
	if (nowMs - saidAtMs < SAID_AGAIN_MS) return;
	saidAtMs = nowMs;
	log.error(
		{ reason: (failure as Error).message, freeBytes: disk()?.freeBytes },
		'the database does not answer'
	);
}

/** It answers again: said once, too. */
export function noteBack(): void {
	// reading goes on while nothing can be written: that is not its end
	if (saidAtMs === 0 || disk()?.state === 'full') return;
	saidAtMs = 0;
	log.info('the database answers again');
}

const pageSaying = (
	words: string
) => `<!doctype html><html lang="en-GB"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta http-equiv="refresh" content="${RETRY_AFTER_S}">
<title>${titleOf(words)} · Anthypos</title><style>:root{color-scheme:light dark}body{font:1.15rem/1.5 system-ui;max-width:40rem;margin:18vh auto;padding:0 1.5rem}</style></head>
<body><h1>${titleOf(words)}</h1><p>${words} This page asks again by itself.</p></body></html>`;
const titleOf = (words: string) =>
	words === DISK_FULL ? 'The workshop’s disk is full' : 'The database does not answer';

/** The answer while it is away, in the shape that was asked for. */
export function awayResponse(request: Request, failure?: unknown): Response {
	const words = awayWords(failure);
	const headers = { 'retry-after': String(RETRY_AFTER_S), 'cache-control': 'no-store' };
	const wantsPage = request.method === 'GET' && (request.headers.get('accept') ?? '').includes('text/html');
	return wantsPage
		? new Response(pageSaying(words), {
				status: 503,
				headers: { ...headers, 'content-type': 'text/html; charset=utf-8' }
			})
		: // a form of a page reads it, too
			Response.json(
				{ type: 'error', status: 503, error: { message: words }, message: words },
				{ status: 503, headers }
			);
}

/** The same page or answer with the status that says to come back. */
export function asAway(response: Response): Response {
	const headers = new Headers(response.headers);
	headers.set('retry-after', String(RETRY_AFTER_S));
	headers.set('cache-control', 'no-store');
	return new Response(response.body, { status: 503, headers });
}
