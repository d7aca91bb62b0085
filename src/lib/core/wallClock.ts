/**
 * Whether a time zone is known here.
 * @example
 * isZone('Europe/Paris'); // true
 */
export function isZone(zone: string): boolean {
	try {
		return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone.length > 0;
	} catch {
		return false;
	}
}

const clocks = new Map<string, Intl.DateTimeFormat>();

/**
 * What a clock in a zone shows, as if it were one in UTC, ms.
 * @example
 * wallMs(Date.UTC(2026, 6, 1, 10), 'Europe/Paris') === Date.UTC(2026, 6, 1, 12); // true
 */
export function wallMs(atMs: number, zone: string): number {
	let format = clocks.get(zone);
	if (!format) {
		format = new Intl.DateTimeFormat('en-GB', {
			timeZone: zone,
			hourCycle: 'h23',
			year: 'numeric',
			month: '2-digit',
			day: '2-digit',
			hour: '2-digit',
			minute: '2-digit',
			second: '2-digit'
		});
		clocks.set(zone, format);
	}
	const p = Object.fromEntries(format.formatToParts(atMs).map((x) => [x.type, Number(x.value)]));
	return Date.UTC(p['year']!, p['month']! - 1, p['day'], p['hour'], p['minute'], p['second']);
}

/**
 * The moment at which a clock in a zone shows a day and time; of an hour that does not exist the one after it.
 * @param wall what it shows, as if it were one in UTC, ms
 * @example
 * momentOf(Date.UTC(2026, 6, 1, 12), 'Europe/Paris') === Date.UTC(2026, 6, 1, 10); // true
 */
export function momentOf(wall: number, zone: string): number {
	let at = wall;
	for (let k = 0; k < 3; k++) at += wall - wallMs(at, zone);
	return at;
}
