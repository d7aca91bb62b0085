/**
 * Who may talk to this server. A page of another site must neither write here (cross-site request) nor
 * read here under a name of its own (DNS rebinding), also where the server listens on loopback only.
 */

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Host names that need no permission: this machine, and addresses written as numbers. */
function isLocalName(host: string): boolean {
	const name = host.replace(/:\d+$/, '').toLowerCase();
	return (
		name === 'localhost' ||
		name.endsWith('.localhost') ||
		/^\d{1,3}(\.\d{1,3}){3}$/.test(name) ||
		/^\[[0-9a-f:.]+\]$/.test(name)
	);
}

/**
 * Says why a request is refused, or nothing.
 * @param allowedHosts names besides local ones, from `ALLOWED_HOSTS`, comma separated
 */
export function refusal(request: Request, allowedHosts = ''): string | undefined {
	const host = request.headers.get('host') ?? '';
	const allowed = allowedHosts.split(',').map((h) => h.trim().toLowerCase());
	if (host && !isLocalName(host) && !allowed.includes(host.replace(/:\d+$/, '').toLowerCase())) {
		return `This server does not answer under the name ${host.slice(0, 100)}: put it into ALLOWED_HOSTS.`;
	}
	if (SAFE.has(request.method)) return undefined;
	const origin = request.headers.get('origin');
	if (origin === null) return undefined; // scripts send none; browsers always do for these methods
	let originHost: string;
	try {
		originHost = new URL(origin).host;
	} catch {
		originHost = '';
	}
	return originHost === host ? undefined : 'This request comes from a page of another site.';
}
