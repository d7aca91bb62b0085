<script lang="ts">
	import { MOULD_KINDS, OPENS_WORDS, type MouldKind } from '$lib/core/mould';

	/** The six ways as small sections through a mould; one is chosen. */
	let { value = $bindable() }: { value: MouldKind } = $props();
	/** Each on a field of 48 × 30: what is rubber, what is empty, where it opens. */
	const GLYPHS: Record<MouldKind, { rubber: string; hollow: string; seam: string }> = {
		'open-face': { rubber: 'M6 8H42V26H6Z', hollow: 'M14 8V15Q24 24 34 15V8Z', seam: '' },
		'one-piece': { rubber: 'M8 4H40V27H8Z', hollow: 'M20 4V9Q13 16 24 21Q35 16 28 9V4Z', seam: 'M8 15q2-3 4 0t4 0' },
		'two-part': { rubber: 'M6 4H42V27H6Z', hollow: 'M22 4V9Q13 16 24 21Q35 16 26 9V4Z', seam: 'M24 21V27M24 4V9' },
		jacket: { rubber: 'M12 27Q11 5 24 5Q37 5 36 27Z', hollow: 'M17 27Q16 10 24 10Q32 10 31 27Z', seam: 'M4 27H12M36 27H44M24 1V5' },
		press: { rubber: 'M6 4H42V14H6ZM6 17H42V27H6Z', hollow: 'M16 14Q24 5 32 14ZM16 17Q24 26 32 17Z', seam: 'M3 15.5H45' },
		rigid: { rubber: 'M12 4H36V27H12Z', hollow: 'M17 4H31L28 23H20Z', seam: 'M9 11H39M9 20H39' }
	};
</script>

<fieldset class="mb-3 min-w-0">
	<legend class="label mb-1">It opens</legend>
	<div class="grid grid-cols-2 gap-2 sm:grid-cols-3">
		{#each MOULD_KINDS as kind (kind)}
			{@const g = GLYPHS[kind]}
			<label
				class="flex min-h-[3.4rem] cursor-pointer items-center gap-3 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 py-1.5 leading-tight font-semibold has-checked:border-(--work) has-checked:bg-(--work) has-checked:text-(--work-ink) has-focus-visible:outline-3 has-focus-visible:outline-(--hot)">
				<input class="sr-only" type="radio" name="kind" value={kind} bind:group={value} />
				<svg viewBox="0 0 48 31" class="h-9 w-14 shrink-0" aria-hidden="true">
					<path d={g.rubber} fill="var(--rubber)" stroke="currentColor" stroke-width="1.4" />
					<path d={g.hollow} fill="var(--paper)" stroke="currentColor" stroke-width="1.2" />
					<path d={g.seam} fill="none" stroke="var(--hot)" stroke-width="2.4" />
				</svg>
				{OPENS_WORDS[kind]}
			</label>
		{/each}
	</div>
</fieldset>
