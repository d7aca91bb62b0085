import type { Picture } from './chartMotion';

/**
 * The first picture is drawn in so many steps before the whole, a frame each: code that no browser has compiled yet takes
 * its time, and one long task would hold up whatever is pressed.
 */
export const FIRST_STEPS = 6;

/** A picture as far as it goes at a step of its first drawing: an empty frame, one axis, both, its first curve, half of them, all, and its words. */
export function pictureAt<P extends Picture>(whole: P, step: number): P {
	if (step >= FIRST_STEPS) return whole;
	const { annotations: _notes, shapes: _shapes, ...layout } = whole.layout;
	const curves = [0, 0, 0, 1, Math.ceil(whole.traces.length / 2)][step] ?? whole.traces.length;
	const [x, y] = [step === 0 ? { visible: false } : {}, step <= 1 ? { visible: false } : {}];
	return {
		...whole,
		traces: whole.traces.slice(0, curves),
		layout: {
			...layout,
			showlegend: false,
			xaxis: { ...layout.xaxis, ...x },
			yaxis: { ...layout.yaxis, ...y },
			...(layout.yaxis2 ? { yaxis2: { ...layout.yaxis2, ...y } } : {})
		}
	};
}
