<script lang="ts">
	import { caution, CAUTION_ORDER, type CautionTopic } from '$lib/core/cautions';
	import ShieldAlert from '@lucide/svelte/icons/shield-alert';

	let { topics, order = true }: { topics: readonly CautionTopic[]; order?: boolean } = $props();
</script>

{#if topics.length > 0}
	<aside class="flex gap-3 rounded-lg border-[1.5px] border-(--harm) px-3 py-2" aria-label="Caution">
		<ShieldAlert class="mt-0.5 size-6 shrink-0 text-(--harm)" aria-hidden="true" />
		<div>
			{#each topics as topic (topic)}<p>{caution(topic)}</p>{/each}
			{#if order}<p class="soft text-[0.85rem] max-sm:text-[0.85rem] max-sm:leading-tight">{CAUTION_ORDER}</p>{/if}
		</div>
	</aside>
{/if}
