/** How far a rubber has cured when it becomes too thick to pour, when it gels, and when it may be demoulded. */
const THICK_AT = 0.4;
/** Four-armed crosslinker on two-ended chains, as many of each end: 1/√3 (Flory, Principles of Polymer Chemistry, 1953). */
const GEL_AT = 1 / Math.sqrt(3);
const CURED_AT = 0.95;
const level = (share: number) => Math.log(1 / (1 - share));

/**
 * From mixing until a coat of rubber has gelled and is only tacky, s: an Avrami curve through working time and cure.
 * The shares of cure at those two are defaults of ours; the gel point is Flory's.
 * @param workingTimeS until it is too thick to pour, over 0
 * @param cureTimeS until it may be demoulded; taken for at least a quarter over the working time
 * @example
 * tackS(2400, 14_400); // 4073.594
 */
export function tackS(workingTimeS: number, cureTimeS: number): number {
	const curedS = Math.max(cureTimeS, 1.25 * workingTimeS);
	const exponent = Math.log(level(CURED_AT) / level(THICK_AT)) / Math.log(curedS / workingTimeS);
	return workingTimeS * (level(GEL_AT) / level(THICK_AT)) ** (1 / exponent);
}
