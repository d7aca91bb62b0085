import type { Annotations, Layout, LayoutAxis, PlotData, Shape } from 'plotly.js';
import type { Forecast, ForecastBands } from '$lib/core/cure';

const MINUTE = 60;

/** A name stands over the plot, each on a line of its own, so that no curve and no mark runs through it. */
const LINE = 0.11;

/** A line down the chart, up to its name over it, at a time. */
function mark(
	timeS: number,
	text: string,
	colour: string,
	row: number
): { shape: Partial<Shape>; note: Partial<Annotations> } {
	const x = timeS / MINUTE;
	return {
		shape: {
			type: 'line',
			x0: x,
			x1: x,
			y0: 0,
			y1: 1 + LINE * row,
			yref: 'paper',
			line: { color: colour, width: 2, dash: 'dot' }
		},
		note: {
			x,
			y: 1 + LINE * row,
			yref: 'paper',
			yanchor: 'bottom',
			text,
			showarrow: false,
			xanchor: 'left',
			font: { color: colour, size: 13 }
		}
	};
}

/** A stretch of time, as high as it is told, bottom 0 to top 1. */
const ribbon = (
	lowS: number,
	highS: number,
	fillcolor: string,
	[y0, y1]: readonly [number, number],
	opacity: number
): Partial<Shape> => ({
	type: 'rect',
	x0: lowS / MINUTE,
	x1: highS / MINUTE,
	y0,
	y1,
	yref: 'paper',
	fillcolor,
	opacity,
	line: { width: 0 }
});

/** A line across the chart. */
const level = (y: number, color: string): Partial<Shape> => ({
	type: 'line',
	xref: 'paper',
	x0: 0,
	x1: 1,
	y0: y,
	y1: y,
	line: { color, width: 1.5, dash: 'dot' }
});

export interface Drawn {
	traces: Partial<PlotData>[];
	layout: Partial<Layout>;
}

export interface Reading {
	timeS: number;
	tempC: number;
}

interface CupOptions {
	readings: readonly Reading[];
	pourTempC: number | undefined;
	bands: ForecastBands | undefined;
	otherName: string;
	mainName: string;
	show: (tempC: number) => number;
	unit: string;
}

/** The cup's temperature with its marks, the readings on it, and a second resin over it. */
export function cupChart(main: Forecast, other: Forecast | undefined, options: CupOptions): Drawn {
	const { show, unit } = options;
	const now = main.fit ?? main.cup;
	const minutes = (f: { series: { timeS: number }[] }) => f.series.map((p) => p.timeS / MINUTE);
	const temps = (f: { series: { tempC: number }[] }) => f.series.map((p) => show(p.tempC));
	const told: [timeS: number, text: string, colour: string][] = [
		[now.potLifeS, 'too thick', '--hot'],
		[now.gelTimeS, 'gel', '--ink']
	];
	if (now.reachesPourTempS !== undefined) told.push([now.reachesPourTempS, 'pour by heat', '--work']);
	// a name goes to the right of its line: the earlier stands over the later, whose line would run through it
	const marks = told.map(([timeS, text, colour], i) =>
		mark(timeS, text, colour, told.filter(([other], j) => other > timeS || (other === timeS && j > i)).length)
	);
	const traces: Partial<PlotData>[] = [
		{
			x: minutes(now),
			y: temps(now),
			name: main.fit ? 'with your readings' : options.mainName,
			mode: 'lines',
			line: { color: '--hot', width: 3 }
		}
	];
	if (main.fit) {
		traces.push({
			x: minutes(main.cup),
			y: temps(main.cup),
			name: 'by the sheet',
			mode: 'lines',
			line: { color: '--line-strong', width: 2, dash: 'dash' }
		});
		traces.push({
			x: options.readings.map((r) => r.timeS / MINUTE),
			y: options.readings.map((r) => show(r.tempC)),
			name: 'read',
			mode: 'markers',
			marker: { color: '--ink', size: 10, symbol: 'diamond' }
		});
	}
	if (other) {
		traces.push({
			x: minutes(other.cup),
			y: temps(other.cup),
			name: options.otherName,
			mode: 'lines',
			line: { color: '--part-a', width: 3, dash: 'dashdot' }
		});
	}
	const shapes = marks.map((m) => m.shape);
	const band = options.bands?.potLife;
	if (band) shapes.push(ribbon(band.lowS, band.highS, '--hot', [0, 1], 0.14));
	if (options.pourTempC !== undefined) {
		shapes.push(level(show(options.pourTempC), '--work'));
	}
	const endMin = Math.max(now.peakTimeS * 1.5, now.gelTimeS * 1.6, (other?.cup.gelTimeS ?? 0) * 1.3) / MINUTE;
	return {
		traces,
		layout: {
			shapes,
			annotations: marks.map((m) => m.note),
			xaxis: { title: { text: 'minutes after combining' }, range: [0, endMin] },
			yaxis: { title: { text: unit } }
		}
	};
}

