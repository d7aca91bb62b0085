import type { PourPlan } from './pourPlan';

/**
 * Copies of a pour's own piece: those that its cup gives of other pieces are not of it.
 * @example
 * ownCopies({
 *   moulds: [
 *     { id: 'm1', number: 4, label: 'Ammonite', copies: 2 },
 *     { id: 'm2', number: 9, label: 'Button', copies: 1, masterName: 'Button' }
 *   ]
 * }); // 2
 */
export const ownCopies = ({ moulds }: Pick<PourPlan, 'moulds'>): number =>
	moulds.reduce((sum, m) => sum + (m.masterName === undefined ? m.copies : 0), 0);
