<script lang="ts">
	import { LIMIT, worstSign, type MouldInspection, type WearForecast } from '$lib/core/wear';

	/** A mould's life as a band: pulls behind it, looks on the way, pulls to come with their doubt. */
	interface Props {
		pulls: number;
		forecast: Pick<WearForecast, 'pullsLeftLow' | 'pullsLeftMedian' | 'pullsLeftHigh' | 'survival'>;
		inspections: readonly { id: string; pulls: number; inspection: MouldInspection }[];
	}
	let { pulls, forecast, inspections }: Props = $props();
	const uid = $props.id();
	const W = 640;
	const H = 98;
	const BASE = 76;
	const end = $derived(Math.max(10, pulls + forecast.pullsLeftHigh * 1.15));
	const x = (n: number) => 8 + ((W - 16) * n) / end;
	const step = $derived([5, 10, 20, 25, 50, 100, 200, 500].find((s) => end / s <= 8) ?? 1000);
	const curve = $derived(
		forecast.survival
			.filter((s) => pulls + s.pulls <= end)
			.map((s) => `${x(pulls + s.pulls).toFixed(1)},${(BASE - 56 * s.chance).toFixed(1)}`)
			.join(' ')
	);
</script>

<svg
	viewBox="0 0 {W} {H}"
	class="mt-3 h-auto w-full"
	role="img"
	aria-label="{pulls} pulls behind it, {forecast.pullsLeftLow} to {forecast.pullsLeftHigh} to come, half of such moulds {forecast.pullsLeftMedian}">
	<defs>
		<pattern id="{uid}-gone" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<rect width="7" height="7" fill="var(--sunk)" /><line x1="0" y1="0" x2="0" y2="7" stroke="var(--line-strong)" stroke-width="2.5" />
		</pattern>
	</defs>
	<rect x={x(0)} y={BASE - 56} width={x(pulls) - x(0)} height="56" fill="url(#{uid}-gone)" />
	{#if curve}<polygon
			points="{x(pulls)},{BASE} {curve} {x(end)},{BASE}"
			fill="var(--work-soft)"
			stroke="var(--work)"
			stroke-width="2" />{/if}
	<line x1={x(pulls)} x2={x(pulls)} y1={BASE - 62} y2={BASE} stroke="var(--ink)" stroke-width="3" />
	{#each [forecast.pullsLeftLow, forecast.pullsLeftMedian, forecast.pullsLeftHigh] as left, i (i)}
		<line
			x1={x(pulls + left)}
			x2={x(pulls + left)}
			y1={BASE - 56}
			y2={BASE}
			stroke="var(--ink)"
			stroke-width={i === 1 ? 3 : 1.5}
			stroke-dasharray={i === 1 ? undefined : '4 4'} />
	{/each}
	{#each inspections as inspection (inspection.id)}
		{@const score = worstSign(inspection.inspection.scores)?.score ?? 0}
		<circle cx={x(inspection.pulls)} cy={BASE - (56 * score) / LIMIT} r="6" fill="var(--paper)" stroke="var(--ink)" stroke-width="2" />
		<text
			x={x(inspection.pulls)}
			y={BASE - (56 * score) / LIMIT + 4}
			font-size="10"
			font-weight="700"
			text-anchor="middle"
			fill="var(--ink)">{score}</text>
	{/each}
	<line x1={x(0)} x2={x(end)} y1={BASE} y2={BASE} stroke="var(--line-strong)" stroke-width="2" />
	{#each Array.from({ length: Math.floor(end / step) + 1 }, (_, i) => i * step) as n (n)}
		<text x={x(n)} y={BASE + 17} font-size="12.5" font-weight="600" text-anchor={n === 0 ? 'start' : 'middle'} fill="var(--ink-soft)"
			>{n}</text>
	{/each}
</svg>
<p class="soft text-[0.93rem]">
	Hatched: pulled. Circles: the worst sign at a look. Green: the chance to be still in use. Lines: one in ten, half, nine in ten are done.
</p>
