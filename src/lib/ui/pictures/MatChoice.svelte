<script lang="ts">
	import { MATS, MAT_SIZES, type MatSize } from '$lib/core/photo/mat';
	import { useUnits } from '../units.svelte';

	/** The mats to print: how large a piece each takes, and on which papers it goes. */
	const units = useUnits();
	const PAPERS: Readonly<Record<MatSize, readonly string[]>> = {
		small: ['A4', 'Letter'],
		medium: ['A4', 'Letter'],
		large: ['A3', 'A4', 'Letter']
	};
	const sheets = (size: MatSize, paper: string) => (size === 'large' && paper !== 'A3' ? `two ${paper}` : paper);
</script>

<ul class="grid gap-3 sm:grid-cols-3">
	{#each MAT_SIZES as size (size)}
		{@const mat = MATS[size]}
		<li class="flex min-w-0 items-center gap-3">
			<svg
				viewBox="{-mat.halfMm - 6} {-mat.halfMm - 6} {2 * mat.halfMm + 12} {2 * mat.halfMm + 12}"
				class="w-16 shrink-0"
				aria-hidden="true">
				<rect
					x={-mat.halfMm - 5}
					y={-mat.halfMm - 5}
					width={2 * mat.halfMm + 10}
					height={2 * mat.halfMm + 10}
					fill="#fff"
					stroke="var(--line-strong)"
					stroke-width={mat.halfMm / 50} />
				{#each mat.markers as m (m.id)}<rect
						x={m.xMm - m.edgeMm / 2}
						y={-m.yMm - m.edgeMm / 2}
						width={m.edgeMm}
						height={m.edgeMm}
						fill="#111" />{/each}
			</svg>
			<div class="min-w-0">
				<p class="font-bold first-letter:uppercase">{size}</p>
				<p class="soft text-[0.93rem]">up to {units.show(10 * Math.floor(0.17 * mat.middleMm), 'length')} across</p>
				<p class="flex flex-wrap gap-x-3 text-[0.93rem]">
					{#each PAPERS[size] as paper (paper)}<a
							class="plain inline-block min-h-[1.6rem]"
							href="/masters/mat.pdf?size={size}&paper={paper}"
							target="_blank"
							rel="noopener">{sheets(size, paper)}</a
						>{/each}
				</p>
			</div>
		</li>
	{/each}
</ul>
