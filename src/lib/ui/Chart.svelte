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

	/** A line of words, px. */
	const LINE_PX = 20;
	let box: HTMLDivElement;
	let plotly = $state.raw<typeof PlotlyTypes>();
	/** What the library drew last. */
	let drawn: Picture | undefined;
	let dark = $state(false);
	/** Between the margins of a sheet of A4, CSS px: a chart of the screen would be cut off at its edge. */
	const SHEET_PX = 620;
	/** So wide while it is on paper, whatever else has it drawn anew; nothing on the screen. */
	let sheetPx: number | undefined;
	/** So many times it was drawn. */
	let steps = 0;
	/** Of the box on the screen, CSS px. */
	let widthPx = $state(0);

	onMount(() => {
		let gone = false;
		void import('plotly.js-basic-dist-min').then((module) => {
			if (!gone) plotly = module.default as unknown as typeof PlotlyTypes;
		});
		const look = () => (dark = document.documentElement.classList.contains('dark'));
		look();
		const watcher = new MutationObserver(look);
		watcher.observe(document.documentElement, { attributeFilter: ['class'] });
		// a sheet does not wait for the next frame
		const onPaper = () => {
			lightForPaper();
			sheetPx = Math.min(SHEET_PX, box.clientWidth);
			if (plotly) draw(plotly, { traces, layout, height });
		};
		// the page's colours are back by the next task, whoever hears of it first
		const onScreen = () => {
			sheetPx = undefined;
			setTimeout(() => plotly && !gone && draw(plotly, { traces, layout, height }));
		};
		window.addEventListener('beforeprint', onPaper);
		window.addEventListener('afterprint', onScreen);
		return () => {
			gone = true;
			window.removeEventListener('beforeprint', onPaper);
			window.removeEventListener('afterprint', onScreen);
			watcher.disconnect();
			dropDrawing(box);
			plotly?.purge(box);
		};
	});

	$effect(() => {
		if (!plotly || !widthPx) return;
		void dark;
		const [library, next, hasty] = [plotly, { traces, layout, height }, moving];
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
				height,
				// a width that is known spares the library measuring the page at every drawing
				width: sheetPx ?? widthPx,
				autosize: false,
				paper_bgcolor: 'rgba(0,0,0,0)',
				plot_bgcolor: 'rgba(0,0,0,0)',
				font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 13, color: colour('--ink') },
				margin: {
					l: 50,
					r: layout.yaxis2 ? 50 : 16,
					t: 12 + LINE_PX * names,
					b: 42 + (whole.traces.length > 1 ? 6 + LINE_PX * Math.ceil(whole.traces.length / 3) : 0)
				},
				xaxis: { ...axis, ...layout.xaxis },
				yaxis: { ...axis, ...layout.yaxis },
				...(layout.yaxis2 ? { yaxis2: { ...axis, showgrid: false, ...layout.yaxis2 } } : {}),
				legend: { orientation: 'h', yref: 'container', y: 0, yanchor: 'bottom', x: 0, traceorder: 'normal', font: { size: 13 } },
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

<div bind:this={box} bind:clientWidth={widthPx} role="img" aria-label={label} style:min-height="{height}px" class="w-full"></div>
