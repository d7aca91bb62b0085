import { newId } from '../newId';
import { conflictsOf, differs, plainFields, withDraft, type Conflict } from './merge';
import { DraftStore, type Draft } from './store';

/** So long after the last key a draft is kept, ms. */
const SETTLES_MS = 300;
const TAB = 'anthypos-tab';

/** A form whose typing is kept: what it holds, and how to put something back. */
export interface DraftedForm {
	read(): Record<string, unknown>;
	write(data: Record<string, unknown>): void;
}
/** What is offered when a page with an unfinished form is opened again. */
export interface Offer {
	draft: Draft;
	conflicts: Conflict[];
	goOn(): void;
	throwAway(): void;
}

/** Forms as they are being typed, across reload, crash and other pages. */
class Drafts {
	offers = $state.raw<readonly Offer[]>([]);
	/** Why nothing is kept on this device; empty while all is well. */
	trouble = $state('');
	readonly #store = new DraftStore();

	/** Every unfinished form of this device, the newest first; none where the device keeps nothing. */
	async all(): Promise<Draft[]> {
		return this.#store.all().catch(() => []);
	}
	async drop(key: string): Promise<void> {
		await this.#store.drop(key).catch(() => undefined);
	}

	/**
	 * Keeps a form from its first key on, and offers what was left unfinished of it.
	 * @param form its name on the page
	 * @returns `saved`: the form is in the books; `stop`: the page is left
	 */
	keep(form: string, of: DraftedForm): { changed(): void; saved(): void; stop(): void } {
		const place = `${location.pathname} ${form}`;
		const href = location.pathname + location.search;
		const key = `${place} ${tabId()}`;
		/** The form before the first touch: what pages fill in by themselves is not typed. */
		let base: Record<string, unknown> | undefined;
		let kept = false;
		let timer: ReturnType<typeof setTimeout> | undefined;
		const touch = () => (base ??= plainFields(of.read()));
		const events = ['pointerdown', 'keydown', 'input', 'drop'] as const;
		for (const e of events) window.addEventListener(e, touch, { capture: true });

		const write = async () => {
			clearTimeout(timer);
			timer = undefined;
			if (!base) return;
			const data = plainFields(of.read());
			if (!differs(data, base)) {
				if (kept) await this.drop(key);
				kept = false;
				return;
			}
			kept = true;
			const title = document.querySelector('h1')?.textContent.trim() ?? document.title;
			try {
				await this.#store.put({ key, place, href, title, savedAtMs: Date.now(), base, data });
				this.trouble = '';
			} catch {
				this.trouble =
					'This device keeps nothing more: what is typed here is lost when the page is left. Save it, or make room.';
			}
		};
		void this.#offer(place, key, of, (draft) => {
			// what is gone on with is this tab's from now on
			base = draft.base;
			void write();
		});
		return {
			changed: () => {
				if (!base) return;
				clearTimeout(timer);
				timer = setTimeout(() => void write(), SETTLES_MS);
			},
			saved: () => {
				clearTimeout(timer);
				base = undefined;
				kept = false;
				void this.drop(key);
			},
			stop: () => {
				for (const e of events) window.removeEventListener(e, touch, { capture: true });
				if (timer) void write();
				this.offers = this.offers.filter((o) => o.draft.place !== place);
			}
		};
	}

	async #offer(place: string, key: string, of: DraftedForm, adopt: (draft: Draft) => void): Promise<void> {
		const left = (await this.all()).filter((d) => d.place === place);
		const leave = (draft: Draft) => (this.offers = this.offers.filter((o) => o.draft.key !== draft.key));
		this.offers = [
			...this.offers.filter((o) => o.draft.place !== place),
			...left.map((draft): Offer => ({
				draft,
				conflicts: conflictsOf(draft.base, draft.data, plainFields(of.read())),
				goOn: () => {
					of.write(withDraft(of.read(), draft.data));
					leave(draft);
					if (draft.key !== key) void this.drop(draft.key);
					adopt(draft);
				},
				throwAway: () => {
					leave(draft);
					void this.drop(draft.key);
				}
			}))
		];
	}
}

/** This tab, across reloads. */
function tabId(): string {
	const known = sessionStorage.getItem(TAB);
	if (known) return known;
	const made = newId();
	sessionStorage.setItem(TAB, made);
	return made;
}

export const drafts = new Drafts();
