/** Glass transition of a resin as it forms. */
export interface Glass {
	/** Of the fresh mix and of the wholly cured resin, °C. */
	readonly freshC: number;
	readonly curedC: number;
	/** How the change of heat capacity of the cured resin compares with that of the fresh one. */
	readonly ratio: number;
}

/** Where diffusion takes over: the rate is halved this far above the local temperature, and over this width, K. */
const FADE_ABOVE_K = 10;
const FADE_WIDTH_K = 5;

/**
 * Glass transition at a conversion, °C: DiBenedetto's form, Tg = fresh + (cured − fresh)·λα/(1 − (1 − λ)α)
 * (Pascault & Williams, J. Polym. Sci. B 28 (1990) 85).
 * @param conversion 0…1
 * @example glassTransitionC({ freshC: -50, curedC: 85, ratio: 0.5 }, 1) // 85
 */
export function glassTransitionC({ freshC, curedC, ratio }: Glass, conversion: number): number {
	return freshC + ((curedC - freshC) * ratio * conversion) / (1 - (1 - ratio) * conversion);
}

/**
 * The share of its rate that a reaction keeps as the resin turns to glass: 1/(1 + exp((Tg − T − 10 K)/5 K)). A
 * modelling choice after the diffusion factor of Chern & Poehlein, Polym. Eng. Sci. 27 (1987) 788.
 * @returns 0…1
 * @example mobility({ freshC: -50, curedC: 85, ratio: 0.5 }, 0.3, 23) > 0.999; // true
 */
export function mobility(glass: Glass, conversion: number, tempC: number): number {
	const above = (glassTransitionC(glass, conversion) - tempC - FADE_ABOVE_K) / FADE_WIDTH_K;
	return above < -30 ? 1 : 1 / (1 + Math.exp(above));
}
