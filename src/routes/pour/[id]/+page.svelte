<script lang="ts">
	import OnePour from '$lib/ui/pour/OnePour.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Pour {data.pour.plan.masterName} · Anthypos</title></svelte:head>
{#key data.pour.id}<OnePour
		pour={data.pour}
		known={data.known}
		nowMs={data.nowMs}
		instruments={data.instruments}
		outline={data.outline} />{/key}
