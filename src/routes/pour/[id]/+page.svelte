<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import PourBench from '$lib/ui/PourBench.svelte';
	import { PourRun } from '$lib/ui/pourRun.svelte';
	import { keepBench } from '$lib/ui/keepBench';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	const run = untrack(() => new PourRun(data.pour.id, data.pour.plan, data.known, () => units.system));
	onMount(() => {
		const [stop, letGo] = [run.start(), keepBench()];
		return () => {
			stop();
			letGo();
		};
	});
</script>

<svelte:head><title>Pour {data.pour.plan.masterName} · Anthypos</title></svelte:head>
<PourBench {run} nowMs={data.nowMs} instruments={data.instruments} outline={data.outline} />
