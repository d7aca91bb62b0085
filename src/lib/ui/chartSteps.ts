import type { Picture } from './chartMotion';

/**
 * The first picture is drawn in so many steps before the whole, a frame each: code that no browser has compiled yet takes
 * its time, and one long task would hold up whatever is pressed.
 */
export const FIRST_STEPS = 9;

/** Of the whole at each step: its curves, and of each axis nothing, its line without words, a figure or two, or all. */
const STEPS = [
	{ curves: 'none', x: 'none', y: 'none' },
	{ curves: 'first', x: 'none', y: 'none' },
	{ curves: 'first', x: 'line', y: 'none' },
	{ curves: 'first', x: 'few', y: 'none' },
	{ curves: 'first', x: 'all', y: 'none' },
	{ curves: 'first', x: 'all', y: 'line' },
	{ curves: 'first', x: 'all', y: 'all' },
	{ curves: 'half', x: 'all', y: 'all' },
	{ curves: 'all', x: 'all', y: 'all' }
] as const;
/** An axis that is not visible gets no range from its curves, and keeps the one of an empty chart: what is hidden is drawn empty. */
const WORDLESS = { showticklabels: false, title: {} };
const AXIS = {
	none: { ...WORDLESS, showgrid: false, showline: false, zeroline: false },
	line: WORDLESS,
	few: { title: {}, nticks: 2 },
	all: {}
};

/**
 * A picture as far as it goes at a step of its first drawing, its words last. A curve comes before the axes: they are laid
 * out once then, for what they will show.
 */
export function pictureAt<P extends Picture>(whole: P, step: number): P {
	const of = STEPS[step];
	if (!of) return whole;
	const { annotations: _notes, shapes: _shapes, ...layout } = whole.layout;
	const { length } = whole.traces;
	const curves = { none: 0, first: 1, half: Math.ceil(length / 2), all: length }[of.curves];
	const [x, y] = [AXIS[of.x], AXIS[of.y]];
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
