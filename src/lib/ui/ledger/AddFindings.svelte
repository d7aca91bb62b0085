<script lang="ts">
	import { staysOpen } from '../staysOpen';
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import ChoiceField from '../ChoiceField.svelte';
	import { newId } from '../newId';
	import QuantityField from '../QuantityField.svelte';

	/** A weight, a size and the time of mending, once somebody has them: added to the pull, correcting nothing. */
	interface Props {
		inspected: { castMassG?: number | undefined; sizeMm?: number | undefined; reworkS?: number | undefined } | undefined;
		references: readonly { name: string; lengthMm: number }[];
		problems: Record<string, string>;
	}
	let { inspected, references, problems }: Props = $props();
	let castMassG = $state<number>();
	let sizeMm = $state<number>();
	let reworkS = $state<number>();
	let sizeOf = $state('');
	let entry = $state(newId());
	const chosen = $derived(references.find((r) => r.name === sizeOf) ?? references[0]);
	const wants = $derived({ mass: !inspected?.castMassG, size: !inspected?.sizeMm && references.length > 0, rework: !inspected?.reworkS });
	const at = (field: string) => (problems[field] ? [problems[field]] : undefined);
	const text = (v: number | undefined) => (v === undefined ? '' : String(v));
</script>

{#if wants.mass || wants.size || wants.rework}
	<details class="mt-4" open={Object.keys(problems).length > 0} {@attach staysOpen}>
		<summary class="font-semibold text-(--work)">Add a weight, a size or mending</summary>
		<form
			method="POST"
			action="?/add"
			class="mt-2 grid items-start gap-x-4 sm:grid-cols-2"
			use:enhance={() =>
				async ({ result, update }) => {
					await update({ reset: false });
					if (result.type !== 'success') return;
					[castMassG, sizeMm, reworkS, entry] = [undefined, undefined, undefined, newId()];
				}}>
			<input type="hidden" name="entry" value={entry} />
			<input type="hidden" name="castMassG" value={text(castMassG)} />
			<input type="hidden" name="sizeMm" value={text(sizeMm)} />
			<input type="hidden" name="reworkS" value={text(reworkS)} />
			<input type="hidden" name="masterMm" value={text(chosen?.lengthMm)} />
			<input type="hidden" name="sizeOf" value={chosen?.name ?? ''} />
			{#if wants.mass}<QuantityField
					label="The cast weighs"
					kind="mass"
					name="addMass"
					bind:value={castMassG}
					error={at('castMassG')} />{/if}
			{#if wants.size}
				<ChoiceField
					label="Measured"
					name="addSizeOf"
					bind:value={() => chosen?.name ?? '', (v) => (sizeOf = v ?? '')}
					options={references.map((r) => ({ value: r.name, label: r.name }))} />
				<QuantityField label="It measures" kind="length" name="addSize" bind:value={sizeMm} error={at('sizeMm')} />
			{/if}
			{#if wants.rework}<QuantityField label="Mending took" kind="time" name="addRework" bind:value={reworkS} error={at('reworkS')} />{/if}
			<div class="flex items-center gap-3 sm:col-span-2">
				<Button type="submit" color="alternative">Add to this pull</Button>
				<span class="font-semibold text-(--harm)" role="alert">{problems['findings'] ?? ''}</span>
			</div>
		</form>
	</details>
{/if}
