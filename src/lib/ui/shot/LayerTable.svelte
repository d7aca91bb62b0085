<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { LAYER_SCHOOLS, PLACE_KEYS, type LayerRow } from '$lib/core/shot';
	import ChoiceField from '../ChoiceField.svelte';
	import { longDay } from '../clockText';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';
	import { useUnits } from '../units.svelte';

	/** Layers that differ: where each goes, how much, with what. Empty: all alike. */
	interface Props {
		rows: LayerRow[];
		fillers: readonly { value: string; label: string }[];
		recipes: readonly { value: string; label: string }[];
		problem: (index: number, field: string) => string[] | undefined;
		/** What was mixed for each layer of a copy the last time, g. */
		last?: { day: string; massG: readonly number[] } | undefined;
		/** Stays in the cup of what is mixed, percent. */
		lossPercent: number;
	}
	let { rows = $bindable(), fillers, recipes, problem, last, lossPercent }: Props = $props();
	const units = useUnits();
	const OWN = 'own';
	const fresh = (place: string): LayerRow => ({ place, fillerId: '', scoops: 1, recipeId: '', note: '' });
	const change = (i: number, part: Partial<LayerRow>) => (rows = rows.map((r, k) => (k === i ? { ...r, ...part } : r)));
	const known = (place: string) => (PLACE_KEYS as readonly string[]).includes(place);
	/** How the amount of a row is said. */
	type By = 'equal' | 'sharePercent' | 'thicknessMm' | 'massG';
	const BY: readonly { value: By; label: string }[] = [
		{ value: 'equal', label: 'the rest' },
		{ value: 'sharePercent', label: 'a share' },
		{ value: 'thicknessMm', label: 'thickness' },
		{ value: 'massG', label: 'its cup' }
	];
	/** Chosen, but nothing typed yet. */
	let chosenBy = $state<Record<number, By>>({});
	function byOf(r: LayerRow, i: number): By {
		const typed = (['massG', 'thicknessMm', 'sharePercent'] as const).find((k) => r[k] !== undefined);
		return chosenBy[i] ?? typed ?? 'equal';
	}
	function say(i: number, by: By) {
		chosenBy = { ...chosenBy, [i]: by };
		change(i, { massG: undefined, thicknessMm: undefined, sharePercent: undefined });
	}
	function replace(next: LayerRow[]) {
		chosenBy = {};
		rows = next;
	}
	const asLast = () =>
		replace(
			last!.massG.map((massG, i) => ({
				...(rows[i] ?? fresh('everywhere')),
				thicknessMm: undefined,
				sharePercent: undefined,
				massG: Math.round((10 * massG) / (1 + lossPercent / 100)) / 10
			}))
		);
	const more = () => (rows = rows.length === 0 ? [fresh('everywhere'), fresh('everywhere')] : [...rows, fresh('everywhere')]);
</script>

<section class="mb-3" aria-label="Layers">
	<h3 class="font-semibold">{rows.length === 0 ? 'Layers are alike' : 'Each layer'}</h3>
	{#each rows as row, i (i)}
		{@const by = byOf(row, i)}
		<div class="grid grid-cols-2 items-start gap-x-4 border-t border-(--line) pt-2 sm:grid-cols-3" role="group" aria-label="Layer {i + 1}">
			<p class="col-span-full flex items-center justify-between">
				<strong>Layer {i + 1}</strong>
				<button
					type="button"
					class="plain min-h-[2.2rem] cursor-pointer text-[0.93rem] font-semibold"
					aria-label="Remove layer {i + 1}"
					onclick={() => replace(rows.filter((_, k) => k !== i))}>Remove</button>
			</p>
			<ChoiceField
				label="Goes"
				name="row-place-{i}"
				bind:value={() => (known(row.place) ? row.place : OWN), (v) => change(i, { place: v === OWN ? 'own words' : (v ?? 'everywhere') })}
				options={[
					...PLACE_KEYS.map((value) => ({ value, label: value === 'everywhere' ? value : `to the ${value}` })),
					{ value: OWN, label: 'in my own words' }
				]} />
			<ChoiceField label="Amount by" name="row-by-{i}" bind:value={() => by, (v) => say(i, v as By)} options={BY} />
			{#if by === 'sharePercent'}<QuantityField
					label="Share of the wall"
					kind="percent"
					name="row-share-{i}"
					bind:value={() => row.sharePercent, (v) => change(i, { sharePercent: v })}
					error={problem(i, 'sharePercent')} />
			{:else if by === 'thicknessMm'}<QuantityField
					label="Thick where it lies"
					kind="length"
					name="row-thick-{i}"
					bind:value={() => row.thicknessMm, (v) => change(i, { thicknessMm: v })}
					error={problem(i, 'thicknessMm')} />
			{:else if by === 'massG'}<QuantityField
					label="Cup for one copy"
					kind="mass"
					name="row-mass-{i}"
					bind:value={() => row.massG, (v) => change(i, { massG: v })}
					error={problem(i, 'massG')} />
			{:else}<p class="pt-8 text-[0.93rem] font-semibold text-(--harm)" aria-live="polite">{problem(i, 'sharePercent')?.[0] ?? ''}</p>{/if}
			<ChoiceField
				label="Filler"
				name="row-filler-{i}"
				bind:value={() => row.fillerId, (v) => change(i, { fillerId: v ?? '' })}
				options={[{ value: '', label: 'None' }, ...fillers]}
				error={problem(i, 'fillerId')} />
			{#if row.fillerId}<QuantityField
					label="Scoops to one of B"
					kind="number"
					name="row-scoops-{i}"
					bind:value={() => row.scoops, (v) => change(i, { scoops: v as number })}
					error={problem(i, 'scoops')} />{/if}
			<ChoiceField
				label="Colour"
				name="row-colour-{i}"
				bind:value={() => row.recipeId, (v) => change(i, { recipeId: v ?? '' })}
				options={[{ value: '', label: 'As the shot' }, ...recipes]}
				error={problem(i, 'recipeId')} />
			{#if !known(row.place)}<TextField
					label="Goes where"
					name="row-own-{i}"
					bind:value={() => row.place, (v) => change(i, { place: v ?? '' })}
					error={problem(i, 'place')} />{/if}
			<TextField
				label="Note"
				name="row-note-{i}"
				bind:value={() => row.note, (v) => change(i, { note: v ?? '' })}
				error={problem(i, 'note')}
				placeholder="rub out bubbles" />
		</div>
	{/each}
	<div class="mt-2 flex flex-wrap items-center gap-2">
		<Button color="alternative" class="min-h-[2.6rem]" disabled={rows.length >= 12} onclick={more}
			>{rows.length === 0 ? 'Let layers differ' : 'One more layer'}</Button>
		{#if last}<Button color="alternative" class="min-h-[2.6rem]" onclick={asLast}
				>As much as the last time: {last.massG.map((m) => units.weighed(m)).join(', ')} ({longDay(Date.parse(last.day))})</Button
			>{/if}
		{#if rows.length > 0}<Button color="alternative" class="min-h-[2.6rem]" onclick={() => replace([])}>All alike</Button>{/if}
	</div>
	<p class="mt-1 flex flex-wrap items-center gap-x-4 text-[0.93rem]">
		<span class="soft">Schools:</span>
		{#each Object.entries(LAYER_SCHOOLS) as [key, s] (key)}<button
				type="button"
				class="plain min-h-[2.2rem] cursor-pointer font-semibold"
				onclick={() => replace(s.places.map(fresh))}>{s.words}</button
			>{/each}
	</p>
</section>
