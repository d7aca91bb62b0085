<script lang="ts">
	import { FAULTS, GRADES, type Grade } from '$lib/core/pour';
	import Segments from './Segments.svelte';
	import TextField from './TextField.svelte';

	/** Grade, faults and note of one mould's cast. */
	interface Props {
		title: string;
		grade: Grade | '';
		faults: string[];
		note: string;
		id: string;
		wanting?: boolean;
	}
	let { title, grade = $bindable(), faults = $bindable(), note = $bindable(), id, wanting = false }: Props = $props();
	const toggle = (fault: string) => (faults = faults.includes(fault) ? faults.filter((f) => f !== fault) : [...faults, fault]);
	const noteError = $derived(note.length > 2000 ? [`This note has ${note.length} characters: at most 2000 are kept.`] : undefined);
</script>

<section class="slab p-4 text-left">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2">
		<Segments label={title} name="grade-{id}" bind:value={grade} options={GRADES.map((value) => ({ value, label: value }))} />
		{#if wanting && !grade}<p class="font-semibold text-(--harm)" role="alert">Choose a grade for this one.</p>{/if}
	</div>
	{#if grade && grade !== 'good'}
		<div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="Faults">
			{#each FAULTS as fault (fault)}
				<button
					type="button"
					aria-pressed={faults.includes(fault)}
					class={[
						'min-h-[2.5rem] cursor-pointer rounded-full border-[1.5px] px-4 font-semibold',
						faults.includes(fault) ? 'border-(--hot) bg-(--hot) text-(--hot-ink)' : 'border-(--line-strong) bg-(--paper)'
					]}
					onclick={() => toggle(fault)}>{fault}</button>
			{/each}
		</div>
	{/if}
	<div class="mt-2">
		<TextField label="Note" name="note-{id}" bind:value={note} error={noteError} placeholder="where, and what you would do next time" />
	</div>
</section>
