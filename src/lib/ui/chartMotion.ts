import type * as PlotlyTypes from 'plotly.js';

/** What a chart shows: its curves, and the marks, ribbons and words of its layout. */
export interface Picture {
	traces: readonly Partial<PlotlyTypes.PlotData>[];
	layout: Partial<PlotlyTypes.Layout>;
}

/** An axis as the library laid it out: what it shows to pixels from its start. */
interface LaidOutAxis {
	/** Of its start from the chart's left edge, px. */
	_offset: number;
	c2p(value: number): number;
	/** A place that was given on a logarithmic axis, as its logarithm, to pixels. */
	l2p(value: number): number;
}
interface Laid extends HTMLElement {
	_fullLayout?: Record<string, LaidOutAxis>;
}

const sameCount = (a: Picture, b: Picture) =>
	a.traces.length === b.traces.length &&
	(a.layout.shapes?.length ?? 0) === (b.layout.shapes?.length ?? 0) &&
	(a.layout.annotations?.length ?? 0) === (b.layout.annotations?.length ?? 0);

/** A curve as a path of straight pieces; what is not a number breaks it. */
export function pathOf(
	xs: readonly number[],
	ys: readonly number[],
	x: (v: number) => number,
	y: (v: number) => number
) {
	let path = '';
	let pen = 'M';
	for (const [i, value] of xs.entries()) {
		const [px, py] = [x(value), y(ys[i]!)];
		if (Number.isFinite(px) && Number.isFinite(py)) {
			path += `${pen}${px.toFixed(1)},${py.toFixed(1)}`;
			pen = 'L';
		} else pen = 'M';
	}
	return path;
}

/** How a stretch from `was` comes to lie on `is`: shift and stretch along x. */
export function stretch(was: readonly [number, number], is: readonly [number, number]): string {
	const wide = was[1] - was[0];
	const scale = Math.abs(wide) < 1e-9 ? 1 : (is[1] - is[0]) / wide;
	return `translate(${(is[0] - scale * was[0]).toFixed(2)},0) scale(${scale.toFixed(5)},1)`;
}

/**
 * Moves what a chart shows to what it should show, on the axes that it has: a hundredth of the work of drawing it anew, so
 * that a chart follows a finger. Axes are fitted when it is drawn again.
 * @param drawn what the library drew last
 * @returns false where this cannot be done, since there is more or less to show than was drawn
 */
export function movePicture(box: HTMLElement, drawn: Picture, next: Picture): boolean {
	const laid = (box as Laid)._fullLayout;
	if (!laid?.['xaxis'] || !sameCount(drawn, next)) return false;
	const xaxis = laid['xaxis'];
	const lines = box.querySelectorAll<SVGPathElement>('.scatterlayer .trace');
	if (lines.length !== next.traces.length) return false;
	for (const [i, trace] of next.traces.entries()) {
		const y = laid[trace.yaxis === 'y2' ? 'yaxis2' : 'yaxis'];
		const line = [...lines]
			.find((l) => l.classList.contains(`trace${uidOf(box, i)}`))
			?.querySelector<SVGPathElement>('path.js-line');
		if (!y || (trace.mode === 'lines' && !line)) return false;
		line?.setAttribute(
			'd',
			pathOf(
				trace.x as number[],
				trace.y as number[],
				(v) => xaxis.c2p(v),
				(v) => y.c2p(v)
			)
		);
	}
	// a shape is placed by what it shows, words by the logarithm where the axis is one
	for (const [i, shape] of (next.layout.shapes ?? []).entries()) {
		const was = drawn.layout.shapes![i]!;
		if (shape.xref === 'paper') continue;
		const px = (s: typeof shape): [number, number] => [
			xaxis._offset + xaxis.c2p(s.x0 as number),
			xaxis._offset + xaxis.c2p(s.x1 as number)
		];
		const moved = stretch(px(was), px(shape));
		for (const path of box.querySelectorAll(`.shapelayer path[data-index="${i}"]`))
			path.setAttribute('transform', moved);
	}
	for (const [i, words] of (next.layout.annotations ?? []).entries()) {
		const was = drawn.layout.annotations![i]!;
		if (words.xref === 'paper') continue;
		const dx = xaxis.l2p(words.x as number) - xaxis.l2p(was.x as number);
		for (const g of box.querySelectorAll(`.infolayer .annotation[data-index="${i}"]`))
			g.setAttribute('transform', `translate(${dx.toFixed(1)},0)`);
	}
	return true;
}

/** The library's own name of a curve. */
const uidOf = (box: HTMLElement, i: number): string =>
	(box as unknown as { _fullData: { uid: string }[] })._fullData[i]?.uid ?? '';
