import { timingSafeEqual } from 'node:crypto';
import { json, redirect, type Cookies, type RequestEvent } from '@sveltejs/kit';
import { environment } from '../environment';
import { isAnybody } from '../repositories/people';
import { note } from './audit';
import { Rates } from './rates';
import { mayOf, type May } from './rules';
import { endedOf, personOf, type Person } from './sessions';

const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|::1|\[::1\])$/i;

/** Whether whoever asks has to be known: as soon as this process listens to a network, or where it is asked for. */
export function wantsSignIn({ HOST, SIGN_IN } = environment()): boolean {
	return SIGN_IN === '1' || (HOST !== undefined && !LOOPBACK.test(HOST));
}

/** Whether the line to whoever asks is encrypted: to this process, or to the proxy before it that is said to tell. */
export function isEncrypted({ platform, request }: Pick<RequestEvent, 'platform' | 'request'>): boolean {
	const { PROTOCOL_HEADER } = environment();
	if (PROTOCOL_HEADER && request.headers.get(PROTOCOL_HEADER) === 'https') return true;
	return Boolean((platform?.req?.socket as { encrypted?: boolean } | undefined)?.encrypted);
}

/** The name of the cookie that keeps a session; under TLS no other page of this machine can set it. */
const cookieName = (encrypted: boolean) => (encrypted ? '__Host-session' : 'session');

/** Hands a new session to the browser, in place of whatever it had. */
export function keepSession(
	event: Pick<RequestEvent, 'cookies' | 'platform' | 'request'>,
	{ token, expiresAt }: { token: string; expiresAt: Date }
): void {
	const encrypted = isEncrypted(event);
	event.cookies.set(cookieName(encrypted), token, {
		path: '/',
		httpOnly: true,
		sameSite: 'lax',
		secure: encrypted,
		// so long, not until then: a device whose clock is a year ahead stays signed in
		maxAge: Math.max(0, Math.round((expiresAt.getTime() - Date.now()) / 1000))
	});
}

/** Takes the session out of the browser. */
export function dropSession(event: Pick<RequestEvent, 'cookies' | 'platform' | 'request'>): void {
	const encrypted = isEncrypted(event);
	event.cookies.delete(cookieName(encrypted), { path: '/', secure: encrypted });
}

const tokenOf = (cookies: Cookies, encrypted: boolean) => cookies.get(cookieName(encrypted));

/** The process that started this server reads the book each night, with a token that the two share. */
function isOwn(request: Request): boolean {
	const own = environment().ANTHYPOS_OWN_TOKEN;
	const [, given] = /^Bearer (\S+)$/.exec(request.headers.get('authorization') ?? '') ?? [];
	if (!own || !given || own.length !== given.length) return false;
	return timingSafeEqual(Buffer.from(own), Buffer.from(given));
}
/** Whoever started this process. */
const OWN: Person = { id: '', name: 'this machine', mark: '', right: 'keeper', sessionId: '', device: '' };

/** The action of a page's form that a request names: `?/save` is `save`. */
const actionOf = (url: URL) => [...url.searchParams.keys()].find((k) => k.startsWith('/'))?.slice(1) ?? '';

/** Whether somebody may; an instrument shows its own token to its own route, which looks at it. */
const allows = (may: May, person: Person | null) =>
	may === 'public' ||
	may === 'instrument' ||
	(person !== null && (may === 'signed in' || person.right === 'keeper'));

/** Where a device whose session was ended in the middle of a pour still leaves what it holds. */
const TAKES_LATE = /^\/api\/(pours|makings)\/\[id\]\/events$/;

const rates = new Rates();
const TOO_OFTEN = 'That is too often: wait a moment, and try again.';
const SIGNED_OUT = 'You are not signed in, or no longer: sign in in another window, then try again.';
const NOT_YOURS = 'Only keepers may do this: ask one of them.';

/** A refusal in the shape that a form of a page reads, and a script. */
const refusal = (status: number, message: string, headers: Record<string, string> = {}): Response =>
	json(
		{ type: 'error', status, error: { message }, message, errors: [{ path: '', message }] },
		{ status, headers: { ...headers, 'cache-control': 'no-store' } }
	);

/**
 * Says who asks, and refuses what they may not. Where nobody has to sign in everybody is a keeper, and nothing changes.
 * @returns an answer that refuses; nothing where the request may go on
 */
export async function gate(event: RequestEvent): Promise<Response | undefined> {
	const { locals, request, url, route } = event;
	locals.person = null;
	locals.wantsSignIn = wantsSignIn();
	if (!locals.wantsSignIn) return undefined;
	const encrypted = isEncrypted(event);
	const token = tokenOf(event.cookies, encrypted);
	locals.person = isOwn(request) ? OWN : (token && (await personOf(token))) || null;
	locals.device = locals.person?.device || undefined;
	const waitMs = locals.person === OWN ? 0 : rates.take(locals.person?.sessionId ?? event.getClientAddress());
	if (waitMs > 0) return refusal(429, TOO_OFTEN, { 'retry-after': String(Math.ceil(waitMs / 1000)) });
	const may =
		mayOf(route.id ?? '', request.method, actionOf(url)) ?? (route.id === null ? 'signed in' : undefined);
	if (may !== undefined && allows(may, locals.person)) return undefined;
	if (token && request.method === 'POST' && TAKES_LATE.test(route.id ?? '')) {
		const late = await endedOf(token);
		if (late) {
			locals.untilMs = late.endedAtMs;
			locals.device = late.device;
			await note(late, 'late-events', `${late.device}, ${url.pathname}`);
			return undefined;
		}
	}
	const wantsPage = request.method === 'GET' && (request.headers.get('accept') ?? '').includes('text/html');
	if (locals.person === null && wantsPage) {
		const page = (await isAnybody()) ? '/sign-in' : '/sign-in/first';
		redirect(303, `${page}?to=${encodeURIComponent(url.pathname + url.search)}`);
	}
	const [status, message] =
		locals.person === null ? ([401, SIGNED_OUT] as const) : ([403, NOT_YOURS] as const);
	return refusal(status, message);
}

/** Where somebody wanted to go before they signed in: a page of ours, and no other. */
export function whereTo(url: URL): string {
	const to = url.searchParams.get('to') ?? '/';
	return /^\/(?![/\\])/.test(to) && !to.startsWith('/sign-in') ? to : '/';
}
