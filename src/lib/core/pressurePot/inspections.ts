import { INSPECTED_PARTS, INSPECTED, type InspectedPart, type VesselRecord } from './vessel';

/** One look at a part of a vessel. */
export interface Inspection {
	part: InspectedPart;
	atMs: number;
	/** Cycles that the vessel had behind it then. */
	cycles: number;
	ok: boolean;
	by: string;
	note: string;
}

export interface InspectionDue {
	part: InspectedPart;
	name: string;
	state: 'fine' | 'soon' | 'due' | 'failed' | 'never';
	/** The last look; nothing when it was never looked at. */
	last?: Inspection;
	/** Since then. */
	cyclesSince: number;
	daysSince: number;
	/** Until it falls due; less than nothing when it is past. */
	cyclesLeft: number;
	daysLeft: number;
	dueAtMs: number;
}

const DAY_MS = 86_400_000;
/** So much of the way to its due date a look is said to be soon. */
const SOON = 0.9;

/**
 * What is due on a vessel. A part that was never looked at counts from when the vessel was entered.
 * @param cycles that it has behind it
 * @param enteredMs when it came into the workshop's books
 * @example
 * inspectionsDue(pressure, [], 10, 0, 86_400_000)[0]?.state; // 'never'
 */
export function inspectionsDue(
	record: Pick<VesselRecord, 'dues'>,
	inspections: readonly Inspection[],
	cycles: number,
	enteredMs: number,
	nowMs: number
): InspectionDue[] {
	return INSPECTED_PARTS.map((part) => {
		const of = inspections.filter((l) => l.part === part).sort((a, b) => b.atMs - a.atMs);
		const last = of[0];
		const fromMs = last?.atMs ?? enteredMs;
		const cyclesSince = cycles - (last?.cycles ?? 0);
		const daysSince = (nowMs - fromMs) / DAY_MS;
		const { cycles: everyCycles, days: everyDays } = record.dues[part];
		const used = Math.max(cyclesSince / everyCycles, daysSince / everyDays);
		const state =
			last && !last.ok ? 'failed' : used >= 1 ? 'due' : !last ? 'never' : used >= SOON ? 'soon' : 'fine';
		return {
			part,
			name: INSPECTED[part],
			state,
			...(last ? { last } : {}),
			cyclesSince,
			daysSince,
			cyclesLeft: everyCycles - cyclesSince,
			daysLeft: everyDays - daysSince,
			dueAtMs: fromMs + everyDays * DAY_MS
		};
	});
}

/**
 * Why a vessel may not be used, in a sentence; nothing when it may.
 * @example
 * refusedFor(pressure, []); // undefined
 */
export function refusedFor(
	record: Pick<VesselRecord, 'name' | 'outOfUse'>,
	dues: readonly InspectionDue[]
): string | undefined {
	if (record.outOfUse) return `${record.name} is out of use.`;
	const failed = dues.find((d) => d.state === 'failed');
	if (failed)
		return `${record.name}: ${failed.name.toLowerCase()} failed its last look. Mend it and look again before any pressure goes on.`;
	const due = dues.find((d) => d.state === 'due');
	if (!due) return undefined;
	const why =
		due.cyclesLeft <= 0
			? `${due.cyclesSince} cycles since it was looked at`
			: `${Math.floor(due.daysSince)} days since it was looked at`;
	return `${record.name}: ${due.name.toLowerCase()} is past its due date, ${why}. Look at it first.`;
}
