import {
	DEVICES,
	simulatedReading,
	simulatedShop,
	type DeviceCommand,
	type SimulatedShop
} from '$lib/core/devices';
import { lateS, practiceScore, groundTruth, scaleFails, shopChange, type SlipName } from '$lib/core/practice';
import { type PourPlan } from '$lib/core/plan';
import { cupClocks, withSteps } from '$lib/core/bench';
import type { UnitSystem } from '$lib/core/units';
import type { DeviceSource } from '../devices.svelte';
import { newId } from '../newId';
import { PourRun } from '../pourRun.svelte';

const READ_EVERY_MS = 200;

/** A pour against a shop that is simulated in this page: nothing is sent, nothing is kept, its clock may be put forward. */
export class PracticeRun extends PourRun {
	readonly slips: readonly SlipName[];
	readonly #shop: SimulatedShop;
	#aheadMs = 0;
	#commands: DeviceCommand[] = [];
	// eslint-disable-next-line svelte/prefer-svelte-reactivity -- remembered, never drawn
	readonly #thrown = new Set<string>();
	/** What just happened to the maker, until the next step. */
	happened = $state('');

	constructor(plan: PourPlan, slips: readonly SlipName[], seed: number, system: UnitSystem) {
		super('practice', withSteps(plan, system), { events: [], lastSeq: 0 });
		this.slips = slips;
		this.#shop = simulatedShop(
			plan,
			{ seed, scaleResolutionG: plan.scaleResolutionG ?? 1 },
			shopChange(slips)
		);
		$effect(() => this.#throwIn(this.current?.id));
	}

	override get practice(): boolean {
		return true;
	}
	override nowMs(): number {
		return Date.now() + this.#aheadMs;
	}
	protected override keep(): void {
		// practice leaves nothing behind
	}

	/** Puts the clock of this pour forward. */
	forward(s: number): void {
		this.#aheadMs += Math.max(0, s) * 1000;
	}

	/** The slips that belong to a step happen when it is reached, each once. */
	#throwIn(stepId: string | undefined): void {
		const step = this.current;
		if (!step || this.#thrown.has(stepId!)) return;
		this.#thrown.add(stepId!);
		this.happened = '';
		const once = (what: string) => !this.#thrown.has(what) && this.#thrown.add(what);
		if (step.part === 'A' && scaleFails(this.slips) && once('scale')) {
			this.#tell({ kind: 'fails', device: 'scale', how: 'silent' });
		}
		const late = lateS(this.slips);
		if (step.role === 'mix' && late > 0 && once('late')) {
			this.forward(late);
			this.happened = `You were called to the door: ${late} seconds are gone.`;
		}
	}

	#tell(action: Omit<Extract<DeviceCommand, { kind: 'fails' }>, 'id' | 'atMs'>): void {
		this.#commands.push({ ...action, id: newId(), atMs: this.nowMs() });
	}

	/** The devices of this shop. */
	readonly source: DeviceSource = {
		open: (heard) => {
			const read = () => {
				const shop = { ...this.#shop, cups: cupClocks(this.steps, this.state.doneAtMs) };
				const atMs = this.nowMs();
				heard(DEVICES.flatMap((kind) => simulatedReading(kind, shop, this.#commands, atMs) ?? []));
			};
			read();
			const timer = setInterval(read, READ_EVERY_MS);
			return () => clearInterval(timer);
		},
		send: (command) => void this.#commands.push(command)
	};

	/** Points, once it is over. */
	score() {
		return practiceScore({
			plan: this.plan,
			steps: this.steps,
			state: this.state,
			truth: groundTruth(this.plan, shopChange(this.slips)),
			shop: this.#shop,
			commands: this.#commands
		});
	}
}
