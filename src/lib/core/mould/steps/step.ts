import type { CautionTopic } from '../../cautions';
import type { formatQuantity } from '../../units';

/** One thing to do while a mould is made. */
export interface MakingStep {
	readonly id: string;
	readonly kind: 'check' | 'measure' | 'combine' | 'timed' | 'wait' | 'inspect';
	readonly title: string;
	readonly detail: string;
	/** What the one big button says. */
	readonly action: string;
	/** Seconds that must pass after the step before it. */
	readonly waitS?: number;
	/** What the clock says when the wait is over. */
	readonly then?: string;
	/** Which pour it belongs to: its working time runs from that pour's combining. */
	readonly pour?: number;
	/** The pour is in place when this is done. */
	readonly places?: boolean;
	readonly amounts?: readonly { label: string; massG: number }[];
	readonly cautions: readonly CautionTopic[];
}

/** A quantity in the workshop's units. */
export type ShowQuantity = (value: number, kind: Parameters<typeof formatQuantity>[1]) => string;

/** A step that is looked at and pressed. */
export const check = (
	id: string,
	title: string,
	detail: string,
	action: string,
	cautions: readonly CautionTopic[] = []
): MakingStep => ({
	id,
	kind: 'check',
	title,
	detail,
	action,
	cautions
});
