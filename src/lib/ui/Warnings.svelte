<script lang="ts">
	import type { Warning } from '$lib/core/working';
	import { useUnits } from './units.svelte';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';

	const units = useUnits();
	interface Props {
		warnings: readonly Warning[];
		/** It comes up while hands are busy: a screen reader says it. */
		live?: boolean;
	}
	let { warnings, live = false }: Props = $props();
	/** Each sentence once: one code may have several, such as two resins that stick for two reasons. */
	const said = $derived(new Map(warnings.map((w) => [w.message, w])));
</script>

{#if said.size > 0}
	<div role={live ? 'status' : undefined}>
		<ul class="flex flex-col gap-2">
			{#each said.values() as warning (warning.message)}
				<li
					class={[
						'flex gap-3 rounded-lg border-l-[6px] px-3 py-2',
						warning.severity === 'harm' ? 'border-(--harm) bg-(--harm-soft)' : 'border-(--hot) bg-(--hot-soft)'
					]}>
					<TriangleAlert class="mt-0.5 size-6 shrink-0" aria-hidden="true" />
					<p>{units.text(warning.message)} <strong>{units.text(warning.action)}</strong></p>
				</li>
			{/each}
		</ul>
	</div>
{/if}
