<script lang="ts">
	import Chart from '../Chart.svelte';
	import { useUnits } from '../units.svelte';

	/** Cup temperature and pot pressure of a pull, as read, beside what was foretold. */
	interface Props {
		curves: {
			foretold: { timeS: number; tempC: number }[];
			read: { timeS: number; tempC: number }[];
			pressure: { timeS: number; gaugeKpa: number }[];
			targetGaugeKpa: number | null;
			potLifeS: number;
		};
	}
	let { curves }: Props = $props();
	const units = useUnits();
	const degrees = (c: number) => units.plotted(c, 'temperature');
	const min = (s: number) => s / 60;
</script>

{#if curves.foretold.length > 0}
	<h2 class="mt-5">The cup</h2>
	<Chart
		label="Temperature of the cup over time, foretold and read"
		height={220}
		traces={[
			{
				x: curves.foretold.map((p) => min(p.timeS)),
				y: curves.foretold.map((p) => degrees(p.tempC)),
				mode: 'lines',
				name: 'foretold',
				line: { color: '--hot', width: 2, dash: 'dash' }
			},
			...(curves.read.length
				? [
						{
							x: curves.read.map((p) => min(p.timeS)),
							y: curves.read.map((p) => degrees(p.tempC)),
							mode: 'markers' as const,
							name: 'read',
							marker: { color: '--ink', size: 10 }
						}
					]
				: [])
		]}
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
