<script lang="ts">
	import { untrack } from 'svelte';
	import { lowerFirst, wallTime } from '../clockText';
	import { Now } from '../now.svelte';
	import { useUnits } from '../units.svelte';

	/** A mould that is poured and in use nowhere yet: until when its material takes, and what comes then. */
	interface Props {
		pouredAtMs: number;
		readyAtMs: number;
		/** Of the room that it was planned for, °C. */
		roomTempC: number;
		/** What making did to its material, of one that is done: "Poured". */
		made: string;
		/** Its making was followed to the end: it is out of its box and was looked over. */
		finished: boolean;
		/** There is rubber in it: a witness cup stands beside it. */
		inRubber: boolean;
		/** What one looks for before it is used. */
		looked: string;
		nowMs: number;
	}
	let { pouredAtMs, readyAtMs, roomTempC, made, finished, inRubber, looked, nowMs }: Props = $props();
	const units = useUnits();
	const now = new Now(
		untrack(() => nowMs),
		1000
	);
	const leftS = $derived(Math.max(0, readyAtMs - now.ms) / 1000);
	const part = $derived(Math.min(1, Math.max(0, (now.ms - pouredAtMs) / Math.max(1, readyAtMs - pouredAtMs))));
	const what = $derived(finished ? 'It is made since' : leftS > 0 ? 'It cures until' : 'It should be cured since');
</script>

<section class="slab mb-5 p-5" aria-label="As it stands">
	<p class="label">{what}</p>
	<p class="answer text-[3.2rem]" data-testid="ready-at">{wallTime(readyAtMs, now.ms)}</p>
	{#if !finished}
		<div class="mt-3 h-4 overflow-hidden rounded-full border border-(--line-strong) bg-(--sunk)" aria-hidden="true">
			<div class="bar h-full bg-(--work)" style:width="{100 * part}%"></div>
		</div>
		<p class="mt-1 flex flex-wrap justify-between gap-x-4">
			<span>{made} {wallTime(pouredAtMs, now.ms)}</span>
			<span class="soft">as planned, for a room of {units.show(roomTempC, 'temperature')}</span>
			{#if leftS > 0}<strong>another {units.show(leftS, 'time')}</strong>{/if}
		</p>
	{/if}
	<p class="mt-3 text-[1.15rem]">
		{#if finished}Before its first cast: {lowerFirst(looked)}{:else}{leftS > 0 ? 'Then try' : 'Try'}
			{inRubber
				? 'the witness cup: until a stick peels clean out of it, the mould stays shut.'
				: 'its edge: while it takes a print, it stays as it is.'}
			Once it is open: {lowerFirst(looked)}{/if}
	</p>
</section>
