import { untrack } from 'svelte';
import { cutShort, type BenchStep, type CastFindings, type CastPicture, type Grade } from '$lib/core/bench';
import type { castFindings } from '$lib/core/bench/events';
import type { Fault } from '$lib/core/faults';
import type { PourPlan } from '$lib/core/plan';
import { formatQuantity, type UnitSystem } from '$lib/core/units';
import type { Devices } from '../devices.svelte';
import type { Happening, PourRun } from '../pourRun.svelte';
import { Scale } from './scale.svelte';

const WHO = 'released-by';
export const WHO_LONGEST = 60;
// a browser that keeps nothing, or refuses to, still pours
function keptWho(): string {
	try {
		return localStorage.getItem(WHO) ?? '';
	} catch {
		return '';
	}
}
function keepWho(who: string): void {
	try {
		localStorage.setItem(WHO, who);
	} catch {
		// it is typed again the next time
	}
}

/** What is on the desk beside the pour: readings about to be kept, grades about to be given, and the one press. */
export class Desk {
	/** The rules of what is found on a cast, once they are here; until then the server alone holds to them. */
	rules: typeof castFindings | undefined;
	air = $state({ roomTempC: 21, relativeHumidity: 45, mouldTempC: 21 });
	gaugeKpa = $state(0);
	/** Read, and just as it stands there: said by a press. */
	confirmed = $state<{ air: boolean; gauge: string }>({ air: false, gauge: '' });
	/** What stood there before anybody touched it: the plan's, and nobody's reading. */
	readonly #untouched: { air: string; gaugeKpa: number };
	/** Who lets the pressure out; the one of the last time until another is typed. */
	who = $state(keptWho());
	grades = $state<
		{
			id: string;
			number: number;
			grade: Grade | '';
			faults: Fault[];
			note: string;
			findings: CastFindings;
			pictures: CastPicture[];
		}[]
	>([]);
	/** Of several cups of colours the one that the thermometer is held at. */
	#cup = $state(0);
	/** What is asked before a wait is cut short; the same press once more ends it. */
	asks = $state('');
	#askedFor = '';
	/** A grade is missing, or a note is too long. */
	wanting = $state(false);
	readonly scale: Scale;
	readonly #run: PourRun;
	readonly #devices: Devices;
	#lastPressMs = 0;

	readonly #system: () => UnitSystem;
	constructor(run: PourRun, devices: Devices, system: () => UnitSystem) {
		this.#system = system;
		this.#run = run;
		this.#devices = devices;
		this.scale = new Scale(run, devices, system);
		const { plan } = run;
		this.air = {
			roomTempC: plan.roomTempC,
			relativeHumidity: plan.relativeHumidity,
			mouldTempC: plan.mouldTempC
		};
		this.gaugeKpa = plan.pot?.targetGaugeKpa ?? 0;
		this.#untouched = { air: JSON.stringify(this.air), gaugeKpa: this.gaugeKpa };
		this.grades = plan.moulds.map((m) => ({
			id: m.id,
			number: m.number,
			grade: '',
			faults: [],
			note: '',
			findings: {},
			pictures: []
		}));
		// what a device says stands in the field until it is kept, unless it is typed by hand
		$effect(() => {
			const [air, gun, gauge] = [
				devices.live('hygrometer'),
				devices.live('infraredThermometer'),
				devices.live('gauge')
			];
			const kind = run.current?.kind;
			untrack(() => {
				if (kind === 'air' && air) {
					this.air.roomTempC = air.value;
					this.air.relativeHumidity = air.second ?? this.air.relativeHumidity;
				}
				if (kind === 'air' && gun) this.air.mouldTempC = gun.value;
				if ((kind === 'pump' || kind === 'hold') && gauge) this.gaugeKpa = gauge.value;
			});
		});
	}

	/** Whether an amount is weighed now: a measuring step, or an addition that mends the ratio. */
	readonly weighs = $derived.by(() => {
		const step = this.#run.current;
		return this.scale.mend !== undefined || (step?.kind === 'measure' && step.amount !== undefined);
	});

