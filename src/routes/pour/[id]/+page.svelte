<script lang="ts">
	import { onMount } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import { watchBench } from '$lib/ui/watchBench';
	import Meanwhile from '$lib/ui/pour/Meanwhile.svelte';
	import PotMates from '$lib/ui/pour/PotMates.svelte';
	import OnePour from '$lib/ui/pour/OnePour.svelte';

	let { data } = $props();
	/** In less nothing else is begun, s. */
	const WORTH_S = 120;
	// what stands in the same pot moves on at its own bench
	onMount(() => watchBench(() => data.mates.length > 0 && void invalidateAll()));
</script>

<svelte:head><title>Pour {data.pour.plan.masterName} · Anthypos</title></svelte:head>
{#key data.pour.id}<OnePour pour={data.pour} known={data.known} nowMs={data.nowMs} instruments={data.instruments} outline={data.outline}>
		{#snippet mates(now: boolean)}{#if data.mates.length > 0}<PotMates mates={data.mates} {now} />{/if}{/snippet}
		{#snippet waiting(leftS: number)}
			{#if data.meanwhile && leftS > WORTH_S}<Meanwhile
					next={data.meanwhile}
					{leftS}
					moulds={data.pour.plan.moulds.map((m) => `M${m.number}`).join(', ')}
					nowMs={data.nowMs} />{/if}
		{/snippet}
	</OnePour>{/key}
