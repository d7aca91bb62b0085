<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import { useUnits } from '$lib/ui/units.svelte';
	import { CAUSE_WORDS, FAULT_WORDS, type CauseId, type Fault, type RankedCause } from '$lib/core/faults';

	/** What the faults of a pull came from, by its own log; the maker has the last word. */
	let { causes }: { causes: readonly { fault: Fault; confirmed: CauseId | null; ranked: RankedCause[] }[] } = $props();
	const units = useUnits();
</script>

{#each causes as { fault, confirmed, ranked } (fault)}
	<section class="mb-5" aria-label="Causes of {FAULT_WORDS[fault]}">
		<h2 class="mb-1">Why {FAULT_WORDS[fault]}</h2>
		{#if confirmed}<p class="mb-1">Confirmed: <strong>{CAUSE_WORDS[confirmed] ?? confirmed}</strong>.</p>{/if}
		<ol class="divide-y divide-(--line) border-y border-(--line)">
			{#each ranked as c, i (c.id)}
				<li class="grid grid-cols-[3.6rem_1fr_auto] items-start gap-x-3 py-2">
					<span class={['tabular-nums', i === 0 ? 'text-[1.4rem] font-bold' : 'soft text-[1.15rem]']}
						>{Math.round(100 * c.likelihood)} %</span>
					<div>
						<p>
							<strong>{CAUSE_WORDS[c.id]}</strong>
							<span class="soft">{c.clues.length ? c.clues.map((x) => units.text(x.words)).join('; ') : 'nothing of it was recorded'}</span>
						</p>
						{#if i < 2}<p class="text-[0.93rem]">{units.text(c.remedy)}</p>{/if}
					</div>
					{#if confirmed !== c.id}
						<form method="POST" action="?/cause" use:enhance>
							<input type="hidden" name="fault" value={fault} /><input type="hidden" name="cause" value={c.id} />
							<Button type="submit" color="alternative" size="sm" class="min-h-[2.4rem]" aria-label="This was it: {CAUSE_WORDS[c.id]}"
								>This was it</Button>
						</form>
					{/if}
				</li>
			{/each}
		</ol>
		<p class="soft mt-1 text-[0.93rem]">Likelihoods of these causes by this pull’s log; what is confirmed weighs more the next time.</p>
	</section>
{/each}
