/** What is looked at on a mould, and what each score means, so that two people score alike (ours). */
export const SIGNS = {
	detail: {
		words: 'Detail',
		soft: true,
		rigid: true,
		at: [
			'as new',
			'gloss a little dull',
			'gloss gone, detail sharp',
			'finest lines soft',
			'lines filled or torn',
			'casts need rework everywhere'
		]
	},
	tear: {
		words: 'Tears',
		soft: true,
		rigid: false,
		at: [
			'none',
			'a nick at the seam',
			'a tear under 5 mm',
			'a tear at an undercut',
			'tears that leave flash',
			'a piece is missing'
		]
	},
	stain: {
		words: 'Stain',
		soft: true,
		rigid: false,
		at: ['none', 'a tint in places', 'a tint all over', 'dark in places', 'dark and stiffer', 'brittle']
	},
	stick: {
		words: 'Sticking',
		soft: true,
		rigid: true,
		at: [
			'falls out',
			'a light pull',
			'pulls at undercuts',
			'wants release each time',
			'leaves resin behind',
			'tears cast or mould'
		]
	},
	flash: {
		words: 'Flash',
		soft: true,
		rigid: true,
		at: ['none', 'a line to wipe off', 'a film', 'to be cut', 'thick', 'the joint no longer closes']
	},
	drift: {
		words: 'Size',
		soft: true,
		rigid: true,
		at: [
			'as the master',
			'under 0.2 % off',
			'under 0.5 % off',
			'under 1 % off',
			'under 2 % off',
			'does not fit its place'
		]
	},
	warp: {
		words: 'Warp',
		soft: false,
		rigid: true,
		at: [
			'lies flat',
			'springs a little',
			'closes with bands',
			'closes with clamps',
			'a step at the joint',
			'does not close'
		]
	},
	holes: {
		words: 'Holes',
		soft: false,
		rigid: true,
		at: ['none', 'a pinhole', 'several pinholes', 'a hole with putty', 'leaks through putty', 'runs out']
	},
	'stuck resin': {
		words: 'Stuck resin',
		soft: false,
		rigid: true,
		at: ['none', 'specks', 'a film in corners', 'scraped each time', 'scraping marks it', 'cannot be cleaned']
	}
} as const;
export type Sign = keyof typeof SIGNS;
export const SIGN_NAMES = Object.keys(SIGNS) as [Sign, ...Sign[]];

/** At this a mould is out of use. */
export const LIMIT = 5;

/**
 * The signs that a mould of rubber, or a rigid one, is looked over for.
 * @example
 * signsFor(true); // ['detail', 'stick', 'flash', 'drift', 'warp', 'holes', 'stuck resin']
 */
export function signsFor(rigid: boolean): Sign[] {
	return SIGN_NAMES.filter((s) => (rigid ? SIGNS[s].rigid : SIGNS[s].soft));
}

/**
 * The worst sign of a look, and its score.
 * @example
 * worstSign({ detail: 1, tear: 2 }); // { sign: 'tear', score: 2 }
 */
export function worstSign(
	scores: Readonly<Partial<Record<Sign, number | undefined>>>
): { sign: Sign; score: number } | undefined {
	return (Object.entries(scores) as [Sign, number | undefined][])
		.flatMap(([sign, s]) => (s === undefined ? [] : [{ sign, score: s }]))
		.sort((a, b) => b.score - a.score)[0];
}
