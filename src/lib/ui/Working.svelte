<script lang="ts">
	import { staysOpen } from './staysOpen';
	import type { WorkingLine } from '$lib/core/working';
	import { useUnits } from './units.svelte';

	interface Props {
		lines: readonly WorkingLine[];
		open?: boolean;
	}
	const units = useUnits();
	let { lines, open = false }: Props = $props();
</script>

<!-- nobody trusts a number at a bench that cannot be checked -->
<details {open} {@attach staysOpen}>
	<summary class="font-semibold text-(--work)">How it is worked out{units.system === 'us' ? ', in metric units' : ''}</summary>
	<dl class="mt-1 divide-y divide-(--line) border-y border-(--line) text-[0.93rem]">
		{#each lines as line, i (i)}
			<div class="grid grid-cols-[1fr_auto] gap-x-4 py-1.5">
				<dt class="font-semibold">{line.what}</dt>
				<dd class="text-right font-semibold">{line.result}</dd>
				<dd class="soft col-span-2">
					{line.sum}{#if line.source}<span class="italic"> — {line.source}</span>{/if}
				</dd>
			</div>
		{/each}
	</dl>
</details>
