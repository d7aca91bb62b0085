import { digits } from '../units';

/** Undercut shares below this are draft and noise, not locks. */
const HARDLY = 0.02;

/**
 * What an undercut asks of rubber and of the maker, in a sentence (common practice, no source).
 * @param share of the area that neither half reaches, 0 … 1
 * @param depthMm how far the rubber has to stretch
 * @param smallestMm smallest outer size of the piece, mm
 */
export function undercutAdvice(share: number, depthMm: number, smallestMm: number): string {
	if (share < HARDLY) return 'Both halves slide off: any rubber does, even a rigid mould with draft.';
	const deep = smallestMm > 0 ? depthMm / smallestMm : 1;
	if (deep < 0.08)
		return 'Shallow locks: a medium rubber, Shore A 20 to 30, slips over them. A rigid mould does not.';
	if (deep < 0.25)
		return `A soft rubber, Shore A 10 to 20, has to stretch over ${digits(depthMm, 0)} mm. Slow pulls, edges first; a relief cut beside thin limbs.`;
	return `It locks ${digits(depthMm, 0)} mm deep: the softest rubber and a seam that runs through the lock, or more parts. A cast that is demoulded while it is still a little flexible comes out easier.`;
}
