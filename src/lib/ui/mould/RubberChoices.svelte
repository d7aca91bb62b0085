<script lang="ts">
	import type { RubberChoice } from '$lib/core/mould';
	import Mark from '../Mark.svelte';

	/** Every rubber of the shelf for this mould, with its reasons; a press takes one. */
	let { choices, chosen, onpick }: { choices: readonly RubberChoice[]; chosen: string; onpick: (id: string) => void } = $props();
	const MARK = { fits: 'full', 'with care': 'left', 'does not fit': 'cross' } as const;
	const TONE = { fits: 'text-(--work)', 'with care': 'text-(--ink)', 'does not fit': 'text-(--harm)' };
</script>

<ul class="divide-y divide-(--line)">
	{#each choices as c (c.id)}
		<li class="flex flex-wrap items-start gap-x-4 gap-y-1 py-2">
			<span class={['min-w-[8.5rem] font-bold', TONE[c.fit]]}><Mark outline={MARK[c.fit]} /> {c.fit}</span>
			<span class="min-w-[12rem] flex-1"
				><strong>{c.name}</strong><span class="soft block text-[0.93rem]">{c.reasons.join('; ')}</span></span>
			<button
				type="button"
				class="min-h-[2.5rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) px-3 font-semibold aria-pressed:bg-(--work) aria-pressed:text-(--work-ink)"
				aria-pressed={c.id === chosen}
				aria-label="{c.id === chosen ? 'Chosen' : 'Take it'}: {c.name}"
				onclick={() => onpick(c.id)}>{c.id === chosen ? 'Chosen' : 'Take it'}</button>
		</li>
	{/each}
</ul>
