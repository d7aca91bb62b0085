<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { SvelteMap } from 'svelte/reactivity';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { bPerAByWeight } from '$lib/core/mix';
	import {
		colourLoad,
		colourSide,
		dropsOf,
		isCatalysed,
		isPowder,
		massOfDropsG,
		mixable,
		recipeRecord,
		scaleRecipe,
		shadeAdvice,
		type ColourRecord
	} from '$lib/core/shelf';
	import { digits } from '$lib/core/units';
	import Save from '$lib/ui/Save.svelte';
	import AddInPlace from '$lib/ui/shelf/AddInPlace.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';

	let { data } = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(recipeRecord)
	});
	const colourOf = (id: string): ColourRecord | undefined => data.colours.find((c) => c.id === id)?.record;
	const resin = $derived(data.resins.find((r) => r.id === $form.resinId)?.record);
	const catalysed = $derived(resin !== undefined && isCatalysed(resin.family));
	const sideOf = (c: ColourRecord) => (!resin || catalysed ? 'resin' : colourSide(c, resin));
	/** How much the other part thins what is judged in one cup: total over the coloured side, by weight. */
	const thinning = $derived.by(() => {
		if (!resin || catalysed) return 1;
		const { ratio, densityAGPerMl, densityBGPerMl } = mixable(resin);
		const b = bPerAByWeight(ratio!, densityAGPerMl, densityBGPerMl!);
		return resin.colourSide === 'B' ? (1 + b) / b : 1 + b;
	});
	const scaled = $derived(
		$form.resinMassG > 0 && $form.doses.length > 0
			? scaleRecipe($form, 100).flatMap((s) => {
					const record = colourOf(s.colourId);
					return record ? [{ ...s, record }] : [];
				})
			: []
	);
	const load = $derived(colourLoad(scaled));

	let nextId = $state('');
	let nextAmount = $state<number | undefined>();
	let nextUnit = $state<'mass' | 'drops'>('mass');
	let nextLook = $state('');
	const problems = new SvelteMap<string, string[]>();
	const next = $derived(colourOf(nextId));
	const asDrops = $derived(next !== undefined && !isPowder(next.kind) && nextUnit === 'drops');

	function addDose() {
		problems.clear();
		if (!next) problems.set('colour', ['Choose a colour.']);
		if (!(nextAmount !== undefined && nextAmount > 0)) problems.set('amount', ['Type how much went in.']);
		if (nextLook.trim().length > 200) problems.set('look', ['Keep it under 200 characters.']);
		if (problems.size > 0 || !next) return;
		const massG = asDrops ? massOfDropsG(next, nextAmount!) : nextAmount!;
		$form.doses = [...$form.doses, { colourId: nextId, massG, look: nextLook.trim() }];
		nextAmount = undefined;
		nextLook = '';
	}
	const dosesProblem = $derived(($errors.doses as { _errors?: string[] } | undefined)?._errors?.[0] ?? '');
</script>

<PageHead
	title={data.kept?.record.name ?? 'New recipe'}
	about="A colour built up in small doses, judged on the stick after each, and kept to be made again in any amount." />