/** Ticks of a logarithmic clock at 1, 2 and 5, each with its whole number. */
function logTicks(from: number, to: number): Pick<LayoutAxis, 'tickmode' | 'tickvals' | 'ticktext'> {
	const tickvals = Array.from(
		{ length: Math.ceil(to) - Math.floor(from) + 1 },
		(_, i) => Math.floor(from) + i
	)
		.flatMap((decade) => [1, 2, 5].map((digit) => digit * 10 ** decade))
		.filter((t) => Math.log10(t) >= from && Math.log10(t) <= to);
	return { tickmode: 'array', tickvals, ticktext: tickvals.map((t) => `${Number(t.toPrecision(1))}`) };
}

/** Core, wall and conversion of the part, on a logarithmic clock since minutes and hours both matter. */
export function partChart(
	main: Forecast,
	other: Forecast | undefined,
	options: Pick<CupOptions, 'show' | 'unit' | 'otherName' | 'bands'>
): Drawn {
	const { show, unit } = options;
	const x = main.part.map((p) => p.timeS / MINUTE);
	const marks = [
		mark(main.recoatFromS, 'gel', '--ink', 0),
		{ ...mark(main.demouldS, 'demould', '--work', 1) }
	];
	// at the right edge there is no room beside it
	marks[1]!.note = { ...marks[1]!.note, xanchor: 'right' };
	const log = (m: { shape: Partial<Shape>; note: Partial<Annotations> }) => ({
		shape: m.shape,
		note: { ...m.note, x: Math.log10(m.note.x as number) }
	});
	const traces: Partial<PlotData>[] = [
		{
			x,
			y: main.part.map((p) => show(p.coreTempC)),
			name: 'core',
			mode: 'lines',
			line: { color: '--hot', width: 3 }
		},
		{
			x,
			y: main.part.map((p) => show(p.wallTempC)),
			name: 'at the wall',
			mode: 'lines',
			line: { color: '--part-b', width: 2, dash: 'dash' }
		},
		{
			x,
			y: main.part.map((p) => p.slowest * 100),
			name: 'cured, slowest place',
			mode: 'lines',
			yaxis: 'y2',
			line: { color: '--work', width: 3 }
		}
	];
	if (other) {
		traces.push({
			x: other.part.map((p) => p.timeS / MINUTE),
			y: other.part.map((p) => p.slowest * 100),
			name: `${options.otherName}, cured`,
			mode: 'lines',
			yaxis: 'y2',
			line: { color: '--part-a', width: 3, dash: 'dashdot' }
		});
	}
	const shapes = marks.map((m) => m.shape);
	if (main.recoatUntilS > main.recoatFromS && Number.isFinite(main.recoatUntilS)) {
		shapes.push(ribbon(main.recoatFromS, main.recoatUntilS, '--work', [0, 1], 0.13));
	}
	// along the foot: while it gives when bent, and where four of five demoulds fall
	const feet: Partial<Annotations>[] = [];
	const foot = (lowS: number, highS: number, text: string, colour: string, y: number) => {
		shapes.push(ribbon(lowS, highS, colour, [y, y + 0.06], 0.75));
		feet.push({
			x: Math.log10(lowS / MINUTE),
			y: y - 0.02,
			yref: 'paper',
			yanchor: 'bottom',
			text,
			showarrow: false,
			xanchor: 'right',
			font: { color: colour, size: 12 }
		});
	};
	if (main.demouldS > main.flexibleS)
		foot(main.flexibleS, main.demouldS, 'gives when bent', '--part-b', 0.11);
	const band = options.bands?.demould;
	if (band) foot(band.lowS, band.highS, 'four of five ready', '--work', 0.02);
	if (main.softensC !== undefined && main.peakTempC > main.softensC - 15) {
		shapes.push(level(show(main.softensC), '--hot'));
		feet.push({
			x: 0.01,
			xref: 'paper',
			xanchor: 'left',
			y: show(main.softensC),
			yanchor: 'bottom',
			text: 'softens above this',
			showarrow: false,
			font: { color: '--hot', size: 12 }
		});
	}
	const from = Math.log10(Math.max(0.05, (main.gelCoreS / MINUTE) * 0.2));
	const to = Math.log10(
		(Math.max(main.demouldS, options.bands?.demould.highS ?? 0, other?.demouldS ?? 0) / MINUTE) * 1.05
	);
	return {
		traces,
		layout: {
			shapes,
			annotations: [...marks.map((m) => log(m).note), ...feet],
			xaxis: {
				title: { text: 'minutes after the pour' },
				type: 'log',
				range: [from, to],
				...logTicks(from, to)
			},
			yaxis: { title: { text: unit } },
			yaxis2: {
				title: { text: 'cured, %' },
				overlaying: 'y',
				side: 'right',
				range: [0, 100],
				tickmode: 'linear',
				tick0: 0,
				dtick: 25
			}
		}
	};
}
