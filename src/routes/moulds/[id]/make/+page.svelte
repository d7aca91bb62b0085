<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { MakingRun } from '$lib/ui/makingRun.svelte';
	import MakingBench from '$lib/ui/mould/MakingBench.svelte';
	import { keepBench } from '$lib/ui/keepBench';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	const run = untrack(() => new MakingRun(data.id, data.making, data.known, units));
	onMount(() => {
		const [stop, letGo] = [run.start(), keepBench()];
		return () => {
			stop();
			letGo();
		};
	});
</script>

<svelte:head><title>Making M{data.making.number} · Anthypos</title></svelte:head>
<MakingBench {run} nowMs={data.nowMs} />
