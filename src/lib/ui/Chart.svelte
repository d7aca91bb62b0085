<script lang="ts">
	import { onMount } from 'svelte';
	import type * as PlotlyTypes from 'plotly.js';
	import { movePicture, type Picture } from './chartMotion';
	import { FIRST_STEPS, pictureAt } from './chartSteps';
	import { drawSoon, dropDrawing } from './drawQueue';
	import { lightForPaper } from './theme';

	/** A Plotly chart in the colours of the page. It is changed in place: nothing flickers while dragging. */
	interface Props {
		label: string;
		traces: Partial<PlotlyTypes.PlotData>[];
		layout: Partial<PlotlyTypes.Layout>;
		height?: number;
		/** It follows a finger: what it shows moves on the axes that it has, and is drawn anew once that is over. */
		moving?: boolean;
	}
	let { label, traces, layout, height = 320, moving = false }: Props = $props();

	const FONT = { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 13 };
	/** A line of words, px. */
	const LINE_PX = 20;
	/** What stands before a name in the legend and after it, px. */
	const SIGN_PX = 48;
	/** So many names share a line of the legend where there is room for them. */
	const NAMES_A_LINE = 3;
	const RIGHT_PX = 16;
	/** Under it the figures along the axis are fewer, or they would lie across each other. */
	const NARROW_PX = 400;
	/** Tens, hundreds and thousands are enough along a logarithmic axis. */
	const few = (axis: Partial<PlotlyTypes.LayoutAxis> | undefined) => (axis?.type === 'log' ? { dtick: 1 } : { nticks: 5 });
	let box: HTMLDivElement;
	let plotly = $state.raw<typeof PlotlyTypes>();
	/** What the library drew last. */
	let drawn: Picture | undefined;
	/** How often it has drawn. */
	let drawings = 0;
	let dark = $state(false);
	/** Between the margins of a sheet of A4, CSS px: a chart of the screen would be cut off at its edge. */
	const SHEET_PX = 620;
	/** So wide while it is on paper, whatever else has it drawn anew; nothing on the screen. */
	let sheetPx: number | undefined;
	/** So many times it was drawn. */
	let steps = 0;
	/** Of the box on the screen, CSS px. */
	let widthPx = $state(0);
	/** It was in sight, or nearly: below that nothing is drawn, since a page's start is better spent on what is looked at. */
	let near = $state(false);
	/** So far under the edge of the window a chart is drawn already, CSS px. */
	const NEAR_PX = 240;

	/** Width of the widest of some words, px. */
	function widestPx(words: readonly string[]): number {
		const pen = document.createElement('canvas').getContext('2d');
		if (!pen) return 0;
		pen.font = `${FONT.size}px ${FONT.family}`;
		return Math.ceil(Math.max(0, ...words.map((word) => pen.measureText(word).width)));
	}
	/** Room for the words of an axis that has names, px: letting the library find it lays the chart out twice at every step. */
	const leftPx = $derived.by(() => {
		const names = (layout.yaxis?.categoryarray ?? []) as string[];
		return names.length > 0 && widthPx > 0 ? Math.min(widthPx / 2, 14 + widestPx(names)) : 50;
	});
	const usualLines = $derived(traces.length > 1 ? Math.ceil(traces.length / NAMES_A_LINE) : 0);
	/** Lines of the legend: on a telephone fewer names stand beside each other, and the chart is taller by the rest. */
	const lines = $derived.by(() => {
		if (usualLines === 0 || widthPx === 0) return usualLines;
		const besideEachOther = Math.max(1, Math.floor((widthPx - RIGHT_PX) / (SIGN_PX + widestPx(traces.map((t) => t.name ?? '')))));
		return Math.max(usualLines, Math.ceil(traces.length / besideEachOther));
	});
	const tallPx = $derived(height + LINE_PX * (lines - usualLines));

	onMount(() => {
		let gone = false;
		void import('plotly.js-basic-dist-min').then((module) => {
			if (!gone) plotly = module.default as unknown as typeof PlotlyTypes;
		});
		const look = () => (dark = document.documentElement.classList.contains('dark'));
		look();
		const watcher = new MutationObserver(look);
		watcher.observe(document.documentElement, { attributeFilter: ['class'] });
		const sight = new IntersectionObserver(
			(seen) => {
				if (!seen.some((s) => s.isIntersecting)) return;
				near = true;
				sight.disconnect();
			},
			{ rootMargin: `${NEAR_PX}px 0px` }
		);
		sight.observe(box);
		// a sheet does not wait for the next frame
		const onPaper = () => {
			lightForPaper();
			sheetPx = Math.min(SHEET_PX, box.clientWidth);
			if (plotly) draw(plotly, { traces, layout, height: tallPx });
		};
		// the page's colours are back by the next task, whoever hears of it first
		const onScreen = () => {
			sheetPx = undefined;
			setTimeout(() => plotly && !gone && draw(plotly, { traces, layout, height: tallPx }));
		};
		window.addEventListener('beforeprint', onPaper);
		window.addEventListener('afterprint', onScreen);
		return () => {
			gone = true;
			window.removeEventListener('beforeprint', onPaper);
			window.removeEventListener('afterprint', onScreen);
			watcher.disconnect();
			sight.disconnect();
			dropDrawing(box);
			plotly?.purge(box);
		};
	});

	$effect(() => {
		if (!plotly || !widthPx || !near) return;
		void dark;
		const [library, next, hasty] = [plotly, { traces, layout, height: tallPx }, moving];
		if (hasty && drawn && movePicture(box, drawn, next)) {
			dropDrawing(box);
			told();
			return;
		}
		const soon = () =>
			drawSoon(box, () => {
				draw(library, next, pictureAt(next, steps));
				if (steps++ >= FIRST_STEPS) told();
				else soon();
			});
		soon();
	});

	/** Whoever measures how soon a chart follows hears of each picture. */
	const told = () => box.dispatchEvent(new CustomEvent('drawn'));

	type Whole = Pick<Props, 'traces' | 'layout'> & { height: number };
	/** Draws it, or a part of it in the room of the whole: nothing jumps when the rest comes. */
	function draw(library: typeof PlotlyTypes, whole: Whole, { traces, layout, height }: Whole = whole) {
		drawn = { traces, layout };
		const css = getComputedStyle(document.documentElement);
		const colour = (name: string) => css.getPropertyValue(name).trim();
		// names that stand over the plot, each on a line of its own
		const names = whole.layout.annotations?.filter((a) => a.yref === 'paper' && Number(a.y) >= 1).length ?? 0;
		const axis = {
			gridcolor: colour('--line'),
			zerolinecolor: colour('--line'),
			linecolor: colour('--line-strong')
		};
		void library.react(
			box,
			traces.map((t) => recolour(t, colour)) as PlotlyTypes.Data[],
			{
				...recolour(layout, colour),
				// or an axis that fits itself is given the range of an empty chart wherever the curves are those of before
				datarevision: drawings++,
				height,
				// a width that is known spares the library measuring the page at every drawing
				width: sheetPx ?? widthPx,
				autosize: false,
				paper_bgcolor: 'rgba(0,0,0,0)',
				plot_bgcolor: 'rgba(0,0,0,0)',
				font: { ...FONT, color: colour('--ink') },
				margin: {
					l: leftPx,
					r: layout.yaxis2 ? 50 : RIGHT_PX,
					t: 12 + LINE_PX * names,
					b: 42 + (lines > 0 ? 6 + LINE_PX * lines : 0)
				},
				xaxis: { ...axis, tickangle: 0, ...(widthPx < NARROW_PX ? few(layout.xaxis) : {}), ...layout.xaxis },
				yaxis: { ...axis, ...layout.yaxis },
				...(layout.yaxis2 ? { yaxis2: { ...axis, showgrid: false, ...layout.yaxis2 } } : {}),
				legend: {
					orientation: 'h',
					// under names of an axis as well: a plot that is narrow beside them has no room for two names
					xref: 'container',
					yref: 'container',
					x: 0,
					y: 0,
					yanchor: 'bottom',
					traceorder: 'normal',
					font: { size: FONT.size }
				},
				hovermode: 'x unified',
				hoverlabel: { bgcolor: colour('--paper') }
			} as Partial<PlotlyTypes.Layout>,
			{ displaylogo: false, displayModeBar: false }
		);
	}

	/** Colours are named by the page's tokens (`--hot`) and read when drawn, so that dark is dark. */
	function recolour<T>(value: T, colour: (name: string) => string): T {
		if (typeof value === 'string') return (value.startsWith('--') ? colour(value) : value) as T;
		if (Array.isArray(value)) return (typeof value[0] === 'number' ? value : value.map((v) => recolour(v, colour))) as T;
		if (value === null || typeof value !== 'object') return value;
		return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, recolour(v, colour)])) as T;
	}
</script>

<div bind:this={box} bind:clientWidth={widthPx} role="img" aria-label={label} style:min-height="{tallPx}px" class="w-full"></div>
