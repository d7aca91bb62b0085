<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { MOULD_MODULES, type KindField, type MouldInputs, type MouldPlan } from '$lib/core/mould';
	import type { ThermoplasticRecord } from '$lib/core/shelf';
	import AddInPlace from '../shelf/AddInPlace.svelte';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import Segments from '../Segments.svelte';

	/** What one kind of mould asks for; each kind says its own. */
	interface Props {
		form: Writable<MouldInputs>;
		/** The sentence at a field, if there is one. */
		said: (field: keyof MouldInputs) => string[] | undefined;
		thermoplastics: readonly { id: string; record: ThermoplasticRecord }[];
		/** What the shell of a jacket is made of. */
		resins: readonly { id: string; record: { name: string } }[];
		fillers: readonly { id: string; record: { name: string } }[];
		plan: MouldPlan | undefined;
		areaFromFile: boolean;
	}
	let { form, said, thermoplastics, resins, fillers, plan, areaFromFile }: Props = $props();
	const asked = $derived(MOULD_MODULES[$form.kind].fields.filter((f) => !f.when || f.when($form)));
	const of = <A extends KindField['as']>(as: A) => asked.filter((f): f is Extract<KindField, { as: A }> => f.as === as);
	const ofShelf = $derived(asked.filter((f) => f.as === 'resin' || f.as === 'filler'));
	/** A field of the form by its name: its kind of field says what it holds. */
	const read = <T,>(name: keyof MouldInputs) => $form[name] as T;
	const write = (name: keyof MouldInputs, value: unknown) => ($form = { ...$form, [name]: value });
	const hint = (f: KindField) => f.hint?.({ inputs: $form, areaFromFile }) ?? '';
</script>

{#each of('thermoplastic') as f (f.name)}
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		<ChoiceField
			label={f.label}
			name={f.name}
			bind:value={() => read<string>(f.name), (v) => write(f.name, v)}
			placeholder="Choose a thermoplastic"
			options={thermoplastics.map((t) => ({ value: t.id, label: t.record.name }))}
			error={said(f.name)}>
			{#snippet add()}<AddInPlace kind="thermoplastic" {form} field="thermoplasticId" />{/snippet}
		</ChoiceField>
	</div>
{/each}
<div class="mb-2 flex flex-wrap gap-x-6 gap-y-2">
	{#each of('choice') as f (f.name)}
		<Segments label={f.label} name={f.name} bind:value={() => read<string>(f.name), (v) => write(f.name, v)} options={f.options} />
	{/each}
</div>
{#if ofShelf.length > 0}
	<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
		{#each ofShelf as f (f.name)}
			<ChoiceField
				label={f.label}
				name={f.name}
				bind:value={() => read<string>(f.name), (v) => write(f.name, v)}
				options={[
					{ value: '', label: f.as === 'resin' ? 'Not chosen: its weight alone' : 'Nothing' },
					...(f.as === 'resin' ? resins : fillers).map((r) => ({ value: r.id, label: r.record.name }))
				]}
				error={said(f.name)} />
		{/each}
	</div>
{/if}
<div class="grid grid-cols-2 gap-x-5 gap-y-1 sm:grid-cols-4">
	{#each of('quantity') as f (f.name)}
		<QuantityField
			label={f.label}
			kind={f.quantity}
			name={f.name}
			bind:value={() => read<number | undefined>(f.name), (v) => write(f.name, v)}
			error={said(f.name)}
			inForce={plan && f.inForce?.(plan)}
			hint={hint(f)} />
	{/each}
</div>
{#if plan?.grid && $form.cavities > 1}<p class="soft">
		{plan.grid.columns} side by side in {plan.grid.rows === 1 ? 'one row' : `${plan.grid.rows} rows`}.
	</p>{/if}
