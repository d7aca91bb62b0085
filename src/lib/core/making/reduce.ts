import type { Clock } from '../bench/clock';
import type { Inspection, MakingEvent } from './events';
import type { MakingPlan } from '../mould';
import type { MakingStep } from '../mould';

/** Where the making of a mould stands, worked out from its events alone. */
export interface MakingState {
	readonly status: 'open' | 'finished' | 'abandoned';
	readonly doneAtMs: Readonly<Record<string, number>>;
	/** Index of the first step that is not done; the number of steps when all are. */
	readonly current: number;
	/** When each pour was combined and when it was in place. */
	readonly pours: readonly { combinedAtMs?: number; placedAtMs?: number }[];
	/** What was really weighed at a step, g; the last word counts. */
	readonly weighed: Readonly<Record<string, readonly number[]>>;
	readonly inspection?: Inspection;
	readonly endedAtMs?: number;
	readonly lastUndoable?: string;
}

/**
 * Folds events into a state. Order of arrival, repeats and a second device do not matter: an event counts
 * once by its id, a step once by its first event.
 * @example
 * reduceMaking(makingSteps(makingOf('one-piece')), []).current; // 0
 */
export function reduceMaking(steps: readonly MakingStep[], events: readonly MakingEvent[]): MakingState {
	const unique = [...new Map(events.map((e) => [e.id, e])).values()];
	const undone = new Set(unique.flatMap((e) => (e.kind === 'undone' ? [e.eventId] : [])));
	const live = unique
		.filter((e) => !undone.has(e.id) && e.kind !== 'undone')
		.sort((a, b) => a.atMs - b.atMs || (a.id < b.id ? -1 : 1));
	const doneAtMs: Record<string, number> = {};
	const weighed: Record<string, readonly number[]> = {};
	let status: MakingState['status'] = 'open';
	let inspection: Inspection | undefined;
	let endedAtMs: number | undefined;
	let lastUndoable: string | undefined;
	for (const e of live) {
		if (e.kind === 'step-done') {
			doneAtMs[e.stepId] ??= e.atMs;
			lastUndoable = e.id;
		} else if (e.kind === 'weighed') {
			weighed[e.stepId] = e.massesG;
		} else if (e.kind === 'inspected') {
			const { faults, note, waterMl } = e;
			inspection = { faults, note, ...(waterMl === undefined ? {} : { waterMl }) };
		} else if (status === 'open' && (e.kind === 'finished' || e.kind === 'abandoned')) {
			[status, endedAtMs] = [e.kind, e.atMs];
		}
	}
	const open = steps.findIndex((s) => doneAtMs[s.id] === undefined);
	const count = Math.max(-1, ...steps.map((s) => s.pour ?? -1)) + 1;
	const at = (match: (s: MakingStep) => boolean) => {
		const step = steps.find(match);
		return step && doneAtMs[step.id];
	};
	const pours = Array.from({ length: count }, (_, i) => {
		const combinedAtMs = at((s) => s.pour === i && s.kind === 'combine');
		const placedAtMs = at((s) => s.pour === i && s.places === true);
		return {
			...(combinedAtMs === undefined ? {} : { combinedAtMs }),
			...(placedAtMs === undefined ? {} : { placedAtMs })
		};
	});
	return {
		status,
		doneAtMs,
		current: open === -1 ? steps.length : open,
		pours,
		weighed,
		...(inspection ? { inspection } : {}),
		...(endedAtMs === undefined ? {} : { endedAtMs }),
		...(status === 'open' && lastUndoable ? { lastUndoable } : {})
	};
}

/**
 * First and last time when something was put in place, ms: when the mould was poured and what it waits on.
 * @example
 * const steps = makingSteps(makingOf('one-piece'));
 * placed(steps, reduceMaking(steps, [])); // {  }
 */
export function placed(
	steps: readonly MakingStep[],
	state: MakingState
): { firstMs?: number; lastMs?: number } {
	const times = steps.flatMap((s) =>
		s.places && state.doneAtMs[s.id] !== undefined ? [state.doneAtMs[s.id]!] : []
	);
	return times.length === 0 ? {} : { firstMs: Math.min(...times), lastMs: Math.max(...times) };
}

/**
 * When the mould will be ready: the waits that are still ahead, after the one that runs now.
 * @param nowMs for steps that have not begun
 * @example
 * const steps = makingSteps(makingOf('one-piece'));
 * readyAtMs(steps, reduceMaking(steps, []), 0); // 14400000
 */
export function readyAtMs(steps: readonly MakingStep[], state: MakingState, nowMs: number): number {
	let atMs = nowMs;
	for (let i = state.current; i < steps.length; i++) {
		const step = steps[i]!;
		if (step.waitS === undefined) continue;
		const before = steps[i - 1];
		const startedMs = i === state.current && before ? (state.doneAtMs[before.id] ?? atMs) : atMs;
		atMs = Math.max(atMs, startedMs + step.waitS * 1000);
	}
	return atMs;
}

/**
 * The clocks that the making of a mould keeps running.
 * @example
 * const plan = makingOf('one-piece');
 * const steps = makingSteps(plan);
 * makingClocks('m', plan, steps, reduceMaking(steps, [])); // []
 */
export function makingClocks(
	mouldId: string,
	plan: MakingPlan,
	steps: readonly MakingStep[],
	state: MakingState
): Clock[] {
	const step = steps[state.current];
	if (state.status !== 'open' || !step) return [];
	const common = { label: `M${plan.number} ${plan.label}`, href: `/moulds/${mouldId}/make` };
	const clocks: Clock[] = [];
	state.pours.forEach((p, i) => {
		if (p.combinedAtMs === undefined || p.placedAtMs !== undefined) return;
		clocks.push({
			...common,
			id: `${mouldId}-working-${i}`,
			kind: 'pot-life',
			startedAtMs: p.combinedAtMs,
			endsAtMs: p.combinedAtMs + plan.workingTimeS * 1000,
			then: 'the rubber is past its working time'
		});
	});
	const before = steps[state.current - 1];
	const sinceMs = before && state.doneAtMs[before.id];
	if (step.waitS !== undefined && sinceMs !== undefined)
		clocks.push({
			...common,
			id: `${mouldId}-${step.id}`,
			kind: 'rubber',
			startedAtMs: sinceMs,
			endsAtMs: sinceMs + step.waitS * 1000,
			then: step.then ?? step.action.toLowerCase()
		});
	return clocks;
}
