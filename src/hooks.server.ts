import { randomUUID } from 'node:crypto';
import { building } from '$app/environment';
import { error, json, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { BaseError, ConnectionError } from 'sequelize';
import { refusal } from '$lib/server/access';
import { asAway, awayResponse, awayWords, isAway, noteAway, noteBack } from '$lib/server/away';
import { drain } from '$lib/server/body';
import { compressed } from '$lib/server/compressed';
import { nodeName, parseAddress } from '$lib/server/db/address';
import { closeDb } from '$lib/server/db/connection';
import { migrate } from '$lib/server/db/migrate';
import { noRoomFor } from '$lib/server/disk';
import { environment } from '$lib/server/environment';
import { log } from '$lib/server/log';
import { isNamedAhead } from '$lib/server/namedAhead';
import { sayFirstCode } from '$lib/server/people/firstCode';
import { gate } from '$lib/server/people/gate';
import { readSettings } from '$lib/server/repositories/settings';
import { WORKSHOP_DEFAULTS } from '$lib/core/workshop';

export const init: ServerInit = async () => {
	if (building) return;
	try {
		environment();
	} catch (error) {
		process.stderr.write(`${(error as Error).message}\n`);
		process.exit(1);
	}
	try {
		await migrate();
	} catch (error) {
		if (!(error instanceof ConnectionError)) throw error;
		// nothing can be served without it: one sentence, not a stack trace
		const host = parseAddress(environment().DATABASE_URL ?? '')
			?.nodes.map(nodeName)
			.join(' or ');
		process.stderr.write(
			`The database at ${host} does not let us in (${error.message}). Is it running, and is DATABASE_URL right?\n`
		);
		process.exit(1);
	}
	if (environment().ANTHYPOS_DEMO === '1') {
		const { loadDemo } = await import('$lib/server/seed/load');
		await loadDemo(new Date());
	}
	await sayFirstCode();
	process.once('sveltekit:shutdown', () => void closeDb());
};

const NEEDS_NO_SETTINGS = /^\/(api\/calc|api\/meshes|photos\/|_app\/)/;

/** Largest form that is read, bytes: a photo of 8 MB and what is typed round it. */
const MAX_FORM_BYTES = 10 * 1024 * 1024;

/** What was sent and is not taken is read to its end and answered in the shape that a form of a page reads. */
async function notTaken(request: Request, status: 413 | 507, message: string): Promise<Response> {
	await drain(request.body);
	return json(
		{ type: 'error', status, error: { message }, message, errors: [{ path: '', message }] },
		{ status }
	);
}

/** Forms that are too large are answered before they fill the memory, and large things before they fill the disk. */
async function tooLarge(request: Request, path: string): Promise<Response | undefined> {
	// what does not say how large it is may be as large as a form
	const unsaid = request.headers.has('transfer-encoding') ? MAX_FORM_BYTES : 0;
	const bytes = Number(request.headers.get('content-length') ?? unsaid);
	if (!path.startsWith('/api/') && bytes > MAX_FORM_BYTES)
		return notTaken(request, 413, 'That is too much at once: at most 10 MB are taken.');
	// sums are answered, and nothing of them is kept
	const noRoom = path.startsWith('/api/calc/') ? undefined : noRoomFor(bytes);
	return noRoom === undefined ? undefined : notTaken(request, 507, noRoom);
}

/** A form that is cut off, or is none, is a bad request and no breakdown of ours. */
function readableForms(request: Request): void {
	const read = request.formData.bind(request);
	request.formData = () =>
		read().catch((reason: unknown) => {
			if (reason instanceof TypeError && /consumed|used/.test(reason.message)) throw reason;
			error(400, 'The form that came cannot be read: it was cut off, or is none. Send it again.');
		});
}

export const handle: Handle = async ({ event, resolve }) => {
	const refused = refusal(event.request, environment().ALLOWED_HOSTS);
	if (refused) return json({ message: refused }, { status: 403 });
	const large = await tooLarge(event.request, event.url.pathname);
	if (large) return large;
	readableForms(event.request);
	try {
		const shut = await gate(event);
		if (shut) return shut;
	} catch (failure) {
		if (!isAway(failure)) throw failure;
		noteAway(failure);
		return awayResponse(event.request, failure);
	}
	const theme = event.cookies.get('theme');
	event.locals.theme = theme === 'light' || theme === 'dark' ? theme : 'system';
	if (NEEDS_NO_SETTINGS.test(event.url.pathname)) event.locals.settings = WORKSHOP_DEFAULTS;
	else {
		try {
			event.locals.settings = (await readSettings()).settings;
			noteBack();
		} catch (failure) {
			if (!isAway(failure)) throw failure;
			noteAway(failure);
			return awayResponse(event.request, failure);
		}
	}
	const answered = await resolve(event, {
		// the typeface comes with the page: words that change their width afterwards move all below them
		preload: ({ type, path }) =>
			type === 'font' ? path.includes('next-latin-wght') : type !== 'js' || isNamedAhead(path),
		transformPageChunk: ({ html }) => html.replace('%theme%', event.locals.theme)
	});
	const response = event.locals.away ? asAway(answered) : answered;
	// what one person was shown is not kept for the next at the same screen
	if (event.locals.wantsSignIn && !response.headers.has('cache-control'))
		response.headers.set('cache-control', 'no-store');
	return compressed(response, event.request.headers);
};

/** A page that failed says so plainly, with a reference that stands in the log once. */
export const handleError: HandleServerError = ({ error, event, status, message }) => {
	if (status === 404) return { message: 'There is nothing at this address.' };
	if (status === 413) return { message: 'That is too much at once: at most a few megabytes are taken.' };
	if (status < 500) return { message };
	if (isAway(error)) {
		noteAway(error);
		event.locals.away = true;
		return { message: awayWords(error) };
	}
	const reference = randomUUID().slice(0, 8);
	log.error(
		{ reference, path: event.url.pathname, method: event.request.method, err: error },
		'request failed'
	);
	return {
		reference,
		message:
			error instanceof BaseError
				? 'The database did not take that. Nothing that was kept is lost.'
				: 'Something went wrong on our side. Nothing that was kept is lost.'
	};
};
