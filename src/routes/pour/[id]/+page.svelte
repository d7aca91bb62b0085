<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { invalidateAll } from '$app/navigation';
	import PourBench from '$lib/ui/PourBench.svelte';
	import { PourRun } from '$lib/ui/pourRun.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	const run = untrack(() => new PourRun(data.pour.id, data.pour.plan, data.known, () => units.system));
	onMount(() => run.start());
	// the strip and what follows from a finished pour come from the server
	$effect(() => {
		void run.state.current;
		void run.state.status;
		if (run.unsent === 0) untrack(() => void invalidateAll());
	});
</script>

<svelte:head><title>Pour {data.pour.plan.masterName} · Anthypos</title></svelte:head>
<PourBench {run} cupsLeft={data.cupsLeft} nowMs={data.nowMs} />
