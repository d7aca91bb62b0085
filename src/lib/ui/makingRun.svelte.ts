import { makingSteps, reduceMaking, type MakingEvent } from '$lib/core/making';
import type { MakingPlan } from '$lib/core/mould';
import type { UnitSystem } from '$lib/core/units';
import { EventRun } from './eventRun.svelte';

/** The making of a mould as this device knows it. */
export class MakingRun extends EventRun<MakingEvent> {
	readonly plan: MakingPlan;
	readonly #system: () => UnitSystem;
	readonly steps = $derived.by(() => makingSteps(this.plan, this.#system()));
	readonly state = $derived.by(() => reduceMaking(this.steps, this.events));
	readonly current = $derived.by(() => this.steps[this.state.current]);

	constructor(
		mouldId: string,
		plan: MakingPlan,
		known: { events: readonly MakingEvent[]; lastSeq: number },
		system: () => UnitSystem
	) {
		super(mouldId, `/api/makings/${mouldId}/events`, known);
		this.plan = plan;
		this.#system = system;
	}
}
