import { describe, expect, it } from 'vitest';
import { forecast, forecastBands } from '$lib/core/cure';
import { whiteInMould } from '$lib/core/examples.testing';
import { cupChart, partChart } from './cureCharts';

// what a chart shows is what was worked out: in minutes, in the maker's degrees, with nothing past its edge
const main = forecast(whiteInMould);
const slow = forecast({ ...whiteInMould, resin: { ...whiteInMould.resin, potLifeS: 600, demouldS: 3600 } });
const bands = forecastBands(whiteInMould, main);
const celsius = { show: (tempC: number) => tempC, unit: '°C' };
// ISO 80000-5: t/°F = 9/5 · t/°C + 32
const fahrenheit = { show: (tempC: number) => (9 / 5) * tempC + 32, unit: '°F' };
const cup = (over: object = {}) => ({
	readings: [],
	pourTempC: undefined,
	bands: undefined,
	otherName: 'Slow',
	mainName: 'White',
	...celsius,
	...over
});

describe('the cup', () => {
	it('its curve is the series, a minute for sixty seconds', () => {
		const { traces } = cupChart(main, undefined, cup());
		expect(traces).toHaveLength(1);
		expect(traces[0]!.x).toEqual(main.cup.series.map((p) => p.timeS / 60));
		expect(traces[0]!.y).toEqual(main.cup.series.map((p) => p.tempC));
		expect(traces[0]!.name).toBe('White');
	});

	it('a line and its name stand at the pot life and at the gel, each name on a line of its own', () => {
		const { layout } = cupChart(main, undefined, cup());
		const notes = layout.annotations!;
		expect(notes.map((n) => n.text)).toEqual(['too thick', 'gel']);
		expect(notes.map((n) => n.x)).toEqual([main.cup.potLifeS / 60, main.cup.gelTimeS / 60]);
		expect(new Set(notes.map((n) => n.y)).size).toBe(2);
		layout.shapes!.forEach((s, i) => {
			expect([s.x0, s.x1]).toEqual([notes[i]!.x, notes[i]!.x]);
			// the line ends where its name begins
			expect(s.y1).toBe(notes[i]!.y);
		});
	});

	it('no line of a mark runs through the name of an earlier one, which stands to the right of its own', () => {
		const heated = { ...main, cup: { ...main.cup, reachesPourTempS: main.cup.potLifeS * 0.8 } };
		for (const f of [main, heated]) {
			const { annotations: notes, shapes } = cupChart(f, undefined, cup()).layout;
			expect(new Set(notes!.map((n) => n.y)).size).toBe(notes!.length);
			for (const n of notes!)
				for (const s of shapes!.slice(0, notes!.length))
					if ((s.x0 as number) > (n.x as number)) expect(s.y1 as number).toBeLessThan(n.y as number);
		}
	});

	it('gel and pot life lie inside the chart, also those of a slower one beside it', () => {
		for (const other of [undefined, slow]) {
			const { layout, traces } = cupChart(main, other, cup());
			const [from, to] = layout.xaxis!.range as [number, number];
			expect(from).toBe(0);
			for (const f of [main, ...(other ? [other] : [])]) expect(to).toBeGreaterThan(f.cup.gelTimeS / 60);
			expect(traces.map((t) => t.name)).toEqual(other ? ['White', 'Slow'] : ['White']);
		}
	});

	it('in Fahrenheit every temperature is one, the curve’s as the level’s', () => {
		const at = { pourTempC: 30 };
		const [c, f] = [
			cupChart(main, undefined, cup(at)),
			cupChart(main, undefined, cup({ ...at, ...fahrenheit }))
		];
		const [ys, fs] = [c.traces[0]!.y as number[], f.traces[0]!.y as number[]];
		ys.forEach((y, i) => expect(fs[i]).toBeCloseTo(1.8 * y + 32, 9));
		expect(f.layout.shapes!.at(-1)!.y0).toBeCloseTo(86, 9);
		expect(f.layout.yaxis!.title).toEqual({ text: '°F' });
	});

	it('the band of its pot life is a ribbon round its mark', () => {
		const { layout } = cupChart(main, undefined, cup({ bands }));
		const ribbon = layout.shapes!.find((s) => s.type === 'rect')!;
		expect([ribbon.x0, ribbon.x1]).toEqual([bands.potLife.lowS / 60, bands.potLife.highS / 60]);
		expect(ribbon.x0).toBeLessThan(main.cup.potLifeS / 60);
		expect(ribbon.x1).toBeGreaterThan(main.cup.potLifeS / 60);
		expect(cupChart(main, undefined, cup()).layout.shapes!.some((s) => s.type === 'rect')).toBe(false);
	});

	it('with readings the sheet’s curve stays beside the one that they made, and the readings are dots on it', () => {
		const readings = [60, 100, 140].map((timeS) => ({ timeS, tempC: 25 + timeS / 20 }));
		const read = forecast({ ...whiteInMould, readings });
		const { traces, layout } = cupChart(read, undefined, cup({ readings }));
		expect(traces.map((t) => t.name)).toEqual(['with your readings', 'by the sheet', 'read']);
		expect(traces[2]).toMatchObject({ mode: 'markers', x: readings.map((r) => r.timeS / 60) });
		expect(traces[2]!.y).toEqual(readings.map((r) => r.tempC));
		// the marks are those of this cup, not of the sheet
		expect(layout.annotations![0]!.x).toBe(read.fit!.potLifeS / 60);
		expect(read.fit!.potLifeS).not.toBe(read.cup.potLifeS);
	});
});

