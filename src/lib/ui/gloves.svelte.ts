const KEPT = 'gloves';

/** Somebody who may have the gloves on. */
export interface Mark {
	name: string;
	mark: string;
}

/** Who has the gloves on at this device: whoever signed in, until another mark is pressed. No passphrase with sticky hands. */
class Gloves {
	/** Everybody who works here; nobody where nobody signs in. */
	marks = $state.raw<readonly Mark[]>([]);
	#chosen = $state('');
	#own = $state('');

	/** Whose mark stands on what is noted here; nothing where nobody signs in. */
	get mark(): string {
		return this.marks.some((m) => m.mark === this.#chosen) ? this.#chosen : this.#own;
	}

	/** Who works here, and who is signed in at this device. */
	known(marks: readonly Mark[], own: string | undefined): void {
		this.marks = marks;
		this.#own = own ?? '';
		this.#chosen = kept();
	}

	choose(mark: string): void {
		this.#chosen = mark;
		try {
			localStorage.setItem(KEPT, mark);
		} catch {
			// it is pressed again the next time
		}
	}
}

// a browser that keeps nothing, or refuses to, still pours
function kept(): string {
	try {
		return localStorage.getItem(KEPT) ?? '';
	} catch {
		return '';
	}
}

export const gloves = new Gloves();
