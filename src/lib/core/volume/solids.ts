import type { Solid } from './solidInput';

/**
 * Volume of a plain solid in ml (1 ml = 1000 mm³).
 * Box l·w·h, wedge half of it, pyramid a third, tube πr²h, cone πr²h/3, frustum πh(R² + Rr + r²)/3,
 * ball πd³/6, half ball half of it (Euclid, Elements XII; Archimedes), torus 2π²Rr² (Pappus).
 * @example
 * solidVolumeMl({ shape: 'box', lengthMm: 40, widthMm: 40, heightMm: 40 }); // 64
 */
export function solidVolumeMl(solid: Solid): number {
	switch (solid.shape) {
		case 'box':
			return (solid.lengthMm * solid.widthMm * solid.heightMm) / 1000;
		case 'wedge':
			return (solid.lengthMm * solid.widthMm * solid.heightMm) / 2000;
		case 'pyramid':
			return (solid.lengthMm * solid.widthMm * solid.heightMm) / 3000;
		case 'tube':
			return (Math.PI * solid.diameterMm ** 2 * solid.heightMm) / 4 / 1000;
		case 'cone':
			return (Math.PI * solid.diameterMm ** 2 * solid.heightMm) / 12 / 1000;
		case 'frustum': {
			const [d, t] = [solid.diameterMm, solid.topDiameterMm];
			return (Math.PI * solid.heightMm * (d * d + d * t + t * t)) / 12 / 1000;
		}
		case 'ball':
			return (Math.PI * solid.diameterMm ** 3) / 6 / 1000;
		case 'half ball':
			return (Math.PI * solid.diameterMm ** 3) / 12 / 1000;
		case 'torus': {
			const r = solid.ringDiameterMm / 2;
			// a ring thicker than half its outer size runs into itself: refused by the record, nothing here
			return (2 * Math.PI ** 2 * Math.max(0, solid.diameterMm / 2 - r) * r * r) / 1000;
		}
	}
}

/**
 * Volume of solids that are added to a piece and taken off it, ml.
 * @example
 * solidsVolumeMl([{ sign: 'add', solid: { shape: 'box', lengthMm: 40, widthMm: 40, heightMm: 40 } }]); // 64
 */
export function solidsVolumeMl(pieces: readonly { sign: 'add' | 'subtract'; solid: Solid }[]): number {
	return pieces.reduce((sum, p) => sum + (p.sign === 'add' ? 1 : -1) * solidVolumeMl(p.solid), 0);
}

/**
 * Skin of a plain solid in mm² without the face that it stands on, which is where a cast is open.
 * Box, wedge and pyramid by their faces; tube, cone and frustum by π·(slant) lateral area and the top;
 * ball πd² (Archimedes), half ball half of it, torus 4π²Rr (Pappus): the last three have no such face but the
 * half ball's flat one.
 * @example
 * solidSkinMm2({ shape: 'box', lengthMm: 10, widthMm: 10, heightMm: 10 }); // 500
 */
export function solidSkinMm2(solid: Solid): number {
	switch (solid.shape) {
		case 'box': {
			const { lengthMm: l, widthMm: w, heightMm: h } = solid;
			return l * w + 2 * (l + w) * h;
		}
		case 'wedge': {
			// upright back of width w and height h, falling to nothing over the length
			const { lengthMm: l, widthMm: w, heightMm: h } = solid;
			return w * h + w * Math.hypot(l, h) + l * h;
		}
		case 'pyramid': {
			const { lengthMm: l, widthMm: w, heightMm: h } = solid;
			return l * Math.hypot(h, w / 2) + w * Math.hypot(h, l / 2);
		}
		case 'tube':
			return Math.PI * solid.diameterMm * solid.heightMm + (Math.PI * solid.diameterMm ** 2) / 4;
		case 'cone':
			return ((Math.PI * solid.diameterMm) / 2) * Math.hypot(solid.diameterMm / 2, solid.heightMm);
		case 'frustum': {
			const [R, r] = [solid.diameterMm / 2, solid.topDiameterMm / 2];
			return Math.PI * (R + r) * Math.hypot(R - r, solid.heightMm) + Math.PI * r * r;
		}
		case 'ball':
			return Math.PI * solid.diameterMm ** 2;
		case 'half ball':
			return (Math.PI * solid.diameterMm ** 2) / 2;
		case 'torus': {
			const r = solid.ringDiameterMm / 2;
			return 4 * Math.PI ** 2 * Math.max(0, solid.diameterMm / 2 - r) * r;
		}
	}
}
