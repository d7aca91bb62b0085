<script lang="ts">
	import { enhance as plainEnhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { experienceRecord, experiencesWith, VERDICTS, whatMeets, type Thing } from '$lib/core/compatibility';
	import Save from '$lib/ui/Save.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(experienceRecord)
	});
	const KINDS: Record<Thing['kind'], string> = {
		master: 'Master of',
		rubber: 'Rubber',
		resin: 'Resin',
		release: 'Release',
		thermoplastic: 'Thermoplastic',
		rigid: 'A',
		wet: 'A'
	};
	const options = $derived(data.things.map((t) => ({ value: t.key, label: `${KINDS[t.kind]} ${t.name}` })));
	const thing = (key: string) => data.things.find((t) => t.key === key);
	const first = $derived(thing($form.first));
	const second = $derived(thing($form.second));
	const said = $derived(first && second ? whatMeets(first, second, data.experiences) : undefined);
	/** The word over it: the maker's own last word first, else the worst of the rules. */
	const worst = $derived.by(() => {
		if (!first || !second || !said) return undefined;
		const own = experiencesWith(first, second, data.experiences).at(-1)?.verdict;
		if (own) return own === 'never again' ? 'harm' : own === 'fine' ? 'fine' : 'care';
		return said.some((w) => w.severity === 'harm') ? 'harm' : said.length > 0 ? 'care' : 'fine';
	});
	const nameOf = (key: string) => thing(key)?.name ?? 'something that is gone';
</script>

<PageHead title="What may touch what" about="Asked wherever two things meet. Your own experience comes before the rules of the trade.">
	{#snippet actions()}<Button href="/shelf" color="alternative" size="lg">The shelf</Button>{/snippet}
</PageHead>
<div class="grid items-start gap-5 lg:grid-cols-[1fr_1fr]">
	<section class="slab p-5">
		<form id="meet" method="POST" action="?/keep" use:enhance>
			<FormErrors errors={$errors._errors} />
			<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
				<ChoiceField label="This" name="first" bind:value={$form.first} placeholder="Choose one" {options} error={$errors.first} />
				<ChoiceField
					label="meets this"
					name="second"
					bind:value={$form.second}
					placeholder="Choose another"
					{options}
					error={$errors.second} />
			</div>
			<div aria-live="polite" class="mt-1 mb-4">
				{#if worst === 'fine'}
					<p class="answer mb-3 text-[2rem] text-(--work)">Nothing against it</p>
					{#if said && said.length > 0}<Warnings warnings={said} />{:else}<p class="soft">
							A new pair deserves a small trial patch all the same.
						</p>{/if}
				{:else if said}
					<p class={['answer mb-3 text-[2rem]', worst === 'harm' ? 'text-(--harm)' : 'text-(--ink)']}>
						{worst === 'harm' ? 'It goes wrong' : 'With care'}
					</p>
					<Warnings warnings={said} />
				{:else}
					<p class="soft">Choose two things: a master and a rubber, a resin and a mould’s rubber, a release and either.</p>
				{/if}
			</div>
			<h2 class="mb-2">How did it go for you?</h2>
			<Segments label="It was" name="verdict" bind:value={$form.verdict} options={VERDICTS.map((value) => ({ value, label: value }))} />
			<div class="mt-3"><TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} /></div>
			<div class="flex flex-wrap items-center gap-4">
				<!-- the next one is another -->
				{#key data.experiences.length}<Save label="Keep this experience" submitting={$submitting} />{/key}
				<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
			</div>
		</form>
	</section>
	<section class="slab p-5">
		<h2 class="mb-2">What you found so far</h2>
		<ul>
			{#each data.experiences as e (e.id)}
				<li class="grid grid-cols-[1fr_auto] items-start gap-3 border-t border-(--line) py-2">
					<span
						><strong>{nameOf(e.first)}</strong> with <strong>{nameOf(e.second)}</strong>:
						<span class={e.verdict === 'fine' ? 'text-(--work)' : e.verdict === 'never again' ? 'text-(--harm)' : 'text-(--ink)'}
							>{e.verdict}</span
						>{#if e.note}<span class="soft block">{e.note}</span>{/if}</span>
					<form method="POST" action="?/remove" use:plainEnhance>
						<input type="hidden" name="id" value={e.id} />
						<Button type="submit" size="sm" color="alternative" aria-label="Remove {nameOf(e.first)} with {nameOf(e.second)}"
							>Remove</Button>
					</form>
				</li>
			{:else}<li class="soft">Nothing yet.</li>{/each}
		</ul>
	</section>
</div>
