<script lang="ts">
	import { SECTORS, HEIGHTS, WANTED, type Coverage, type Direction } from '$lib/core/photo/directions';

	/** From where pictures were taken, seen from above: three rings, low pictures outside; the next one to take is marked. */
	interface Props {
		taken: readonly Direction[];
		coverage: Coverage;
	}
	let { taken, coverage }: Props = $props();

	/** Inner and outer edge of each height's ring. */
	const RING = { low: [78, 98], middle: [54, 74], high: [30, 50] } as const;
	const at = (deg: number, r: number) => {
		const a = (deg * Math.PI) / 180;
		return [r * Math.cos(a), -r * Math.sin(a)] as const;
	};
	function sector(i: number, [inner, outer]: readonly [number, number]): string {
		const [from, to] = [(360 / SECTORS) * i + 1.5, (360 / SECTORS) * (i + 1) - 1.5];
		const p = [at(from, inner), at(from, outer), at(to, outer), at(to, inner)].map((q) => q.map((v) => v.toFixed(2)).join(' '));
		return `M${p[0]}L${p[1]}A${outer} ${outer} 0 0 0 ${p[2]}L${p[3]}A${inner} ${inner} 0 0 1 ${p[0]}Z`;
	}
	const middleOf = (h: keyof typeof RING) => (RING[h][0] + RING[h][1]) / 2;
	const says = $derived(HEIGHTS.map((h) => `${h}: ${taken.filter((d) => d.height === h).length} of ${WANTED[h]}`).join(', '));
</script>

<svg viewBox="-104 -104 208 208" role="img" aria-label="Pictures round the piece, {says}" class="block w-full">
	<rect x="-22" y="-22" width="44" height="44" rx="3" fill="none" stroke="var(--line-strong)" stroke-width="1.5" />
	<path d="M-7 9 L0 -12 L7 9 Z" fill="var(--ink)" opacity="0.65" />
	{#each HEIGHTS as height (height)}
		{#each { length: SECTORS } as _, i (i)}
			<path
				d={sector(i, RING[height])}
				fill={coverage.count[height][i]! > 0 ? 'var(--work)' : 'var(--sunk)'}
				stroke="var(--line-strong)"
				stroke-width="0.8" />
		{/each}
	{/each}
	{#each taken as d, i (i)}
		{@const [x, y] = at(d.roundDeg, middleOf(d.height))}
		<circle cx={x} cy={y} r="3.4" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.2" />
	{/each}
	{#if coverage.next}
		{@const [x, y] = at(coverage.next.roundDeg, middleOf(coverage.next.height))}
		<circle cx={x} cy={y} r="9" fill="none" stroke="var(--hot)" stroke-width="4" />
	{/if}
</svg>
