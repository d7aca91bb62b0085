<script lang="ts">
	import { enhance } from '$app/forms';

	/** Moulds that the plan may go without: a press keeps one out, another lets it in again. */
	interface Props {
		moulds: readonly { id: string; number: number; label: string; out: boolean }[];
	}
	let { moulds }: Props = $props();
	const out = $derived(moulds.filter((m) => m.out));
	let refused = $state('');
</script>

<details class="no-print mb-3">
	<summary class="w-fit font-semibold"
		>Moulds in the plan{out.length > 0 ? `, without ${out.map((m) => `M${m.number}`).join(', ')}` : ''}</summary>
	<form
		method="POST"
		action="?/keepOut"
		class="mt-2 flex flex-wrap gap-2"
		use:enhance={() => {
			refused = '';
			return async ({ result, update }) => {
				if (result.type === 'failure') refused = String(result.data?.['refused']);
				else if (result.type === 'error') refused = 'The server did not answer, so nothing was changed: try again.';
				await update({ reset: false });
			};
		}}>
		{#each moulds as m (m.id)}
			<button
				type="submit"
				name="mouldId"
				value={m.id}
				formaction="?/keepOut&out={m.out ? 'no' : 'yes'}"
				aria-pressed={!m.out}
				class={[
					'min-h-[2.65rem] cursor-pointer rounded-full border-[1.5px] px-4 font-semibold',
					m.out ? 'border-dashed border-(--line-strong) bg-(--sunk) line-through' : 'border-(--work) bg-(--work-soft)'
				]}>M{m.number} <span class="font-normal">{m.label}</span></button>
		{/each}
	</form>
	<p class="min-h-[1.6rem] font-semibold text-(--harm)" role="alert">{refused}</p>
</details>