	get cup(): number {
		return this.#cup;
	}
	/** Readings from here on are of that cup; a simulated gun is held at it. */
	set cup(cup: number) {
		if (cup === this.#cup) return;
		this.#cup = cup;
		if (this.#devices.simulated) this.#devices.act({ kind: 'aim', cup });
	}

	back(): void {
		const { lastUndoable } = this.#run.state;
		if (lastUndoable) this.#run.record({ kind: 'undone', eventId: lastUndoable });
	}

	/** The compressor of a simulated pot. */
	pot(to: 'pump' | 'hold' | 'release'): void {
		this.#devices.act({ kind: 'pot', to, targetGaugeKpa: this.#run.plan.pot?.targetGaugeKpa ?? 0 });
	}

	/** A bounce of the key or a nervous second tap is not a second step. */
	press(): void {
		const atMs = Date.now();
		if (atMs - this.#lastPressMs < 350) return;
		this.#lastPressMs = atMs;
		if (!this.#done()) this.#lastPressMs = 0;
	}

	#done(): boolean {
		const run = this.#run;
		const step = run.current;
		if (!step || run.state.status !== 'open') return false;
		if (this.#asksFirst(step.id)) return false;
		const finished: Happening = { kind: 'step-done', stepId: step.id };
		const weighed = this.scale.end(finished);
		if (!weighed) return false;
		if (weighed.length !== 1 || weighed[0] !== finished) {
			run.record(...weighed);
			return true;
		}
		switch (step.kind) {
			case 'air':
				if (!this.airRead) run.record(finished);
				else
					run.record(
						{ kind: 'air-read', ...$state.snapshot(this.air), ...this.#devices.mark('hygrometer') },
						finished
					);
				break;
			case 'pump':
				run.record(...this.#pressure(step.id), finished);
				if (this.#devices.simulated) this.pot('hold');
				break;
			case 'hold':
				if (this.who.trim().length > WHO_LONGEST) return false;
				keepWho(this.who.trim());
				run.record(...this.#pressure('release'), finished);
				if (this.#devices.simulated) this.pot('release');
				break;
			case 'inspect':
				return this.#finish(finished);
			default:
				run.record(finished);
		}
		return true;
	}

	/** A wait with much of it to go is not ended by one press, which may have been a slip. */
	#asksFirst(stepId: string): boolean {
		const { plan, steps, state } = this.#run;
		const now = this.live();
		const cut = cutShort(now?.plan ?? plan, now?.steps ?? steps, state, state.current, this.#run.nowMs());
		const asked = this.#askedFor === stepId;
		[this.#askedFor, this.asks] = ['', ''];
		if (!cut || asked) return false;
		this.#askedFor = stepId;
		const time = (s: number) => formatQuantity(s, 'time', this.#system());
		this.asks = `Only ${time(cut.waitedS)} of ${time(cut.wantedS)} have passed. Press once more to end it early; ${this.#run.plan.moulds.length > 0 ? 'the ledger says so' : 'it is noted'}.`;
		return true;
	}
	/** Plan and steps with the times that readings make of them now; the bench gives them. */
	live: () => { plan: PourPlan; steps: readonly BenchStep[] } | undefined = () => undefined;

	/** Whether room, humidity and mould were read, by an instrument or by somebody who touched a figure. */
	get airRead(): boolean {
		const live =
			this.#devices.live('hygrometer') !== undefined ||
			this.#devices.live('infraredThermometer') !== undefined;
		return live || this.confirmed.air || JSON.stringify(this.air) !== this.#untouched.air;
	}
	/** The gauge was read: a figure that nobody touched is the plan's. */
	get gaugeRead(): boolean {
		return (
			this.#devices.live('gauge') !== undefined ||
			this.confirmed.gauge === this.#run.current?.id ||
			this.gaugeKpa !== this.#untouched.gaugeKpa
		);
	}
	#pressure(stepId: string): Happening[] {
		const who = stepId === 'release' ? this.who.trim() : '';
		return [
			{
				kind: 'pressure-read',
				stepId,
				...(this.gaugeRead ? { gaugeKpa: this.gaugeKpa, ...this.#devices.mark('gauge') } : {}),
				...(who ? { who } : {})
			}
		];
	}

	/** What else was found, as far as anything was; places of faults that were unchosen again are left out. */
	#findings(g: (typeof this.grades)[number]): { findings?: CastFindings } {
		const { places, ...rest } = $state.snapshot(g.findings) as CastFindings;
		const kept = Object.entries(places ?? {}).filter(
			([fault, at]) => at && g.faults.includes(fault as Fault)
		);
		const found = Object.fromEntries(Object.entries(rest).filter(([, v]) => v !== undefined && v !== ''));
		const findings = { ...found, ...(kept.length ? { places: Object.fromEntries(kept) } : {}) };
		return g.grade && Object.keys(findings).length ? { findings } : {};
	}

	#finish(finished: Happening): boolean {
		if (
			this.grades.some(
				(g) => !g.grade || g.note.length > 2000 || this.rules?.safeParse(g.findings).success === false
			)
		) {
			this.wanting = true;
			return false;
		}
		const graded = this.grades.map((g) => ({
			kind: 'graded' as const,
			mouldId: g.id,
			grade: g.grade as Grade,
			faults: g.grade === 'good' ? [] : [...g.faults],
			note: g.note,
			...this.#findings(g),
			...(g.pictures.length ? { pictures: $state.snapshot(g.pictures) } : {})
		}));
		this.#run.record(...graded, finished, { kind: 'finished' });
		return true;
	}
}
