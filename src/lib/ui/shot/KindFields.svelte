<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { CASTS, type CastField, type CastFieldContext, type ShotInputs } from '$lib/core/shot';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';
	import EmbedList from './EmbedList.svelte';
	import LayerTable from './LayerTable.svelte';

	/** What only this kind of cast asks; each kind says its own. */
	interface Props {
		form: Writable<ShotInputs>;
		problemAt: (field: string) => string[] | undefined;
		problemIn: (list: string, index: number, field: string) => string[] | undefined;
		skin: CastFieldContext['skin'];
		fillers: readonly { value: string; label: string }[];
		recipes: readonly { value: string; label: string }[];
		last?: { day: string; massG: readonly number[] } | undefined;
	}
	let { form, problemAt, problemIn, skin, fillers, recipes, last }: Props = $props();
	const units = useUnits();
	const kind = $derived(CASTS[$form.kind]);
	const context = $derived<CastFieldContext>({ inputs: $form, skin, show: (value, kind) => units.show(value, kind) });
	/** A field of the form by its name: its kind of field says what it holds. */
	const read = <T,>(name: CastField['name']) => $form[name as keyof ShotInputs] as T;
	const write = (name: CastField['name'], value: unknown) => ($form = { ...$form, [name]: value });
</script>

<h2 class="mt-2 mb-2">{kind.words.fields}</h2>
<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
	{#each kind.fields as f (f.name)}
		{#if f.as === 'quantity'}
			<QuantityField
				label={f.label}
				kind={f.quantity}
				name={f.name}
				bind:value={() => read<number | undefined>(f.name), (v) => write(f.name, v)}
				error={problemAt(f.name)}
				inForce={f.inForce?.(context)}
				hint={f.hint?.(context) ?? ''} />
		{:else}
			<div class={f.wide ? 'sm:col-span-2' : ''}>
				<ChoiceField
					label={f.label}
					name={f.name}
					bind:value={() => read<string | undefined>(f.name) ?? f.usual ?? '', (v) => write(f.name, v)}
					options={f.options}
					error={problemAt(f.name)}
					hint={f.hint?.(context) ?? ''} />
			</div>
		{/if}
	{/each}
</div>
{#if kind.takesRows}
	<LayerTable
		bind:rows={() => $form.layerRows ?? [], (rows) => ($form.layerRows = rows)}
		{fillers}
		{recipes}
		{last}
		lossPercent={$form.lossPercent}
		problem={(i, field) => problemIn('layerRows', i, field)} />
{/if}
{#if kind.takesEmbeds}
	<div class="mb-3"><EmbedList bind:embeds={$form.embeds} problem={(i, field) => problemIn('embeds', i, field)} /></div>
{/if}
