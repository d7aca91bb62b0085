<script lang="ts">
	import PageHead from '$lib/ui/PageHead.svelte';

	const KEYS: readonly { where: string; keys: readonly [string, string][] }[] = [
		{
			where: 'Everywhere',
			keys: [
				['/ or Ctrl K', 'find anything: a mould by its number, a piece, a resin, a lot, a pull, a page'],
				['Tab, Shift Tab', 'the next field or button, the one before'],
				['Escape', 'closes what was opened, and goes back to where you were']
			]
		},
		{
			where: 'In what was found',
			keys: [
				['↓ ↑', 'the next, the one before'],
				['Enter', 'goes there']
			]
		},
		{
			where: 'At the bench: a pour, a mould in the making',
			keys: [
				['Space', 'the large button: the step is done'],
				['P, held', 'pours at a simulated scale, a full stream'],
				['T, held', 'pours at a simulated scale, a trickle']
			]
		},
		{
			where: 'In choices that stand side by side',
			keys: [['← →', 'the next, the one before']]
		}
	];
</script>

<PageHead title="Keys" about="Everything that a key does. With gloves on, the large buttons do the same." />
<div class="grid gap-5 lg:grid-cols-2">
	{#each KEYS as { where, keys } (where)}
		<section class="slab p-5">
			<h2 class="mb-3">{where}</h2>
			<dl class="grid grid-cols-[auto_1fr] items-baseline gap-x-5 gap-y-3">
				{#each keys as [key, does] (key)}
					<dt><kbd class="rounded-md border-2 border-(--line-strong) px-3 py-1 font-semibold whitespace-nowrap">{key}</kbd></dt>
					<dd>{does}</dd>
				{/each}
			</dl>
		</section>
	{/each}
</div>
