<script lang="ts">
	import { MOULD_KINDS, MOULD_MODULES, type MouldKind } from '$lib/core/mould';

	/** The ways to make one as small sections through a mould; one is chosen. */
	let { value = $bindable() }: { value: MouldKind } = $props();
</script>

<fieldset class="mb-3 min-w-0">
	<legend class="label mb-1">It opens</legend>
	<div class="grid grid-cols-2 gap-2 sm:grid-cols-4">
		{#each MOULD_KINDS as kind (kind)}
			{@const { glyph: g, words } = MOULD_MODULES[kind]}
			<label
				class="flex min-h-[3.4rem] cursor-pointer flex-col items-center justify-center gap-1.5 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-2 py-2 text-center leading-tight font-semibold has-checked:border-(--work) has-checked:bg-(--work) has-checked:text-(--work-ink)">
				<input class="sr-only" type="radio" name="kind" value={kind} bind:group={value} />
				<svg viewBox="0 0 48 31" class="h-9 w-14 shrink-0" aria-hidden="true">
					<path d={g.rubber} fill="var(--rubber)" stroke="currentColor" stroke-width="1.4" />
					<path d={g.hollow} fill="var(--paper)" stroke="currentColor" stroke-width="1.2" />
					<path d={g.seam} fill="none" stroke="var(--ink)" stroke-width="2.4" />
				</svg>
				{words.opens}
			</label>
		{/each}
	</div>
</fieldset>
