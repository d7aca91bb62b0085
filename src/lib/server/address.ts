import type { WorkshopSettings } from '$lib/core/workshop';

/** Names and numbers that mean this very machine. */
const LOOPBACK = /^(localhost|.*\.localhost|127(\.\d{1,3}){3}|\[::1\])$/i;

export interface Address {
	/** Scheme and host, without a slash at its end. */
	base: string;
	/** Only the machine itself is reached by it: said beside whatever is printed. */
	loopback: boolean;
}

/** What is said where a printed code leads only to the machine that printed it. */
export const LOOPBACK_WORDS =
	'This code opens on this machine only: give the workshop’s address in the settings, and print it again.';

/**
 * Where a printed code or a calendar link leads: the workshop's own address, else the name that this request used,
 * with the scheme of its connection and not a guess.
 */
export function addressOf(
	settings: Pick<WorkshopSettings, 'address'>,
	url: URL,
	platform: Readonly<App.Platform> | undefined
): Address {
	const encrypted = Boolean((platform?.req?.socket as { encrypted?: boolean } | undefined)?.encrypted);
	const base = (settings.address || `${encrypted ? 'https' : 'http'}://${url.host}`).replace(/\/$/, '');
	return { base, loopback: LOOPBACK.test(new URL(base).hostname) };
}
