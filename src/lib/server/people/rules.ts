/** Who may: anybody, an instrument by its token, whoever is signed in, keepers. */
export const MAY = ['public', 'instrument', 'signed in', 'keeper'] as const;
export type May = (typeof MAY)[number];

interface Rule {
	/** The route's id, and all under it unless `only`. */
	path: string;
	only?: true;
	read: May;
	write: May;
	/** Actions of a page that somebody else may than its other ones. */
	actions?: Readonly<Record<string, May>>;
}

const work = (path: string): Rule => ({ path, read: 'signed in', write: 'signed in' });
const keepers = (path: string): Rule => ({ path, read: 'keeper', write: 'keeper' });

/** What every route of the application asks for; one that stands nowhere here is let to nobody. */
export const RULES: readonly Rule[] = [
	{ path: '/sign-in', read: 'public', write: 'public' },
	{ path: '/api/instruments/reading', read: 'instrument', write: 'instrument' },
	{ path: '/settings', only: true, read: 'signed in', write: 'keeper', actions: { theme: 'signed in' } },
	keepers('/settings/instruments'),
	keepers('/people'),
	work('/me'),
	keepers('/workshop'),
	// the calendar and the schema of the book are read by whoever works here
	{ path: '/workshop/calendar.ics', read: 'signed in', write: 'keeper' },
	{ path: '/workshop/schema.json', read: 'signed in', write: 'keeper' },
	{ path: '/api/workshop', read: 'keeper', write: 'keeper' },
	{ path: '/', only: true, read: 'signed in', write: 'signed in' },
	...[
		'/api/calc',
		'/api/clocks',
		'/api/find',
		'/api/makings',
		'/api/meshes',
		'/api/photos',
		'/api/pours',
		'/api/progress',
		'/cure',
		'/first',
		'/how',
		'/keys',
		'/ledger',
		'/masters',
		'/mix',
		'/moulds',
		'/orders',
		'/photos',
		'/pots',
		'/pour',
		'/practice',
		'/quick',
		'/shelf',
		'/shots'
	].map(work)
];

const fits = ({ path, only }: Rule, route: string) =>
	route === path || (!only && path !== '/' && route.startsWith(`${path}/`));

/**
 * The rule of a route: the longest that fits.
 * @param route its id, such as `/moulds/[id]`
 */
export const ruleOf = (route: string): Rule | undefined =>
	RULES.filter((r) => fits(r, route)).sort((a, b) => b.path.length - a.path.length)[0];

/**
 * Who may ask a route in this way; nothing where no rule says so.
 * @param action of a form of a page, where it is one
 */
export function mayOf(route: string, method: string, action = ''): May | undefined {
	const rule = ruleOf(route);
	if (!rule) return undefined;
	if (method === 'GET' || method === 'HEAD' || method === 'OPTIONS') return rule.read;
	return rule.actions?.[action] ?? rule.write;
}
