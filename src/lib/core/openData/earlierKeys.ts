type Row = Record<string, unknown>;

const isRecord = (value: unknown): value is Row =>
	value !== null && typeof value === 'object' && !Array.isArray(value);

/** Keys that versions before 0.11 wrote, the name of today, and what their value must be to be meant. */
const RENAMED: Readonly<Record<string, { to: string; meant: (value: unknown) => boolean }>> = {
	potConversion: { to: 'potLifeConversion', meant: () => true },
	level: { to: 'severity', meant: (value) => value === 'harm' || value === 'care' },
	filled: { to: 'fillerMix', meant: (value) => isRecord(value) && Array.isArray(value['fillers']) }
};

/**
 * Anything that was stored, with today's names for its keys, however deep they stand; values stay as they are.
 * What has today's name already keeps it. Given twice it changes nothing more.
 * @example
 * withKeysOfToday({ cure: { potConversion: 0.3 } }); // { cure: { potLifeConversion: 0.3 } }
 */
export function withKeysOfToday(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(withKeysOfToday);
	if (!isRecord(value)) return value;
	const entries = Object.entries(value).map(([key, inner]): [string, unknown] => {
		const renamed = Object.hasOwn(RENAMED, key) ? RENAMED[key]! : undefined;
		const fits = renamed && renamed.meant(inner) && !Object.hasOwn(value, renamed.to);
		return [fits ? renamed.to : key, withKeysOfToday(inner)];
	});
	return Object.fromEntries(entries);
}
