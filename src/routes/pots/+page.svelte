<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import DueBar from '$lib/ui/pots/DueBar.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
</script>

<PageHead title="Pots" about="Pressure pots and vacuum chambers: what they bear, what is due on them, what goes in.">
	{#snippet actions()}
		<Button href="/pots/load" size="lg" color="alternative">Plan a load</Button>
		<Button href="/pots/new" size="lg">Enter a vessel</Button>
	{/snippet}
</PageHead>
{#if data.vessels.length === 0}
	<div class="slab p-6">
		<p class="mb-3 text-[1.15rem]">No vessel is in the books. The settings have a pot, {data.settings.potName}, without looks or cycles.</p>
		<form method="POST" action="?/take" use:enhance>
			<Button type="submit" size="lg">Take {data.settings.potName} into the books</Button>
		</form>
	</div>
{:else}
	<ul class="grid gap-4 lg:grid-cols-2">
		{#each data.vessels as v (v.id)}
			<li class={['slab p-5', v.refused && 'border-2! border-(--harm)!']}>
				<div class="flex flex-wrap items-baseline justify-between gap-x-4">
					<h2 class="text-[1.4rem]!"><a class="plain" href="/pots/{v.id}">{v.record.name}</a></h2>
					<span class="soft"
						>{v.record.kind === 'pot' ? 'pressure pot' : 'vacuum chamber'}, {units.show(v.record.volumeL * 1000, 'volume')}</span>
				</div>
				{#if v.refused}<p class="mt-1 font-bold text-(--harm)" role="alert">{v.refused}</p>{/if}
				<dl class="mt-3 grid grid-cols-3 gap-3">
					<div>
						<dt class="soft text-[0.93rem]">{v.record.kind === 'pot' ? 'Cast at' : 'Reaches'}</dt>
						<dd class="text-[1.4rem] font-bold">
							{units.show(v.record.kind === 'pot' ? v.record.targetGaugeKpa : v.record.reachesKpa, 'pressure')}
						</dd>
					</div>
					<div>
						<dt class="soft text-[0.93rem]">{v.record.kind === 'pot' ? 'Rated' : 'Pump'}</dt>
						<dd class="text-[1.4rem] font-bold">
							{v.record.kind === 'pot' ? units.show(v.record.ratedGaugeKpa, 'pressure') : units.show(v.record.pumpLPerMin, 'flow')}
						</dd>
					</div>
					<div>
						<dt class="soft text-[0.93rem]">Cycles</dt>
						<dd class="text-[1.4rem] font-bold tabular-nums">{v.cycles}</dd>
					</div>
				</dl>
				<ul class="mt-3 flex flex-col gap-1.5">
					{#each v.dues as due (due.part)}<li><DueBar {due} /></li>{/each}
				</ul>
			</li>
		{/each}
	</ul>
	<div class="mt-5"><Caution topics={['pressure', 'vacuum']} /></div>
{/if}
