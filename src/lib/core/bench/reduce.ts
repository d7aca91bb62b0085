import { counts, sourceOf } from './provenance';
import type { CastFindings, CastPicture, PourEvent } from './events';
import type { FAULTS } from '../faults/faults';
import type { Grade } from './grades';
import type { Seen } from './seenWords';
import { cupAt, type CupClock } from '../plan/cupClock';
import type { SeenAt } from './seen';
import { stepName, type BenchStep } from './steps';

export interface Graded {
	grade: Grade;
	faults: readonly (typeof FAULTS)[number][];
	note: string;
	findings?: CastFindings;
	pictures?: readonly CastPicture[];
}

/** A step of the pot: when, and what its gauge said, if anybody read it. */
interface PressureStep {
	atMs: number;
	gaugeKpa?: number;
	who?: string;
}

/** One reading of a cup's temperature. */
export interface CupTemp {
	/** Since this cup was combined, s. */
	timeS: number;
	tempC: number;
	/** Which of several cups or layers, counted from 0. */
	cup: number;
}

/** Filler beyond the plan, and the cup or layer that it went into, counted from 0. */
export interface Added {
	name: string;
	massG: number;
	cup: number;
}

/** Where a pour stands, worked out from its events alone. */
export interface PourState {
	readonly status: 'open' | 'finished' | 'abandoned';
	/** When each step was done, ms since 1970, by step id. */
	readonly doneAtMs: Readonly<Record<string, number>>;
	/** Index of the first step that is not done; the number of steps when all are. */
	readonly current: number;
	readonly combinedAtMs?: number;
	/** End of the pouring step: the mould is full, the part begins to cure in it. */
	readonly pouredAtMs?: number;
	/** End of the last step that needs liquid resin. */
	readonly settledAtMs?: number;
	readonly air?: { roomTempC: number; relativeHumidity: number; mouldTempC: number };
	/** Cup temperatures, in their order; of each cup or layer between its own combining and its pour. */
	readonly temps: readonly CupTemp[];
	/** What stands in each cup, g, by the step in which it was measured. */
	readonly weighedG: Readonly<Record<string, number>>;
	/** What a cup read before it was combined, °C, by the cup counted from 0; the last reading counts. */
	readonly startC: Readonly<Record<number, number>>;
	/** Doses of colour that went in, by the step. */
	readonly doses: Readonly<Record<string, number>>;
	/** What was left of all that was mixed, g; below nothing what was short. */
	readonly leftG?: number;
	/** What was stirred in beyond the plan, in its order. */
	readonly added: readonly Added[];
	/** Lowest gauge reading between reaching the pressure and letting it out, kPa. */
	readonly lowestGaugeKpa?: number;
	/** What the resin was seen to do, s after combining. */
	readonly seen: readonly SeenAt[];
	/** Marks of those who noted something, the first in front. */
	readonly marks: readonly string[];
	/** How many entries were written down afterwards. */
	readonly lateEntries: number;
	readonly reached?: PressureStep;
	readonly released?: PressureStep;
	readonly demouldedAtMs?: number;
	readonly endedAtMs?: number;
	readonly grades: Readonly<Record<string, Graded>>;
	readonly reason?: string;
	/** The event that "back" would take back. */
	readonly lastUndoable?: string;
}

/**
 * Earliest first; equal times in the order of their ids, so that every device agrees.
 * @example
 * inOrder(doneAt({ look: 60, air: 0 })).map((e) => e.stepId); // ['air', 'look']
 */
export function inOrder(events: readonly PourEvent[]): PourEvent[] {
	return [...events].sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1));
}

/**
 * Folds events into the state of a pour. Order of arrival, repeats and a second device do not matter:
 * an event counts once by its id, and a step once by its first event. What a simulator said counts in practice only.
 * @example
 * reducePour(benchSteps(planOf()), doneAt({ look: 0 })).current; // 1
 */
