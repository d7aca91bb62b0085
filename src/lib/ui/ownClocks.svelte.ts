import type { Clock } from '$lib/core/bench';

/**
 * Clocks of the work at the bench that is open in this page, as its own events have them: they are right before the
 * server has heard, and without it.
 */
class OwnClocks {
	#own = $state.raw<{ href: string; clocks: readonly Clock[] } | undefined>();

	/** @param href of the bench: what the server says of it stands back */
	show(href: string, clocks: readonly Clock[]): void {
		this.#own = { href, clocks };
	}
	leave(): void {
		this.#own = undefined;
	}
	/** All clocks, with those of the open bench in the place of what the server says of it. */
	over(clocks: readonly Clock[]): readonly Clock[] {
		const own = this.#own;
		return own ? [...clocks.filter((c) => c.href !== own.href), ...own.clocks] : clocks;
	}
}
export const ownClocks = new OwnClocks();
