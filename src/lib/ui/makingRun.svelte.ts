import { makingSteps, reduceMaking, type MakingEvent } from '$lib/core/making';
import type { MakingPlan } from '$lib/core/mould';
import type { Units } from './units.svelte';
import { EventRun } from './eventRun.svelte';

/** The making of a mould as this device knows it. */
export class MakingRun extends EventRun<MakingEvent> {
	readonly plan: MakingPlan;
	readonly #units: Units;
	readonly steps = $derived.by(() => makingSteps(this.plan, this.#units.system, this.#units.scaleStepG));
	readonly state = $derived.by(() => reduceMaking(this.steps, this.events));
	readonly current = $derived.by(() => this.steps[this.state.current]);

	constructor(
		mouldId: string,
		plan: MakingPlan,
		known: { events: readonly MakingEvent[]; lastSeq: number },
		units: Units
	) {
		super(mouldId, `/api/makings/${mouldId}/events`, known);
		this.plan = plan;
		this.#units = units;
	}
}