export function reducePour(
	steps: readonly BenchStep[],
	events: readonly PourEvent[],
	{ practice = false } = {}
): PourState {
	const unique = new Map(events.map((e) => [e.id, e]));
	const undone = new Set<string>();
	for (const e of unique.values()) if (e.kind === 'undone') undone.add(e.eventId);
	const live = inOrder([...unique.values()]).filter(
		(e) => !undone.has(e.id) && e.kind !== 'undone' && (practice || counts(e))
	);

	const doneAtMs: Record<string, number> = {};
	const pressure: Record<string, PressureStep> = {};
	const grades: Record<string, Graded> = {};
	const temps: { atMs: number; tempC: number; cup?: number | undefined }[] = [];
	const seen: { what: Seen; atMs: number }[] = [];
	const weighedG: Record<string, number> = {};
	const added: Added[] = [];
	const doses: Record<string, number> = {};
	let lowestGaugeKpa: number | undefined;
	let leftG: number | undefined;
	let air: PourState['air'];
	let status: PourState['status'] = 'open';
	let endedAtMs: number | undefined;
	let reason: string | undefined;
	let lastUndoable: string | undefined;
	for (const e of live) {
		switch (e.kind) {
			case 'step-done':
				doneAtMs[e.stepId] ??= e.atMs;
				if (e.enteredAtMs === undefined) lastUndoable = e.id;
				break;
			case 'air-read':
				air = { roomTempC: e.roomTempC, relativeHumidity: e.relativeHumidity, mouldTempC: e.mouldTempC };
				break;
			case 'temp-read':
				temps.push(e);
				// what a device notes by itself is not what "back" means
				if (sourceOf(e) !== 'device' && sourceOf(e) !== 'simulated' && e.enteredAtMs === undefined)
					lastUndoable = e.id;
				break;
			case 'seen':
				seen.push({ what: e.what, atMs: e.atMs });
				break;
			case 'weighed':
				weighedG[e.stepId] = e.massG;
				break;
			case 'dosed':
				doses[e.stepId] = (doses[e.stepId] ?? 0) + 1;
				if (e.enteredAtMs === undefined) lastUndoable = e.id;
				break;
			case 'added':
				added.push({ name: e.name, massG: e.massG, cup: e.cup ?? 0 });
				if (e.enteredAtMs === undefined) lastUndoable = e.id;
				break;
			case 'left':
				leftG = e.massG;
				break;
			case 'pressure-read':
				pressure[e.stepId] = {
					atMs: e.atMs,
					...given('gaugeKpa', e.gaugeKpa),
					...(e.who ? { who: e.who } : {})
				};
				if (e.gaugeKpa !== undefined && (e.stepId === 'hold' || e.stepId === 'release'))
					lowestGaugeKpa = Math.min(lowestGaugeKpa ?? Infinity, e.gaugeKpa);
				break;
			case 'graded':
				grades[e.mouldId] = {
					grade: e.grade,
					faults: e.faults,
					note: e.note,
					...given('findings', e.findings),
					...given('pictures', e.pictures)
				};
				break;
			case 'finished':
				if (status === 'open') [status, endedAtMs] = ['finished', e.atMs];
				break;
			case 'abandoned':
				if (status === 'open') [status, endedAtMs, reason] = ['abandoned', e.atMs, e.reason];
				break;
			// taken out before, or said elsewhere
			case 'undone':
			case 'remark':
			case 'device-lost':
				break;
		}
	}
	const open = steps.findIndex((s) => doneAtMs[s.id] === undefined);
	const pump = steps.find((s) => s.kind === 'pump');
	const timed = steps.filter((s) => s.kind === 'timed' || s.kind === 'pump' || stepName(s.id) === 'roll');
	const lastTimed = timed[timed.length - 1];
	const fills = steps.filter((s) => s.fills);
	const fill = fills[fills.length - 1];
	const settledAtMs = lastTimed && doneAtMs[lastTimed.id];
	const pouredAtMs = (fill && doneAtMs[fill.id]) ?? settledAtMs;
	return {
		status,
		doneAtMs,
		current: open === -1 ? steps.length : open,
		grades,
		weighedG,
		added,
		doses,
		startC: startsOf(steps, temps, doneAtMs),
		seen: seen.flatMap(({ what, atMs }) =>
			doneAtMs['combine'] === undefined ? [] : [{ what, timeS: (atMs - doneAtMs['combine']) / 1000 }]
		),
		marks: [...new Set(live.flatMap((e) => e.mark ?? []))],
		lateEntries: live.filter((e) => e.enteredAtMs !== undefined).length,
		...given('lowestGaugeKpa', lowestGaugeKpa),
		...given('leftG', leftG),
		temps: cupTemps(steps, temps, cupClocks(steps, doneAtMs), settledAtMs),
		...given('combinedAtMs', doneAtMs['combine']),
		...given('pouredAtMs', pouredAtMs),
		...given('settledAtMs', settledAtMs),
		...given('air', air),
		...given('reached', potStep(pump?.id, doneAtMs, pressure)),
		...given('released', potStep('release', doneAtMs, pressure)),
		...given('demouldedAtMs', doneAtMs['demould']),
		...given('endedAtMs', endedAtMs),
		...given('reason', reason),
		...given('lastUndoable', status === 'open' ? lastUndoable : undefined)
	};
}