<form
	method="POST"
	action={data.kept ? `?version=${data.kept.version}` : undefined}
	use:enhance
	class="grid items-start gap-5 lg:grid-cols-[1fr_22rem]">
	<div class="slab p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
			<ChoiceField
				label="Judged in"
				name="resinId"
				bind:value={$form.resinId}
				placeholder="Choose a resin"
				options={data.resins.map((r) => ({ value: r.id, label: r.record.name }))}
				error={$errors.resinId}>
				{#snippet add()}<AddInPlace kind="resin" {form} field="resinId" />{/snippet}
			</ChoiceField>
			<QuantityField
				label="Doses are for"
				kind="mass"
				name="resinMassG"
				bind:value={$form.resinMassG}
				error={$errors.resinMassG}
				hint="of mixed resin, A and B" />
		</div>
		{#if resin}<p class="mb-3">{shadeAdvice(resin.curedShade, thinning)}</p>{/if}
		<h2 class="mb-2">Doses, in their order</h2>
		<ol class="mb-3">
			{#each $form.doses as dose, i (i)}
				{@const c = colourOf(dose.colourId)}
				<li class="grid grid-cols-[1.6rem_1fr_auto_auto] items-center gap-3 border-t border-(--line) py-1.5">
					<span class="soft">{i + 1}</span>
					<span
						><strong>{c?.name ?? 'a colour that is gone'}</strong>{#if dose.look}<span class="soft">: {dose.look}</span>{/if}</span>
					<span class="font-bold whitespace-nowrap"
						>{units.show(dose.massG, 'mass')}{#if c && dropsOf(c, dose.massG) !== undefined}<span class="soft font-normal"
								>&nbsp;· {dropsOf(c, dose.massG)} drops</span
							>{/if}</span>
					<Button
						size="sm"
						color="alternative"
						aria-label="Remove dose {i + 1}"
						onclick={() => ($form.doses = $form.doses.filter((_, k) => k !== i))}>Remove</Button>
				</li>
			{:else}<li class="soft">None yet. Begin smaller than you think: a dose cannot be taken back.</li>{/each}
		</ol>
		{#if dosesProblem}<p class="mb-2 font-semibold text-(--harm)" role="alert">{dosesProblem}</p>{/if}
		<div class="grid items-start gap-x-4 sm:grid-cols-3">
			<ChoiceField
				label="Next colour"
				name="nextColour"
				bind:value={nextId}
				placeholder="Choose a colour"
				options={data.colours.map((c) => ({ value: c.id, label: c.record.name }))}
				error={problems.get('colour')}>
				{#snippet add()}<AddInPlace kind="colour" {form} field="name" choose={(id) => (nextId = id)} />{/snippet}
			</ChoiceField>
			{#if asDrops}
				<QuantityField label="Drops" kind="number" name="nextDrops" bind:value={nextAmount} error={problems.get('amount')} />
			{:else}
				<QuantityField label="Amount" kind="mass" name="nextAmount" bind:value={nextAmount} error={problems.get('amount')} />
			{/if}
			<ChoiceField
				label="Counted in"
				name="nextUnit"
				bind:value={nextUnit}
				options={next && isPowder(next.kind)
					? [{ value: 'mass', label: 'weight' }]
					: [
							{ value: 'mass', label: 'weight' },
							{ value: 'drops', label: 'drops' }
						]} />
			<div class="sm:col-span-2">
				<TextField label="The stick shows" name="nextLook" bind:value={nextLook} error={problems.get('look')} />
			</div>
			<Button class="mt-6 min-h-[2.75rem]" onclick={addDose}>Add dose</Button>
		</div>
		{#if data.colours.length === 0}<p class="soft">
				The shelf holds no colour. <a class="plain" href="/shelf/colours/new">Enter one</a>.
			</p>{/if}
		<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
		<div class="flex items-center gap-4">
			<Save label="Keep this recipe" submitting={$submitting} />
			<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
		</div>
	</div>
	<aside class="slab flex flex-col gap-3 p-5 lg:sticky lg:top-0 lg:max-h-[calc(100dvh-4.6rem)] lg:overflow-y-auto">
		<h2>To 100 g of mixed resin</h2>
		{#each scaled as s (s.colourId)}
			<div class="flex items-baseline justify-between gap-3 border-b border-(--line) pb-2">
				<span
					>{s.record.name}<span class="soft block text-[0.85rem]">into {sideOf(s.record) === 'resin' ? 'the resin' : sideOf(s.record)}</span
					></span>
				<span class="text-right whitespace-nowrap"
					><strong class="text-[1.4rem]">{digits(s.massG, 2)} g</strong>{#if dropsOf(s.record, s.massG) !== undefined}<span
							class="soft block text-[0.85rem]">{dropsOf(s.record, s.massG)} drops</span
						>{/if}</span>
			</div>
		{:else}<p class="soft">The recipe adds up here as doses go in.</p>{/each}
		{#if load.lengtheningPercent > 1}<p>It lengthens the cure by about {digits(load.lengtheningPercent, 0)} %.</p>{/if}
		<Warnings warnings={load.warnings} />
		{#if scaled.some((s) => s.record.kind === 'mica')}<p class="soft">Fine mica: let it rest, crush the floating lumps, stir again.</p>{/if}
		{#if scaled.length > 0 && data.kept}<a class="plain" href="/mix?recipe={data.kept.id}">Mix with it</a>{/if}
	</aside>
</form>
