<script lang="ts">
	import { staysOpen } from '../staysOpen';
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import { CORRECTABLE } from '$lib/core/ledger';
	import { GRADE_WORDS, GRADES, type Grade } from '$lib/core/bench';
	import { FAULTS } from '$lib/core/faults';
	import { FAULT_WORDS, type Fault } from '$lib/core/faults';
	import type { KeptCorrection, Pull } from '$lib/core/ledger';
	import ChoiceField from '../ChoiceField.svelte';
	import { newId } from '../newId';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';
	import { useUnits } from '../units.svelte';

	/** A slip in the ledger is corrected beside what was written, never over it. */
	interface Props {
		pull: Pull;
		corrections: readonly KeptCorrection[];
		form: Record<string, unknown> | null;
	}
	let { pull, corrections, form }: Props = $props();
	const units = useUnits();
	type Field = keyof typeof CORRECTABLE;
	/** What was added to a pull after it was graded, in words. */
	function addedWords(to: unknown): string {
		const f = (to ?? {}) as { castMassG?: number; sizeMm?: number; sizeOf?: string; reworkS?: number };
		return [
			f.castMassG === undefined ? '' : `it weighs ${units.show(f.castMassG, 'mass')}`,
			f.sizeMm === undefined ? '' : `${f.sizeOf || 'size'} ${units.show(f.sizeMm, 'length')}`,
			f.reworkS === undefined ? '' : `mending took ${units.show(f.reworkS, 'time')}`
		]
			.filter(Boolean)
			.join('; ');
	}
	const KINDS = {
		massG: 'mass',
		roomTempC: 'temperature',
		mouldTempC: 'temperature',
		relativeHumidity: 'percent',
		copies: 'number'
	} as const;
	let field = $state<Field>('grade');
	let text = $state('');
	let number = $state<number>();
	let entry = $state(newId());
	/** Whoever is signed in stands for it; nobody has to type who they are. */
	const signedIn = $derived((page.data['person'] as { name: string } | null | undefined)?.name);
	let typedWho = $state('');
	let why = $state('');
	const problems = $derived((form?.['problems'] ?? {}) as Record<string, string>);
	const at = (name: string) => (problems[name] ? [problems[name]] : undefined);
	const kind = $derived(field in KINDS ? KINDS[field as keyof typeof KINDS] : undefined);
	const shown = (f: string, value: unknown): string => {
		if (value === null || value === undefined || value === '') return 'nothing';
		if (Array.isArray(value)) return value.map((v) => FAULT_WORDS[v as Fault] ?? v).join(', ') || 'none';
		if (f === 'grade') return GRADE_WORDS[value as Grade] ?? String(value);
		return f in KINDS && typeof value === 'number' ? units.show(value, KINDS[f as keyof typeof KINDS]) : String(value);
	};
</script>

<details class="mt-5 border-t border-(--line) pt-3" open={corrections.length > 0 || Object.keys(problems).length > 0} {@attach staysOpen}>
	<summary class="text-[1rem] font-bold">Correct what is written here</summary>
	{#if corrections.length > 0}
		<ul class="mt-2 mb-3">
			{#each corrections as c (c.id)}
				<li class="border-t border-(--line) py-1.5">
					{#if c.field === 'added'}<strong>Added later</strong>: {addedWords(c.to)}
					{:else}<strong>{CORRECTABLE[c.field as Field] ?? c.field}</strong>: {shown(c.field, c.from)} →
						<strong>{shown(c.field, c.to)}</strong>{/if}
					<span class="soft">{c.at.toISOString().slice(0, 16).replace('T', ' ')}, {c.who}: {c.why}</span>
				</li>
			{/each}
		</ul>
	{/if}
	<form
		method="POST"
		action="?/correct"
		class="mt-2"
		use:enhance={() =>
			async ({ result, update }) => {
				await update({ reset: false });
				if (result.type === 'success') [entry, why, text, number] = [newId(), '', '', undefined];
			}}>
		<input type="hidden" name="entry" value={entry} />
		{#if kind}<input type="hidden" name="to" value={number ?? ''} />{:else if field === 'note'}<input
				type="hidden"
				name="to"
				value={text} />{/if}
		<div class="grid items-start gap-x-4 gap-y-1 sm:grid-cols-2">
			<ChoiceField
				label="What"
				name="field"
				bind:value={field}
				options={(Object.entries(CORRECTABLE) as [Field, string][]).map(([value, label]) => ({ value, label }))} />
			{#if kind}
				<QuantityField label="It was" {kind} name="correctTo" bind:value={number} error={at('to')} />
			{:else if field === 'grade'}
				<ChoiceField
					label="It was"
					name="to"
					bind:value={text}
					placeholder="Choose a grade"
					options={GRADES.map((value) => ({ value: value as string, label: GRADE_WORDS[value] }))}
					error={at('to')} />
			{:else if field === 'note'}
				<TextField label="It was" name="correctNote" bind:value={text} error={at('to')} />
			{/if}
			{#if field === 'faults'}
				<fieldset class="sm:col-span-2">
					<legend class="label">They were</legend>
					<div class="mt-1 mb-2 flex flex-wrap gap-2">
						{#each FAULTS as fault (fault)}
							<label
								class="flex min-h-[2.4rem] cursor-pointer items-center rounded-full border-[1.5px] border-(--line-strong) px-4 font-semibold has-checked:border-(--work) has-checked:bg-(--work) has-checked:text-(--work-ink)">
								<input type="checkbox" class="sr-only" name="fault" value={fault} checked={pull.body.faults.includes(fault)} />{FAULT_WORDS[
									fault
								]}</label>
						{/each}
					</div>
					<p class="min-h-[1.3rem] text-[0.85rem] font-semibold text-(--harm)">{problems['to'] ?? ''}</p>
				</fieldset>
			{/if}
			{#if signedIn}<input type="hidden" name="who" value={signedIn} />{:else}<TextField
					label="Who"
					name="who"
					bind:value={typedWho}
					error={at('who')} />{/if}
			<TextField label="Why" name="why" bind:value={why} error={at('why')} />
		</div>
		<Button type="submit" color="alternative">Keep the correction</Button>
		<span role="status" class="ml-2 font-semibold text-(--work)"
			>{form && 'corrected' in form ? 'Kept; the old value stands above.' : ''}</span>
	</form>
</details>