/** A step of the pot as it was done, with its reading where there is one. */
function potStep(
	stepId: string | undefined,
	doneAtMs: Readonly<Record<string, number>>,
	pressure: Readonly<Record<string, PressureStep>>
): PressureStep | undefined {
	const atMs = stepId === undefined ? undefined : doneAtMs[stepId];
	if (stepId === undefined || atMs === undefined) return undefined;
	return { ...pressure[stepId], atMs: pressure[stepId]?.atMs ?? atMs };
}

/**
 * The clocks of every cup of a pour: one of a plain one, each colour's, each layer's.
 * @example
 * cupClocks(benchSteps(planOf()), {}).length; // 1
 */
export function cupClocks(
	steps: readonly BenchStep[],
	doneAtMs: Readonly<Record<string, number>>
): CupClock[] {
	const fills = steps.filter((s) => s.fills);
	return steps
		.filter((s) => s.kind === 'combine')
		.map((s) => {
			// a layer is poured by itself; colours all at once, as a plain cup is
			const fill = s.layer === undefined ? fills[fills.length - 1] : fills.find((f) => f.layer === s.layer);
			return {
				...given('combinedAtMs', doneAtMs[s.id]),
				...given('pouredAtMs', fill && doneAtMs[fill.id])
			};
		});
}

/** Of colours what each cup read before it was combined. */
function startsOf(
	steps: readonly BenchStep[],
	temps: readonly { atMs: number; tempC: number; cup?: number | undefined }[],
	doneAtMs: Readonly<Record<string, number>>
): Record<number, number> {
	if (!steps.some((s) => s.id === 'cups-read')) return {};
	const combine = steps.filter((s) => s.kind === 'combine');
	const found: Record<number, number> = {};
	for (const { atMs, tempC, cup = 0 } of temps) {
		const step = combine[cup];
		if (step && atMs < (doneAtMs[step.id] ?? Infinity)) found[cup] = tempC;
	}
	return found;
}

/** Readings between combining and the pour's end count for the cup; what was read before or after does not. */
function cupTemps(
	steps: readonly BenchStep[],
	temps: readonly { atMs: number; tempC: number; cup?: number | undefined }[],
	clocks: readonly CupClock[],
	settledAtMs: number | undefined
): CupTemp[] {
	const layered = steps.some((s) => s.layer !== undefined);
	return temps.flatMap(({ atMs, tempC, cup: said }) => {
		const cup = cupAt(clocks, layered, atMs, said);
		if (cup === undefined) return [];
		const { combinedAtMs, pouredAtMs } = clocks[cup]!;
		if (atMs > (pouredAtMs ?? settledAtMs ?? Infinity)) return [];
		return [{ timeS: (atMs - combinedAtMs!) / 1000, tempC, cup }];
	});
}

function given<K extends string, V>(key: K, value: V | undefined): { [P in K]?: V } {
	return (value === undefined ? {} : { [key]: value }) as { [P in K]?: V };
}