describe('the part', () => {
	const part = (over: object = {}) => ({ otherName: 'Slow', bands, ...celsius, ...over });

	it('core and wall on the left, the share that is cured on the right, never past all of it', () => {
		const { traces, layout } = partChart(main, undefined, part());
		expect(traces.map((t) => [t.name, t.yaxis ?? 'y'])).toEqual([
			['core', 'y'],
			['at the wall', 'y'],
			['cured, slowest place', 'y2']
		]);
		const cured = traces[2]!.y as number[];
		for (const share of cured) {
			expect(share).toBeGreaterThanOrEqual(0);
			expect(share).toBeLessThanOrEqual(100);
		}
		expect(Math.max(...cured)).toBeGreaterThan(50);
		expect(layout.yaxis2!.range).toEqual([0, 100]);
	});

	it('its clock is logarithmic: marks stand at the logarithm, ticks at 1, 2 and 5 within the range', () => {
		const { layout } = partChart(main, undefined, part());
		const [from, to] = layout.xaxis!.range as [number, number];
		const demould = layout.annotations!.find((n) => n.text === 'demould')!;
		expect(10 ** (demould.x as number) * 60).toBeCloseTo(main.demouldS, 6);
		expect(demould.x as number).toBeLessThan(to);
		const ticks = layout.xaxis!.tickvals as number[];
		expect(ticks.length).toBeGreaterThan(3);
		for (const t of ticks) {
			expect(Math.log10(t)).toBeGreaterThanOrEqual(from);
			expect(Math.log10(t)).toBeLessThanOrEqual(to);
			expect(['1', '2', '5']).toContain(t.toExponential(0)[0]);
		}
		expect(layout.xaxis!.ticktext).toEqual(ticks.map((t) => String(Number(t.toPrecision(1)))));
	});

	it('the foot says from when it gives, and where four of five are ready; without a band it does not', () => {
		const words = (of: ReturnType<typeof partChart>) => of.layout.annotations!.map((n) => n.text);
		expect(words(partChart(main, undefined, part()))).toContain('four of five ready');
		expect(words(partChart(main, undefined, part({ bands: undefined })))).not.toContain('four of five ready');
		expect(words(partChart(main, undefined, part()))).toContain('gives when bent');
		const stiff = { ...main, flexibleS: main.demouldS };
		expect(words(partChart(stiff, undefined, part()))).not.toContain('gives when bent');
	});

	it('a second resin has its own share, and the clock reaches to its demould', () => {
		const { traces, layout } = partChart(main, slow, part());
		expect(traces.at(-1)).toMatchObject({ name: 'Slow, cured', yaxis: 'y2' });
		expect((layout.xaxis!.range as number[])[1]).toBeGreaterThan(Math.log10(slow.demouldS / 60));
	});

	it('where it softens is said once it comes near, and not before', () => {
		const near = { ...main, softensC: main.peakTempC + 5 };
		const far = { ...main, softensC: main.peakTempC + 40 };
		const said = (f: typeof main) =>
			partChart(f, undefined, part()).layout.annotations!.find((n) => n.text === 'softens above this');
		expect(said(near)).toMatchObject({ y: near.softensC });
		expect(said(far)).toBeUndefined();
	});
});
