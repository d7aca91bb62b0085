<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { KIND_WORDS } from '$lib/core/mould';
	import { wallTime } from '$lib/ui/clockText';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Tag from '$lib/ui/Tag.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	const order = { active: 0, 'being-made': 1, new: 2, resting: 3, worn: 4, retired: 5 };
	const moulds = $derived([...data.moulds].sort((a, b) => order[a.state] - order[b.state] || b.number - a.number));
</script>

<PageHead title="Moulds" about="Every mould with its rubber and how often it was pulled.">
	{#snippet actions()}
		{#if moulds.length > 0}<Button href="/moulds/labels.pdf" target="_blank" size="lg" color="alternative">Labels</Button>{/if}
		{#if moulds.some((m) => m.pulls > 0)}<Button href="/moulds/wear" size="lg" color="alternative">Wear</Button>{/if}
		<Button href="/moulds/choose" size="lg" color="alternative">Which way?</Button>
		<Button href="/moulds/new" size="lg">Plan a mould</Button>
	{/snippet}
</PageHead>

{#if moulds.length === 0}
	<p class="slab p-8 text-lg">
		No moulds yet. A mould is planned <a class="plain" href="/moulds/new">round a master</a>.
	</p>
{:else}
	<div class="slab overflow-x-auto">
		<table class="bench">
			<thead><tr><th>Mould</th><th>Master</th><th>State</th><th class="num">Pulls</th><th>Rubber</th><th>Kept where</th></tr></thead>
			<tbody>
				{#each moulds as mould (mould.id)}
					<tr class={mould.state === 'retired' ? 'soft' : ''}>
						<td
							><a class="plain font-bold" href="/moulds/{mould.id}">M{mould.number}</a>
							<span class="font-semibold">{mould.label}</span></td>
						<td><a class="plain" href="/masters/{mould.masterId}">{mould.masterName}</a></td>
						<td>
							<Tag word={mould.state} />
							{#if mould.state === 'new' && mould.readyAtMs !== null}<span class="soft ml-1 text-[0.9rem]"
									>ready {wallTime(mould.readyAtMs, data.nowMs)}</span>
							{:else if mould.state === 'new'}<span class="soft ml-1 text-[0.9rem]">not poured</span>{/if}
						</td>
						<td class="num text-[1.2rem] font-bold">{mould.pulls}</td>
						<td class="soft"
							>{mould.rubberName ? `${mould.rubberName}, ${units.show(mould.rubberMassG, 'mass')}` : KIND_WORDS[mould.kind]}</td>
						<td class="soft">{mould.place}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}
