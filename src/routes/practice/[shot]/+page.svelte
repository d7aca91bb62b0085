<script lang="ts">
	import { untrack } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { browser } from '$app/environment';
	import { page } from '$app/state';
	import { drawSlips, SLIP_NAMES, slipsFor, type SlipName } from '$lib/core/practice';
	import PourBench from '$lib/ui/PourBench.svelte';
	import PracticeEnd from '$lib/ui/pour/PracticeEnd.svelte';
	import { PracticeRun } from '$lib/ui/pour/practiceRun.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	/** What is thrown in: chosen in the address, or drawn; nothing while the server draws the page. */
	function slips(): SlipName[] {
		const able = slipsFor(data.plan);
		const asked = (page.url.searchParams.get('slips') ?? '').split(',');
		const count = Math.min(SLIP_NAMES.length, Number(page.url.searchParams.get('surprise')) || 0);
		if (count > 0) return browser ? drawSlips(data.plan, count, Math.random) : [];
		return able.filter((name) => asked.includes(name));
	}
	const begun = () => new PracticeRun(data.plan, slips(), Math.floor(Math.random() * 2 ** 31), units.system);
	const run = untrack(begun);
</script>

<svelte:head><title>Practice {data.plan.masterName} · Anthypos</title></svelte:head>
<PourBench {run} nowMs={data.nowMs} source={run.source}>
	{#snippet happened()}
		{#if run.happened}<p
				class="mx-auto rounded-lg border-2 border-(--hot) bg-(--hot-soft) px-4 py-2 text-center text-[1.15rem] font-bold text-(--ink)"
				role="alert">
				{run.happened}
			</p>{/if}
	{/snippet}
	{#snippet waiting(waitS: number)}
		<p class="text-center"><Button size="lg" color="alternative" onclick={() => run.forward(waitS)}>Put the clock forward</Button></p>
	{/snippet}
	{#snippet ended()}<PracticeEnd {run} />{/snippet}
</PourBench>
