import type { Warning } from '../../working';
import type { CautionTopic } from '../../cautions';
import type { StepRole } from '../../shot/pouring';
import type { PourPlan } from '../../plan/pourPlan';

/** One thing to do at the bench. */
export interface BenchStep {
	readonly id: string;
	readonly kind:
		'check' | 'dry' | 'air' | 'measure' | 'combine' | 'timed' | 'pump' | 'hold' | 'cure' | 'inspect';
	readonly title: string;
	readonly detail: string;
	/** What the one big button says. */
	readonly action: string;
	/** Seconds after combining by which it must be done. */
	readonly deadlineS?: number;
	/** Seconds that must pass after the step before it, such as a release that flashes off. */
	readonly waitS?: number;
	/** The step that the wait counts from, when it is not the one before. */
	readonly sinceStep?: string;
	/** When it is done, the mould is full. */
	readonly fills?: boolean;
	/** Of a timed step, what it is. */
	readonly role?: StepRole;
	readonly part?: 'A' | 'B';
	/** What is weighed in this step; the plan's own when it says nothing. */
	readonly amount?: { massG: number; volumeMl: number };
	/** Height in the marked cup, mm; only when that school is followed or both are shown. */
	readonly markMm?: number;
	/** Rotocast: which layer; its clock runs from that layer's combining. */
	readonly layer?: number;
	/** Colours poured together: which cup. */
	readonly cup?: number;
	/** Warn at this step when the cups pass this, °C. */
	readonly untilTempC?: number;
	/** What is known to harm here, with what to do about it. */
	readonly warnings?: readonly Warning[];
	readonly cautions: readonly CautionTopic[];
}

/** M7, M9 ×2: the moulds of a plan as people say them. */
export function mouldNames(plan: Pick<PourPlan, 'moulds'>): string {
	return plan.moulds.map((m) => `M${m.number}${m.copies > 1 ? ` ×${m.copies}` : ''}`).join(', ');
}

export const sentence = (text: string): string => text && `${text[0]!.toUpperCase()}${text.slice(1)}`;
