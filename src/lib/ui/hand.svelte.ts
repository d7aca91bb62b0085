/** Where the large action stands at the bench: along the foot, or under the thumb of one hand. */
const HANDS = ['both', 'left', 'right'] as const;
export type Hand = (typeof HANDS)[number];

/** The layout that this device was set to; kept on it. */
export class HandLayout {
	hand = $state<Hand>('both');

	/** Reads what was kept. Browser only. */
	start(): void {
		const kept = localStorage.getItem('hand') as Hand;
		if (HANDS.includes(kept)) this.hand = kept;
	}
	next(): void {
		this.hand = HANDS[(HANDS.indexOf(this.hand) + 1) % HANDS.length]!;
		localStorage.setItem('hand', this.hand);
	}
	/** Classes of what holds the step and its action. */
	get frame(): string {
		if (this.hand === 'both') return 'flex min-h-0 flex-1 flex-col';
		return `flex min-h-0 flex-1 gap-3 ${this.hand === 'left' ? 'flex-row-reverse' : 'flex-row'}`;
	}
	/** Classes of the action itself. */
	get action(): string {
		const common =
			'flex cursor-pointer items-center justify-center rounded-2xl bg-(--work) font-bold text-(--work-ink) shadow-lg active:translate-y-px';
		return this.hand === 'both'
			? `${common} mt-2 min-h-[clamp(4.4rem,11.5vh,6.2rem)] w-full gap-5 px-6 text-[clamp(1.35rem,5.4vw,2rem)] leading-tight`
			: `${common} w-[clamp(9rem,22vw,15rem)] shrink-0 flex-col gap-4 px-3 text-center text-[clamp(1.3rem,2.6vw,2rem)] leading-tight`;
	}
}

/**
 * After a press by finger or mouse no button keeps the focus: space is the next step again. Who works by the
 * keyboard keeps it.
 */
export function letGo(event: MouseEvent): void {
	if (event.detail > 0 && document.activeElement instanceof HTMLButtonElement) document.activeElement.blur();
}
