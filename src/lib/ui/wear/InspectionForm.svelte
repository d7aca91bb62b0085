<script lang="ts">
	import PhotoInput from '../PhotoInput.svelte';
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import { LIMIT, SIGNS, type MouldInspection, type Sign, type Spot } from '$lib/core/wear';
	import { newId } from '../newId';
	import TextField from '../TextField.svelte';
	import Sketch from './Sketch.svelte';

	/** Looking a mould over: a score for each sign with its anchored words, known bad places, a picture. */
	interface Props {
		signs: readonly Sign[];
		before: MouldInspection | undefined;
		problems: readonly { path: string; message: string }[];
		kept: boolean;
	}
	let { signs, before, problems, kept }: Props = $props();
	let scores = $state<Partial<Record<Sign, number>>>({});
	let spots = $state<Spot[]>([]);
	let note = $state('');
	let entry = $state(newId());
	let begun = false;
	$effect(() => {
		// what was known before stands on the sketch; scores are given anew
		if (!begun && before) spots = before.spots.map((s) => ({ ...s }));
		begun = true;
	});
	const inspection = $derived({ scores, spots: spots.filter((s) => s.what.trim() !== ''), note });
	const said = $derived(problems.map((p) => p.message));
</script>

<form
	method="POST"
	action="?/inspect"
	enctype="multipart/form-data"
	class="slab p-5"
	use:enhance={() =>
		async ({ result, update }) => {
			await update({ reset: false });
			if (result.type !== 'success') return;
			[scores, note, entry] = [{}, '', newId()];
		}}>
	<h2 class="mb-1">Look it over now</h2>
	<p class="soft mb-3 text-[0.93rem]">0 is as new, {LIMIT} is out of use. The words make two people score alike.</p>
	<input type="hidden" name="entry" value={entry} />
	<input type="hidden" name="inspection" value={JSON.stringify(inspection)} />
	<ul class="flex flex-col gap-3">
		{#each signs as sign (sign)}
			{@const score = scores[sign]}
			<li>
				<fieldset>
					<legend class="label"
						>{SIGNS[sign].words}{before?.scores[sign] === undefined ? '' : ` (last time ${before.scores[sign]})`}</legend>
					<div class="mt-1 flex gap-1">
						{#each SIGNS[sign].at as words, i (i)}
							<label
								class="grid min-h-[2.6rem] flex-1 cursor-pointer place-items-center rounded-md border-[1.5px] border-(--line-strong) bg-(--paper) font-bold has-checked:border-(--work) has-checked:bg-(--work) has-checked:text-(--work-ink)"
								title={words}>
								<input
									type="radio"
									class="sr-only"
									name="score-{sign}"
									value={i}
									bind:group={scores[sign]}
									aria-label="{SIGNS[sign].words} {i}: {words}" />
								{i}
							</label>
						{/each}
					</div>
					<p class="min-h-[1.3rem] text-[0.93rem]">{score === undefined ? '' : SIGNS[sign].at[score]}</p>
				</fieldset>
			</li>
		{/each}
	</ul>
	<Sketch bind:spots />
	<TextField label="Note" name="lookNote" bind:value={note} />
	<PhotoInput label="A picture, JPEG, PNG or WebP" />
	{#if said.length > 0}<p class="mb-2 font-semibold text-(--harm)" role="alert">{said.join(' ')}</p>{/if}
	<div class="flex items-center gap-3">
		<Button type="submit" size="lg">Keep this look</Button>
		<span role="status" class="font-semibold text-(--work)">{kept ? 'Kept, with what it foretells.' : ''}</span>
	</div>
</form>
