<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { CURES, LOOKS, lookForm } from '$lib/core/master';
	import Save from '$lib/ui/Save.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(lookForm)
	});
	const problem = (i: number) => ($errors.places as Record<number, { place?: string[] }> | undefined)?.[i]?.place;
</script>

<PageHead
	title="{data.master.record.name}, looked over"
	about="Without a file: turn the piece as it will be poured, and note every place where air would stay.">
	{#snippet actions()}<Button href="/masters/{data.master.id}" color="alternative" size="lg">The master</Button>{/snippet}
</PageHead>
<form method="POST" action="?version={data.master.version}" use:enhance class="grid items-start gap-5 lg:grid-cols-[1fr_1fr]">
	<section class="slab p-5">
		<h2 class="mb-2">Turn it and look</h2>
		<ol class="flex flex-col gap-1">
			<li class="border-t border-(--line) py-2">
				<p><strong>1</strong> Hold it with its pour face up: a standing piece mostly head down, poured through its base.</p>
			</li>
			{#each LOOKS as look, i (look.kind)}
				<li class="grid grid-cols-[1fr_auto] items-center gap-3 border-t border-(--line) py-2">
					<p><strong>{i + 2}</strong> {look.ask}<span class="soft block text-[0.93rem]">Usually: {look.help}.</span></p>
					<Button color="alternative" onclick={() => ($form.places = [...$form.places, { place: '', cure: look.help }])}>Note one</Button>
				</li>
			{/each}
		</ol>
		<p class="soft mt-2">What hangs down while it is poured fills by itself. What sticks up does not.</p>
	</section>
	<section class="slab p-5">
		<h2 class="mb-2">
			{$form.places.length === 0 ? 'No place noted' : $form.places.length === 1 ? 'One place' : `${$form.places.length} places`}
		</h2>
		<FormErrors errors={$errors._errors} />
		{#each $form.places as _, i (i)}
			<div class="grid grid-cols-[1.4fr_1fr_auto] items-start gap-x-3">
				<TextField
					label="Where"
					name="place-{i}"
					bind:value={$form.places[i]!.place}
					error={problem(i)}
					hint="such as tip of the left hand" />
				<ChoiceField
					label="What helps"
					name="cure-{i}"
					bind:value={$form.places[i]!.cure}
					options={CURES.map((value) => ({ value, label: value }))} />
				<Button
					color="alternative"
					class="mt-6 min-h-[2.75rem]"
					aria-label="Remove place {i + 1}"
					onclick={() => ($form.places = $form.places.filter((_, k) => k !== i))}>Remove</Button>
			</div>
		{/each}
		<div class="mt-2 flex items-center gap-4">
			<Save label="Keep these places" submitting={$submitting} />
			<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
		</div>
	</section>
</form>
