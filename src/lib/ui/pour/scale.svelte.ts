import { untrack } from 'svelte';
import { weighing } from '$lib/core/devices';
import { offRatio, targetOf, type RatioNow } from '$lib/core/bench';
import { formatQuantity, type UnitSystem } from '$lib/core/units';
import type { Devices } from '../devices.svelte';
import type { Happening, PourRun } from '../pourRun.svelte';

/** Seconds in which a full stream would fill the target. */
const POURS_IN_S = 8;

/** A zero that does not show in the readings within this is not waited for any longer, ms. */
const ZERO_WITHIN_MS = 8000;

/**
 * The scale at the step at hand: what should be in the cup, what is, whether that may stand, and the amount
 * that mends an over-pour.
 */
export class Scale {
	/** Typed instead of weighed, g. */
	typedG = $state<number | undefined>();
	/** Why the step could not be ended. */
	said = $state('');
	/** What stood in the cup when its step was gone back to, and what the scale showed at that moment. */
	#held = $state.raw<{ massG: number; shownG?: number } | undefined>();
	/** The step whose amount the maker stands for, though the scale cannot be heard. */
	#vouched = '';
	readonly #run: PourRun;
	readonly #devices: Devices;
	readonly #system: () => UnitSystem;
	#streaming = false;
	/** When it was zeroed, and what stood on it then. */
	#zeroed = $state.raw<{ atMs: number; fromG: number } | undefined>();

