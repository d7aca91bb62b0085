import { digits } from '../units';

/** One key in so much length of joint, mm (common practice, no source). */
const KEY_EVERY_MM = 45;

/** Half-round keys along the joint of a mould in two halves, in its plan, mm from its middle. */
export interface Keys {
	diameterMm: number;
	at: { xMm: number; yMm: number }[];
}

/**
 * Keys in the middle of the wall between cavity and box, in pairs that do not mirror each other: so the
 * halves go together one way only.
 * @param lengthMm inside of the box along x; for a tube its diameter, and the same across
 * @example
 * keysFor(60, 60, 10, false).diameterMm; // 5
 */
export function keysFor(lengthMm: number, widthMm: number, clearanceMm: number, round: boolean): Keys {
	const diameterMm = Math.min(15, Math.max(4, clearanceMm / 2));
	const [l, w] = [lengthMm - clearanceMm, widthMm - clearanceMm];
	const pathMm = round ? Math.PI * l : 2 * (l + w);
	const count = Math.max(4, Math.round(pathMm / KEY_EVERY_MM));
	const at = Array.from({ length: count }, (_, i) => {
		// a third of a step off the symmetric place
		const along = ((i + 1 / 3) / count) * pathMm;
		return round ? onRing(l / 2, along) : onRectangle(l, w, along);
	});
	return { diameterMm, at };
}

function onRing(radiusMm: number, along: number) {
	const a = along / radiusMm;
	return { xMm: radiusMm * Math.cos(a), yMm: radiusMm * Math.sin(a) };
}

function onRectangle(l: number, w: number, along: number) {
	if (along < l) return { xMm: along - l / 2, yMm: -w / 2 };
	if (along < l + w) return { xMm: l / 2, yMm: along - l - w / 2 };
	if (along < 2 * l + w) return { xMm: l / 2 - (along - l - w), yMm: w / 2 };
	return { xMm: -l / 2, yMm: w / 2 - (along - 2 * l - w) };
}

export const SEAM_SIDES = ['back', 'left', 'right', 'front'] as const;
type SeamSide = (typeof SEAM_SIDES)[number];

/** A wavy cut from the outside to the cavity, and what stays uncut. */
export interface Seam {
	side: SeamSide;
	/** Waves of the cut: never a sharp corner, where a tear would begin. */
	waveMm: number;
	amplitudeMm: number;
	/** Rubber that is left uncut on the far side and keeps the halves in register. */
	hingeMm: number;
}

/**
 * Cut of a one-piece block (common practice, no source).
 * @example
 * seamFor('back', 10); // { side: 'back', waveMm: 18, amplitudeMm: 3.3333, hingeMm: 8 }
 */
export function seamFor(side: SeamSide, clearanceMm: number): Seam {
	return {
		side,
		waveMm: 18,
		amplitudeMm: Math.min(4, clearanceMm / 3),
		hingeMm: Math.min(15, Math.max(5, clearanceMm * 0.8))
	};
}

export const CLOSINGS = ['boards-bands', 'boards-clamps', 'bolts', 'bands', 'tape', 'nothing'] as const;
export type Closing = (typeof CLOSINGS)[number];
export const CLOSING_WORDS: Readonly<Record<Closing, string>> = {
	'boards-bands': 'boards and bands',
	'boards-clamps': 'boards and clamps',
	bolts: 'bolts',
	bands: 'bands',
	tape: 'tape',
	nothing: 'nothing'
};

/** A band round so much of its height, mm (common practice, no source). */
export const BAND_EVERY_MM = 40;

/**
 * How a mould is closed for a pour, and what too little and too much of it does.
 * @example
 * closingWords('bands', 80, 0).how.length > 10; // true
 */
export function closingWords(
	closing: Closing,
	heightMm: number,
	bolts: number
): { how: string; little: string; much: string } {
	const bands = Math.max(2, Math.ceil(heightMm / BAND_EVERY_MM));
	const soft = { little: 'Too loose gives flash.', much: 'Too tight squeezes the cavity out of shape.' };
	switch (closing) {
		case 'nothing':
			return {
				how: 'Open at its back: stand it level.',
				little: 'Out of level, the back runs off.',
				much: ''
			};
		case 'boards-bands':
			return { how: `Between stiff boards, ${bands} bands, evenly.`, ...soft };
		case 'boards-clamps':
			return { how: `Between stiff boards, ${Math.max(2, bands)} clamps, a turn at a time.`, ...soft };
		case 'bolts':
			return {
				how: `${bolts} bolts through the flanges, crosswise, finger-tight and a quarter turn; wax the flanges so that leaks peel off.`,
				little: 'Too loose leaks at the flange and shows a step.',
				much: 'Too tight cracks the flange and pinches the skin.'
			};
		case 'bands':
			return {
				how: `${bands} bands round it, putty in the parting line.`,
				little: 'Too loose opens as the resin swells with heat.',
				much: 'Too tight bends thin walls inwards.'
			};
		case 'tape':
			return { how: 'Tape round the joint, pulled evenly.', ...soft };
	}
}

/**
 * Where rubber beside a thin limb is cut so that it comes free.
 * @example
 * reliefWords([{ place: 'left ear', depthMm: 14 }]); // ['beside left ear, 14 mm deep']
 */
export function reliefWords(places: readonly { place: string; depthMm?: number | undefined }[]): string[] {
	return places
		.filter((p) => (p.depthMm ?? 0) >= 12)
		.slice(0, 4)
		.map((p) => `beside ${p.place}, ${digits(p.depthMm!, 0)} mm deep`);
}
