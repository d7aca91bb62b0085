<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { MEASURING, type Measuring } from '$lib/core/mix';
	import { POUR_PLACES, POUR_WAYS, type PourPlace, type PourWay } from '$lib/core/shot';
	import type { ShotInputs } from '$lib/core/shot';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';

	/** How it is measured and poured: schools of the trade, each with the seconds that it takes. */
	interface Props {
		form: Writable<ShotInputs>;
		problemAt: (field: string) => string[] | undefined;
		/** Built up in layers: poured in its own way, without these steps. */
		layered: boolean;
		potWords: string;
		/** Cups of the shelf that marks are given for. */
		cups: readonly { id: string; name: string }[];
		pots: readonly { id: string; name: string; outOfUse: boolean }[];
		/** Why the chosen pot may not be used. */
		refused: string;
	}
	let { form, problemAt, layered, potWords, cups, pots, refused }: Props = $props();
	const options = <K extends string>(of: Readonly<Record<K, string>>) =>
		(Object.entries(of) as [K, string][]).map(([value, label]) => ({ value, label }));
</script>

<h2 class="mt-4 mb-2">Hands and clock</h2>
<div class="grid items-start gap-x-5 gap-y-1 sm:grid-cols-3">
	<ChoiceField
		label="Measured"
		name="measuring"
		bind:value={$form.measuring}
		options={Object.entries(MEASURING).map(([value, m]) => ({ value: value as Measuring, label: m.words }))}
		hint={MEASURING[$form.measuring ?? 'two-cups'].risk} />
	{#if $form.measuring === 'marks' && (cups.length > 0 || $form.cupId)}<ChoiceField
			label="Marks for"
			name="cupId"
			bind:value={$form.cupId}
			options={[{ value: '', label: 'A straight cup' }, ...cups.map((c) => ({ value: c.id, label: c.name }))]}
			hint={$form.cupId ? '' : 'your own cups live on the shelf'} />{/if}
	<QuantityField label="Mixing" kind="time" name="mixS" bind:value={$form.mixS} error={problemAt('mixS')} />
	<QuantityField
		label={$form.kind === 'brushed' ? 'Tipping it out' : layered ? 'Laying a layer' : 'Pouring one copy'}
		kind="time"
		name="pourS"
		bind:value={$form.pourS}
		error={problemAt('pourS')} />
	{#if !layered}
		<ChoiceField label="Poured" name="pourWay" bind:value={$form.pourWay} options={options<PourWay>(POUR_WAYS)} />
		<ChoiceField label="Where" name="pourPlace" bind:value={$form.pourPlace} options={options<PourPlace>(POUR_PLACES)} />
		{#if $form.pourWay === 'halves'}
			<QuantityField label="Closing and clamping one" kind="time" name="closeS" bind:value={$form.closeS} error={problemAt('closeS')} />
		{/if}
		<QuantityField
			label="Under vacuum"
			kind="time"
			name="vacuumS"
			bind:value={$form.vacuumS}
			error={problemAt('vacuumS')}
			hint="0 for none; thin resins need none" />
		<QuantityField
			label="Brushing fine places, each"
			kind="time"
			name="brushS"
			bind:value={$form.brushS}
			error={problemAt('brushS')}
			hint="0 for none" />
		{#if $form.pourWay === 'some-first' || $form.pourWay === 'open face' || $form.flameS > 0}<QuantityField
				label="Flame over the back, each"
				kind="time"
				name="flameS"
				bind:value={$form.flameS}
				error={problemAt('flameS')}
				hint="0 for none; urethane in open moulds only" />{/if}
		<QuantityField
			label="Tapping, squeezing, each"
			kind="time"
			name="tapS"
			bind:value={$form.tapS}
			error={problemAt('tapS')}
			hint="0 for none" />
		{#if $form.usePot}
			<QuantityField label="Load and close" kind="time" name="loadS" bind:value={$form.loadS} error={problemAt('loadS')} />
		{/if}
	{/if}
</div>
{#if !layered}
	<label class="flex min-h-[2.65rem] w-fit cursor-pointer items-center gap-2 font-semibold">
		<input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={$form.usePot} />
		Cure it in the pressure pot ({potWords})
	</label>
	{#if $form.usePot && pots.length > 1}<div class="max-w-[20rem]">
			<ChoiceField
				label="Which pot"
				name="potId"
				bind:value={$form.potId}
				options={[{ value: '', label: 'The usual one' }, ...pots.map((p) => ({ value: p.id, label: p.name }))]} />
		</div>{/if}
	{#if $form.usePot && refused}<p class="font-semibold text-(--harm)" role="alert">
			{refused} No pour begins with it before that. <a class="plain" href="/pots">To the pots</a>
		</p>{/if}
{/if}
<p class="min-h-[1.35rem] text-[0.85rem] font-semibold text-(--harm)" aria-live="polite">{problemAt('usePot')?.[0] ?? ''}</p>
