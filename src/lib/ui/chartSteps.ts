import type { Picture } from './chartMotion';

/**
 * The first picture is drawn in so many steps before the whole, a frame each: code that no browser has compiled yet takes
 * its time, and one long task would hold up whatever is pressed.
 */
export const FIRST_STEPS = 3;

/** A picture as far as it goes at a step of its first drawing: an empty frame, its axes, its curves, all of it. */
export function pictureAt<P extends Picture>(whole: P, step: number): P {
	if (step >= FIRST_STEPS) return whole;
	const { annotations: _notes, shapes: _shapes, ...layout } = whole.layout;
	if (step === 2) return { ...whole, layout };
	const hidden = step === 0 ? { visible: false } : {};
	return {
		...whole,
		traces: [],
		layout: {
			...layout,
			xaxis: { ...layout.xaxis, ...hidden },
			yaxis: { ...layout.yaxis, ...hidden },
			...(layout.yaxis2 ? { yaxis2: { ...layout.yaxis2, ...hidden } } : {})
		}
	};
}