	constructor(run: PourRun, devices: Devices, system: () => UnitSystem) {
		this.#run = run;
		this.#devices = devices;
		this.#system = system;
		let [before, own] = [undefined as string | undefined, run.ownCount];
		$effect(() => {
			const { mend } = this;
			const { current: step, state } = run;
			// one addition may follow another: of the other side, or of what is still missing
			const at = `${step?.id}${mend ? `+${mend.stepId}:${mend.addG}` : ''}`;
			untrack(() => {
				// a step that another device ended was zeroed there: here it would wipe what is in the cup already
				const here = run.ownCount !== own;
				own = run.ownCount;
				if (at === before) return;
				this.said = '';
				this.#vouched = '';
				// gone back to: what was weighed is still in the cup
				const heldG = step?.kind === 'measure' && !mend ? state.weighedG[step.id] : undefined;
				this.typedG = heldG;
				this.#held = heldG === undefined ? undefined : { massG: heldG };
				// each cup, and each addition, is weighed from nothing
				if (here && before !== undefined && heldG === undefined && (step?.kind === 'measure' || mend))
					this.zero();
				before = at;
			});
		});
		$effect(() => {
			const [reading, held] = [this.#devices.live('scale'), this.#held];
			if (reading && held && held.shownG === undefined) this.#held = { ...held, shownG: reading.value };
		});
		$effect(() => {
			// the scale has let go of what stood on it: the zero is through
			const reading = this.#devices.live('scale');
			untrack(() => {
				if (reading && this.#zeroed && Math.abs(reading.value) <= Math.abs(this.#zeroed.fromG) / 2)
					this.#zeroed = undefined;
			});
		});
	}

	/** The ratio as weighed is past its tolerance: this step does not end before it is mended. */
	readonly mend = $derived.by((): RatioNow['mend'] | undefined => {
		const step = this.#run.current;
		return step && offRatio(this.#run.plan, step, this.#run.state)?.mend;
	});
	readonly mendWords = $derived.by(() => {
		const step = this.#run.current;
		return (step && offRatio(this.#run.plan, step, this.#run.state)?.words) ?? '';
	});
	readonly #target = $derived.by(() => {
		const step = this.#run.current;
		if (this.mend) return { massG: this.mend.addG, factor: 1, markMm: undefined };
		return step && targetOf(this.#run.plan, step, this.#run.state);
	});
	readonly targetG = $derived(this.#target?.massG ?? 0);
	/** Where the cup is filled to, by the school that measures by marks; nothing while the ratio is mended. */
	readonly markMm = $derived.by(() =>
		this.#run.plan.measuring === 'marks' ? this.#target?.markMm : undefined
	);
	readonly factor = $derived(this.#target?.factor ?? 1);
	/** A zero is under way: until it has come through, the scale still shows what stood on it before. */
	readonly zeroing = $derived.by(() => {
		const reading = this.#devices.live('scale');
		return (
			reading !== undefined &&
			this.#zeroed !== undefined &&
			reading.atMs < this.#zeroed.atMs + ZERO_WITHIN_MS &&
			Math.abs(reading.value) > Math.abs(this.#zeroed.fromG) / 2
		);
	});
	readonly netG = $derived.by(() => {
		const reading = this.#devices.live('scale');
		if (!reading || this.zeroing) return 0;
		return this.#held
			? this.#held.massG + reading.value - (this.#held.shownG ?? reading.value)
			: reading.value;
	});
	readonly now = $derived.by(() =>
		this.targetG > 0 && this.#devices.live('scale')
			? weighing(
					this.targetG,
					this.netG,
					this.#run.plan.scaleResolutionG ?? 1,
					this.#run.plan.tolerancePercent
				)
			: undefined
	);
	/** Listened to and not typed, but silent or talking nonsense: what is in the cup is not known. */
	get #lost(): boolean {
		const state = this.#devices.state('scale');
		return state === 'silent' || state === 'nonsense' || state === 'waiting';
	}
	get typedProblem(): string {
		if (this.typedG === undefined) return '';
		if (this.typedG < 0) return 'A cup cannot hold less than nothing.';
		return this.typedG > 1e6 ? 'Over a tonne: check the unit.' : '';
	}

	zero(): void {
		const reading = this.#devices.live('scale');
		if (!reading) return;
		// what is hardly there cannot be seen to go
		const fromG = Math.abs(reading.value) > 2 * (this.#run.plan.scaleResolutionG ?? 1) ? reading.value : 0;
		this.#zeroed = fromG === 0 ? undefined : { atMs: this.#run.nowMs(), fromG };
		this.#held = undefined;
		this.#devices.act({ kind: 'zero' });
	}
	/** Hold to pour: a simulated stream into the cup. */
	stream(on: boolean, slow = false): void {
		if (on === this.#streaming || (on && (!this.now || this.zeroing))) return;
		this.#streaming = on;
		this.said = '';
		const full = Math.max(2, this.targetG / POURS_IN_S);
		const gPerS = slow ? Math.max(0.5, full / 8) : full;
		this.#devices.act({ kind: 'stream', on, gPerS: on ? gPerS : 0 });
	}

	/**
	 * What ends this step as far as the scale goes: events to note, or nothing with the reason in `said`.
	 * A mended ratio is noted and, in one cup, ends the step with it.
	 */
	end(finished: Happening): readonly Happening[] | undefined {
		const step = this.#run.current;
		if (!step || (step.kind !== 'measure' && !this.mend)) return [finished];
		this.said = this.typedProblem;
		if (this.said) return undefined;
		const shown = this.#devices.live('scale') ? this.netG : this.typedG;
		if (this.#devices.live('scale') && this.now && this.now.state !== 'right' && this.now.state !== 'over') {
			const g = (value: number) => formatQuantity(value, 'mass', this.#system());
			this.said = `The scale shows ${g(this.netG)} of ${g(this.targetG)}: pour on, or switch the scale to typing.`;
			return undefined;
		}
		if (shown === undefined && this.#lost && this.markMm === undefined && this.#vouched !== step.id) {
			this.#vouched = step.id;
			this.said = `The scale cannot be heard: type what is in the cup, or press once more if it holds the ${formatQuantity(this.targetG, 'mass', this.#system())}.`;
			return undefined;
		}
		const { weighedG } = this.#run.state;
		const by = this.#devices.mark('scale');
		if (this.mend) {
			const { stepId, addG } = this.mend;
			const massG = (weighedG[stepId] ?? 0) + (shown ?? addG);
			const noted: Happening = { kind: 'weighed', stepId, massG, ...by };
			const good = !offRatio(this.#run.plan, step, { weighedG: { ...weighedG, [stepId]: massG } });
			return good && step.kind === 'measure' ? [noted, finished] : [noted];
		}
		if (shown === undefined) return [finished];
		const noted: Happening = { kind: 'weighed', stepId: step.id, massG: shown, ...by };
		// both in one cup: past tolerance the other side is added before this step ends
		const off = offRatio(this.#run.plan, step, { weighedG: { ...weighedG, [step.id]: shown } });
		return off ? [noted] : [noted, finished];
	}
}
