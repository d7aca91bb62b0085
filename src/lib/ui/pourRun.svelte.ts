import { reducePour, sourceOf, type NewPourEvent, type PlanWithSteps, type PourEvent } from '$lib/core/bench';
import { EventRun, type HappeningOf } from './eventRun.svelte';
import { NextPull } from './pour/nextPull.svelte';

export type Happening = HappeningOf<NewPourEvent>;

/** A pour as this device knows it. */
export class PourRun extends EventRun<PourEvent, NewPourEvent> {
	readonly plan: PlanWithSteps;
	readonly next = new NextPull(() => this.unsent);
	readonly steps = $derived.by(() => this.plan.bench);
	/** Devices are simulated, and nothing is kept: what they say counts. */
	get practice(): boolean {
		return false;
	}
	readonly state = $derived.by(() => reducePour(this.steps, this.events, { practice: this.practice }));
	readonly current = $derived.by(() => this.steps[this.state.current]);

	/** What devices noted last, here or at another bench of this pour: no reading is written down twice over. */
	readonly byDevice = $derived.by(() => {
		let [tempMs, holdMs, holdKpa] = [-Infinity, -Infinity, Infinity];
		for (const e of this.events) {
			const own = sourceOf(e) === (this.practice ? 'simulated' : 'device');
			if (!own) continue;
			if (e.kind === 'temp-read') tempMs = Math.max(tempMs, e.atMs);
			if (e.kind === 'pressure-read' && e.gaugeKpa !== undefined && e.stepId === 'hold') {
				holdMs = Math.max(holdMs, e.atMs);
				holdKpa = Math.min(holdKpa, e.gaugeKpa);
			}
		}
		return { tempMs, holdMs, holdKpa };
	});

	constructor(pourId: string, plan: PlanWithSteps, known: { events: readonly PourEvent[]; lastSeq: number }) {
		super(pourId, `/api/pours/${pourId}/events`, known);
		this.plan = plan;
	}
}
