<script lang="ts">
	import Chart from '../Chart.svelte';
	import { useUnits } from '../units.svelte';

	interface Point {
		timeS: number;
		tempC: number;
	}
	/** Cup temperature and pot pressure of a pull, as read, beside what was foretold. */
	interface Props {
		curves: {
			cups: { name: string; foretold: Point[]; read: Point[] }[];
			pressure: { timeS: number; gaugeKpa: number }[];
			targetGaugeKpa: number | null;
			potLifeS: number;
		};
	}
	let { curves }: Props = $props();
	const units = useUnits();
	const degrees = (c: number) => units.plotted(c, 'temperature');
	const called = (what: string, name: string) => (name ? `${name}, ${what}` : what);
	// told apart in print and by eyes that see no colours: by dash and by mark
	const DASHES = ['dash', 'dot', 'dashdot', 'longdash'] as const;
	const MARKS = ['circle', 'square', 'diamond', 'triangle-up'] as const;
	const of = <T,>(list: readonly T[], i: number) => list[i % list.length]!;
	const min = (s: number) => s / 60;
</script>

{#if curves.cups.some((c) => c.foretold.length > 0)}
	<h2 class="mt-5">{curves.cups.length > 1 ? 'The cups' : 'The cup'}</h2>
	<Chart
		label="Temperature of the cup over time, foretold and read"
		height={220}
		traces={curves.cups.flatMap(({ name, foretold, read }, i) => [
			{
				x: foretold.map((p) => min(p.timeS)),
				y: foretold.map((p) => degrees(p.tempC)),
				mode: 'lines' as const,
				name: called('foretold', name),
				line: { color: '--ink', width: 2, dash: of(DASHES, i) }
			},
			...(read.length
				? [
						{
							x: read.map((p) => min(p.timeS)),
							y: read.map((p) => degrees(p.tempC)),
							mode: 'markers' as const,
							name: called('read', name),
							marker: { color: '--ink', size: 10, symbol: of(MARKS, i) }
						}
					]
				: [])
		])}
		layout={{ xaxis: { title: { text: 'minutes after combining' } }, yaxis: { title: { text: units.plotUnit('temperature') } } }} />
{/if}
{#if curves.pressure.length > 1}
	<h2 class="mt-4">The pot</h2>
	<Chart
		label="Gauge pressure through the cycle"
		height={200}
		traces={[
			{
				x: curves.pressure.map((p) => min(p.timeS)),
				y: curves.pressure.map((p) => units.plotted(p.gaugeKpa, 'pressure')),
				mode: 'lines+markers',
				name: 'gauge',
				line: { color: '--work', width: 3 },
				marker: { size: 9 }
			}
		]}
		layout={{
			xaxis: { title: { text: 'minutes after combining' } },
			yaxis: { title: { text: units.plotUnit('pressure') }, rangemode: 'tozero' }
		}} />
{/if}
