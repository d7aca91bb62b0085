<script lang="ts">
	import { untrack } from 'svelte';
	import type { SuperValidated } from 'sveltekit-superforms';
	import { enhance as plainEnhance } from '$app/forms';
	import { Button, Checkbox } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { containerChange, containerRecord, type ContainerChange } from '$lib/core/shelf';
	import { digits } from '$lib/core/units';
	import Save from '$lib/ui/Save.svelte';
	import Answer from '$lib/ui/Answer.svelte';
	import AddInPlace from '$lib/ui/shelf/AddInPlace.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import DayField from '$lib/ui/DayField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Pictures from '$lib/ui/Pictures.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import StockLines from '$lib/ui/shelf/StockLines.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data, form: answer } = $props();
	const units = useUnits();
	const isNew = untrack(() => data.container === null);
	const { form, errors, enhance, submitting, message } = benchForm<ContainerChange>(() => data.form as SuperValidated<ContainerChange>, {
		validators: isNew ? zod4Client(containerRecord as unknown as typeof containerChange) : zod4Client(containerChange)
	});
	const tin = $derived(data.container);
	/** What was wrong with what was thrown away, at its field. */
	const refusedAt = (said: typeof answer) =>
		said && 'refusedAt' in said ? { field: String(said.refusedAt), words: String(said.refused) } : undefined;
	const words = { fine: 'Fine', watch: 'Watch it', doubtful: 'Doubtful: try a small cup first' };
</script>

<PageHead
	title={tin ? `${tin.materialName}, ${tin.record.part === 'whole' ? 'whole' : `part ${tin.record.part}`}` : 'A new tin'}
	about={tin?.record.lot ? `Lot ${tin.record.lot}` : 'What stands on the shelf, by the tin.'}>
	{#snippet actions()}
		{#if tin}
			<form method="POST" action="?/emptied" use:plainEnhance>
				<input type="hidden" name="version" value={tin.version} />
				<input type="hidden" name="emptied" value={tin.emptied ? '0' : '1'} />
				<Button type="submit" size="lg" color="alternative">{tin.emptied ? 'Back into use' : 'It is empty'}</Button>
			</form>
		{/if}
	{/snippet}
</PageHead>
{#if answer && 'refused' in answer && !('refusedAt' in answer)}<p class="mb-3 font-semibold text-(--harm)" role="alert">
		{answer.refused}
	</p>{/if}
<div class="grid items-start gap-5 lg:grid-cols-[1fr_20rem]">
	<form method="POST" action="?/save{tin ? `&version=${tin.version}&openings=${tin.openings}` : ''}" use:enhance class="slab p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<ChoiceField
				label="What is in it"
				name="materialId"
				bind:value={$form.materialId}
				placeholder="Choose a material"
				options={data.materials.map((m) => ({ value: m.id, label: m.name }))}
				error={$errors.materialId}>
				{#snippet add()}<AddInPlace kind="resin" {form} field="materialId" />{/snippet}
			</ChoiceField>
			<Segments
				label="It holds"
				name="part"
				bind:value={$form.part}
				options={[
					{ value: 'A', label: 'Part A' },
					{ value: 'B', label: 'Part B' },
					{ value: 'whole', label: 'The whole' }
				]} />
			<QuantityField label="Full, it held" kind="mass" name="sizeG" bind:value={$form.sizeG} error={$errors.sizeG} />
			<QuantityField
				label={tin ? 'Weighed again, it holds' : 'In it now, weighed'}
				kind="mass"
				name="weighedG"
				bind:value={$form.weighedG}
				error={$errors.weighedG}
				inForce={tin?.remainingG}
				hint={tin ? 'without the tin; empty: it was not weighed' : 'without the tin'} />
			<TextField label="Lot" name="lot" bind:value={$form.lot} error={$errors.lot} />
			<QuantityField
				label="Opened so often"
				kind="number"
				name="openings"
				bind:value={$form.openings}
				error={$errors.openings}
				hint="pours count themselves" />
			<QuantityField
				label="Old stock sets slower by"
				kind="percent"
				name="slowerPercent"
				bind:value={$form.slowerPercent}
				error={$errors.slowerPercent}
				hint={tin && tin.rateFactor !== null
					? 'readings have taught its own speed, which comes first'
					: 'from a trial cup against the sheet; 0 if it keeps time'} />
			<DayField label="Opened on" name="openedOn" bind:value={$form.openedOn} error={$errors.openedOn} />
			<DayField label="Use by" name="useBy" bind:value={$form.useBy} error={$errors.useBy} />
		</div>
		<label class="flex min-h-[2.65rem] w-fit cursor-pointer items-center gap-2 font-semibold">
			<Checkbox bind:checked={$form.flushed} /> Flushed with dry gas each time before it is closed
		</label>
		<div class="mt-3 flex items-center gap-4">
			<Save label="Keep this tin" submitting={$submitting} />
			<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
		</div>
	</form>
	{#if tin && data.health}
		<aside class="slab flex flex-col gap-4 p-5">
			<Answer
				label="Left in it"
				value={units.show(tin.remainingG, 'mass')}
				note={tin.emptied ? 'marked empty' : units.other(tin.remainingG, 'mass')} />
			{#if tin.overdrawnG > 0}<Warnings
					warnings={[
						{
							code: 'overdrawn',
							message: `${units.show(tin.overdrawnG, 'mass')} more went out than was weighed.`,
							action: 'Weigh it again.'
						}
					]} />{/if}
			<div>
				<p class="label">{words[data.health.level]}</p>
				<p class={data.health.level === 'fine' ? 'soft' : 'font-semibold'}>
					{data.health.reasons.join('; ') || 'nothing speaks against it'}
				</p>
				<p class="soft mt-1 text-[0.85rem]">Days and openings are common practice, no source. The use-by date of the maker comes first.</p>
			</div>
			{#if tin.rateFactor !== null}
				<div>
					<p class="label">Its own speed</p>
					<p>× {digits(tin.rateFactor)} of the sheet, learned from readings. Shots from this tin use it.</p>
					<form method="POST" action="?/forget" use:plainEnhance class="mt-2">
						<Button type="submit" color="alternative" size="sm">Go back to the sheet</Button>
					</form>
				</div>
			{/if}
			<a class="plain" href="/cure?resin={tin.record.materialId}">Teach it with readings</a>
		</aside>
	{/if}
</div>
{#if tin}
	<div class="mt-5">
		<Pictures photos={data.photos} problem={answer && 'photoProblem' in answer ? String(answer.photoProblem) : ''} of="The tin" />
	</div>
{/if}
{#if tin}<StockLines lines={data.stock} nowMs={data.nowMs} refused={refusedAt(answer)} />{/if}
