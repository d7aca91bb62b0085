import type { FieldError } from '$lib/core/fieldErrors';
import { valueOf } from '$lib/core/outcome';
import type { ProposedShare, Sizing, SizingQuestion } from '$lib/core/plan';
import type { OtherResin, PlannedShot, WhatIf } from '$lib/core/shot';
import { FreshPlanner } from '$lib/workers/planner';

/** A change is worked out when nothing was changed for so long, ms. */
const SETTLES_MS = 60;

/** Who works a shot out: the planner in its worker, or a test's. */
type Planner = Pick<FreshPlanner, 'ask' | 'stop'>;

/** The shot that is being sized: worked out off the main thread at every change; only the newest answer counts. */
export class Planning {
	planned = $state.raw<PlannedShot>();
	/** What the newest inputs were refused for. */
	problems = $state.raw<readonly FieldError[]>([]);
	/** What it costs, touches, and how thick it is where it is thickest. */
	beside = $state.raw<Omit<Sizing, 'shot'>>();
	whatIf = $state.raw<{ sensitivity: WhatIf[]; helps: WhatIf[]; share?: ProposedShare }>();
	#asked = 0;
	// the shot is answered while a dozen what-ifs of the one before are still worked out
	readonly #plans: Planner;
	readonly #whatIfs: Planner;

	constructor(plans: Planner = new FreshPlanner(), whatIfs: Planner = new FreshPlanner()) {
		this.#plans = plans;
		this.#whatIfs = whatIfs;
	}

	/** There is nothing to be worked out yet. */
	clear(): void {
		this.#asked++;
		this.planned = undefined;
		this.beside = undefined;
		this.problems = [];
	}

	/** Works a shot out, and then what would change it; returns what calls it off. */
	ask(question: SizingQuestion, others: readonly OtherResin[]): () => void {
		const mine = ++this.#asked;
		const timer = setTimeout(() => void this.#workOut(mine, question, others), SETTLES_MS);
		return () => clearTimeout(timer);
	}

	async #workOut(mine: number, question: SizingQuestion, others: readonly OtherResin[]): Promise<void> {
		const sized = await this.#plans.ask((p) => p.sizing(question));
		if (mine !== this.#asked || !sized) return;
		const { shot, ...beside } = sized;
		this.planned = valueOf(shot);
		this.problems = shot.ok ? [] : shot.errors;
		this.beside = beside;
		this.whatIf = undefined;
		if (!this.planned) return;
		const answer = await this.#whatIfs.ask((p) => p.sizingWhatIf(question, [...others]));
		if (mine === this.#asked) this.whatIf = answer && valueOf(answer);
	}

	/** Sentences for a field of one entry of a list; nothing when it is well. */
	in(list: string, index: number, field: string): string[] | undefined {
		const found = this.problems.filter((p) => p.path === `${list}.${index}.${field}`).map((p) => p.message);
		return found.length > 0 ? found : undefined;
	}
	/** Sentences for a field and all in it; nothing when it is well. */
	at(field: string): string[] | undefined {
		const found = this.problems.filter((p) => p.path.split('.')[0] === field).map((p) => p.message);
		return found.length > 0 ? found : undefined;
	}

	stop(): void {
		this.#plans.stop();
		this.#whatIfs.stop();
	}
}
