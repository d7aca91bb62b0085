<script lang="ts">
	import { layerAmount, TURNS_WANTED, type Layer } from '$lib/core/shot';
	import { useUnits } from '../units.svelte';

	/** The layers on one another in time: rolled, gelling, open for the next. */
	type Laid = Pick<Layer, 'a' | 'b' | 'catalyst' | 'fillers' | 'serves' | 'sags' | 'way' | 'turns' | 'levelMm' | 'setsIn'> &
		Pick<Layer, 'pouredS' | 'lockS' | 'gelS' | 'recoatFromS' | 'recoatUntilS'>;
	let { layers: kept }: { layers: readonly Laid[] } = $props();
	/** Clocks from the pour of the first, as they lie beside one another. */
	const layers = $derived(
		kept.map((l) => {
			const startS = l.pouredS ?? 0;
			return {
				...l,
				startS,
				lockS: startS + l.lockS,
				gelS: startS + l.gelS,
				recoatFromS: startS + l.recoatFromS,
				recoatUntilS: startS + l.recoatUntilS
			};
		})
	);
	const rolled = $derived((kept[0]?.way ?? 'roll') === 'roll');
	const called = $derived(kept[0]?.way === 'brush' ? 'Coat' : 'Layer');
	const short = (l: Laid) => l.turns !== undefined && l.turns < TURNS_WANTED;
	const units = useUnits();
	const uid = $props.id();
	const last = $derived(layers.at(-1)!);
	const endS = $derived(Math.max(...layers.map((l) => Math.min(l.recoatUntilS, l.gelS * 1.6)), last.gelS * 1.15, last.startS * 1.05));
	const ROW = 34;
	const LEFT = 64;
	const WIDTH = 440;
	const x = (s: number) => LEFT + ((WIDTH - LEFT - 8) * Math.min(s, endS)) / endS;
	const height = $derived(layers.length * ROW + 34);
	const ticks = $derived.by(() => {
		const steps = [60, 120, 300, 600, 900, 1800, 3600, 7200, 14_400, 28_800, 43_200, 86_400];
		const step = steps.find((s) => endS / s <= 5) ?? endS / 5;
		return Array.from({ length: Math.floor(endS / step) + 1 }, (_, i) => i * step);
	});
</script>

<svg
	viewBox="0 0 {WIDTH} {height}"
	class="h-auto w-full"
	role="img"
	aria-label="{layers.length} {called.toLowerCase()}s in time: the last is poured after {units.show(last.startS, 'time')}">
	<defs>
		<pattern id="{uid}-roll" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<rect width="8" height="8" fill="var(--work)" />
			<line x1="0" y1="0" x2="0" y2="8" stroke="var(--paper)" stroke-opacity=".35" stroke-width="3" />
		</pattern>
	</defs>
	{#each ticks as t (t)}
		<line x1={x(t)} y1="0" x2={x(t)} y2={height - 22} stroke="var(--line)" />
		<text
			x={x(t)}
			y={height - 6}
			font-size="13"
			font-weight="600"
			fill="var(--ink-soft)"
			text-anchor={t === 0 ? 'start' : x(t) > WIDTH - 30 ? 'end' : 'middle'}>{t === 0 ? '0' : units.show(t, 'time')}</text>
	{/each}
	{#each layers as l, i (i)}
		{@const y = i * ROW + 4}
		<text x="0" y={y + 18} font-size="14" font-weight="700" fill="var(--ink)">{called} {i + 1}</text>
		<rect
			x={x(l.recoatFromS)}
			{y}
			width={Math.max(0, x(l.recoatUntilS) - x(l.recoatFromS))}
			height={ROW - 10}
			fill="var(--work-soft)"
			stroke="var(--work)" />
		<rect x={x(l.startS)} {y} width={Math.max(1, x(l.lockS) - x(l.startS))} height={ROW - 10} fill="url(#{uid}-roll)" />
		<rect
			x={x(l.lockS)}
			{y}
			width={Math.max(2, x(l.gelS) - x(l.lockS))}
			height={ROW - 10}
			fill={short(l) ? 'var(--hot)' : 'var(--resin)'} />
	{/each}
</svg>
<p class="soft text-[0.93rem]">
	{rolled ? 'Striped: roll it, it still runs. Solid: it stays and gels' : 'Striped: it is liquid. Solid: it gels'}{layers.some(short)
		? ' (orange: too short for even turns)'
		: ''}. Outlined: the next layer bonds.
</p>
<ol class="mt-1 divide-y divide-(--line) border-y border-(--line)">
	{#each layers as l, i (i)}
		<li class="py-1.5">
			<p class="flex flex-wrap justify-between gap-x-2 text-[0.93rem]">
				<strong>{i + 1}: {units.weighed(layerAmount(l).massG)}</strong>
				<span>{i === 0 ? 'at the start' : `at ${units.show(l.startS, 'time')}`}</span>
				{#if rolled}<span>roll {units.show(l.lockS - l.startS, 'time')}</span>{:else if l.levelMm !== undefined}<span
						>up to {units.show(l.levelMm, 'length')}</span
					>{/if}
				<span>gels in {units.show(l.gelS - l.startS, 'time')}</span>
			</p>
			<p class="soft text-[0.93rem]">
				{l.serves}{l.sags ? '; it will sag as it stands: drain it upside down, or thicken it' : ''}{l.setsIn?.length
					? `; then set in: ${l.setsIn.join(', ')}`
					: ''}
			</p>
		</li>
	{/each}
</ol>
