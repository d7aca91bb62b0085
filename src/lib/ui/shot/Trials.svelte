<script lang="ts">
	import { staysOpen } from '../staysOpen';
	import type { SuperValidated } from 'sveltekit-superforms';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { AFLOAT, foretoldPercent, trialRecord, type TrialRecord } from '$lib/core/shot';
	import Save from '../Save.svelte';
	import ChoiceField from '../ChoiceField.svelte';
	import { longDay } from '../clockText';
	import { benchForm } from '../form';
	import FormErrors from '../FormErrors.svelte';
	import { newId } from '../newId';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';
	import { useUnits } from '../units.svelte';

	/** Float and trim are found by trying: every trial is kept with the piece. */
	interface Props {
		form: SuperValidated<TrialRecord>;
		trials: readonly { id: string; at: Date; record: TrialRecord }[];
		volumeMl: number;
		/** Unfolded from the start. */
		open: boolean;
	}
	let { form: given, trials, volumeMl, open }: Props = $props();
	const units = useUnits();
	let id = $state(newId());
	const { form, errors, enhance, submitting } = benchForm<TrialRecord>(() => given, {
		validators: zod4Client(trialRecord),
		onUpdated: ({ form }) => {
			if (form.valid) id = newId();
		}
	});
	const should = $derived($form.massG && $form.massG > 0 ? foretoldPercent($form.massG, volumeMl) : undefined);
</script>

<details class="mt-6" {open} {@attach staysOpen}>
	<summary class="text-[1.15rem] font-bold">Trials afloat</summary>
	<form method="POST" action="?/trial&trial={id}" use:enhance class="no-print">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-4 gap-y-1 sm:grid-cols-3">
			<QuantityField label="Added" kind="mass" name="addedG" bind:value={$form.addedG} error={$errors.addedG} />
			<TextField label="Where" name="where" bind:value={$form.where} error={$errors.where} hint="such as in the foot" />
			<QuantityField
				label="Copy weighs with it"
				kind="mass"
				name="massG"
				bind:value={$form.massG}
				error={$errors.massG}
				hint={should === undefined ? '' : should >= 100 ? 'should sink' : `should float, ${Math.round(should)} % under water`} />
			<ChoiceField
				label="It sat"
				name="sat"
				bind:value={$form.sat}
				placeholder="Choose"
				options={AFLOAT.map((value) => ({ value, label: value }))}
				error={$errors.sat} />
			<QuantityField
				label="Under water"
				kind="percent"
				name="underWaterPercent"
				bind:value={$form.underWaterPercent}
				error={$errors.underWaterPercent} />
			<TextField label="Note" name="trialNote" bind:value={$form.note} error={$errors.note} />
		</div>
		<Save label="Keep this trial" submitting={$submitting} color="alternative" size="md" />
	</form>
	{#if trials.length > 0}
		<ol class="mt-3 divide-y divide-(--line) border-t border-(--line)">
			{#each trials as t (t.id)}
				<li class="flex flex-wrap gap-x-4 py-1.5">
					<span class="soft tabular-nums">{longDay(t.at.getTime())}</span>
					<strong>{units.show(t.record.addedG, 'mass')}{t.record.where ? ` ${t.record.where}` : ''}: {t.record.sat}</strong>
					<span
						>{[
							...(t.record.underWaterPercent === undefined ? [] : [`${t.record.underWaterPercent} % under water`]),
							...(t.record.massG ? [`foretold ${Math.round(foretoldPercent(t.record.massG, volumeMl))} %`] : [])
						].join(', ')}</span>
					{#if t.record.note}<span class="soft">{t.record.note}</span>{/if}
				</li>
			{/each}
		</ol>
	{:else}
		<p class="soft mt-2">None yet. The sum says where to begin; the water says where it ends.</p>
	{/if}
</details>
