<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import Drawing from '$lib/ui/how/Drawing.svelte';
	import { inUnits } from '$lib/ui/how/pages';
	import { useUnits } from '$lib/ui/units.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
	const units = useUnits();
</script>

<PageHead title={data.how.title} about="How this is done. The maker’s sheet of each material comes before it.">
	{#snippet actions()}
		<Button color="alternative" size="lg" onclick={() => print()}>Print</Button>
		<Button size="lg" href={data.station.href}>{data.station.name}</Button>
	{/snippet}
</PageHead>
<ol class="grid gap-4 sm:grid-cols-2">
	{#each data.how.steps as step, i (step.title)}
		<li class="slab grid break-inside-avoid grid-cols-[8rem_1fr] items-center gap-4 p-4 xl:grid-cols-[12rem_1fr]">
			<Drawing draw={step.draw} />
			<div>
				<h2 class="mb-1">{i + 1}. {step.title}</h2>
				<p class="text-[1rem]">{inUnits(step.text, (v, k) => units.show(v, k))}</p>
			</div>
		</li>
	{/each}
</ol>
