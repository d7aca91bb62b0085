<script lang="ts">
	import { cards } from '$lib/ui/table/cards';
	import Papa from 'papaparse';
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import { GRADES } from '$lib/core/bench';
	import {
		IMPORT_FIELD_NAMES,
		IMPORT_FIELDS,
		IMPORT_SAMPLE,
		matchColumns,
		parseDay,
		readNotebook,
		readRow,
		slashOrderOf,
		twoDays,
		type ImportField,
		type SlashOrder
	} from '$lib/core/ledger';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { counted, longDay } from '$lib/ui/clockText';
	import { newId } from '$lib/ui/newId';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data, form } = $props();
	const units = useUnits();
	const MOST_BYTES = 8 * 1024 * 1024;
	const SHOWN = 8;
	const words = (wanted: boolean) =>
		IMPORT_FIELD_NAMES.filter((f) => IMPORT_FIELDS[f].needed === wanted).map((f, i) => {
			const name = IMPORT_FIELDS[f].words;
			return wanted && i === 0 ? name : name.toLowerCase();
		});
	const [needed, others] = [words(true), words(false)];
	let heads = $state.raw<string[]>([]);
	let rows = $state.raw<string[][]>([]);
	let columns = $state<Partial<Record<ImportField, number>>>({});
	let problem = $state('');
	let entry = $state('');
	let name = $state('');
	/** Which number of 03/04/2026 is the day, once somebody said it. */
	let said = $state<SlashOrder>();
	/** Times of day are meant by the clock of this device, as the ledger shows them on it. */
	let zone = $state('UTC');

	async function choose(event: Event) {
		const file = (event.currentTarget as HTMLInputElement).files?.[0];
		[problem, heads, rows] = ['', [], []];
		if (!file) return;
		name = file.name;
		if (file.size > MOST_BYTES) problem = 'That file is over 8 MB: cut it.';
		else read(await file.text());
	}
	function read(text: string) {
		const { data: all } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
		if (all.length < 2) {
			problem = 'There is no table in it: a line of headings, then a line for each pull.';
			return;
		}
		[heads, rows] = [all[0]!, all.slice(1)];
		columns = matchColumns(heads);
		said = undefined;
		zone = new Intl.DateTimeFormat().resolvedOptions().timeZone;
		entry = newId();
	}
	const days = $derived(columns.when === undefined ? [] : rows.map((row) => row[columns.when!] ?? ''));
	const slashes = $derived(slashOrderOf(days) ?? said);
	/** Asked where a day could be two, unless the others say it. */
	const asked = $derived(slashOrderOf(days) ? undefined : twoDays(days));
	const both = (order: SlashOrder) => longDay(parseDay(asked ?? '', order, zone) ?? 0);
	const about = $derived({ moulds: new Set(data.moulds), nowMs: data.nowMs, units: units.system });
	const outcome = $derived(rows.length ? readNotebook({ rows, columns, ...(slashes ? { slashes } : {}), zone }, about) : undefined);
	/** How the first rows are understood, in words and units of this workshop. */
	const readAs = $derived(
		rows.slice(0, SHOWN).map((row, i) => {
			if (!slashes && twoDays([days[i] ?? ''])) return '–';
			const { pull } = readRow(row, columns, i + 2, { ...about, ...(slashes ? { slashes } : {}), zone });
			if (!pull) return '–';
			const { atMs, mouldNumber, massG, roomTempC } = pull;
			return [
				longDay(atMs),
				`M${mouldNumber}`,
				...(massG ? [units.show(massG, 'mass')] : []),
				...(roomTempC === undefined ? [] : [units.show(roomTempC, 'temperature')])
			].join(', ');
		})
	);
	const wrongRows = $derived(new Set(outcome?.errors.map((e) => e.row)).size);
	const notebook = $derived(JSON.stringify({ entry, rows, columns, slashes, zone }));
</script>

<PageHead title="An old notebook in" about="A CSV file of pulls: match its columns, see what is read, take all of it or nothing.">
	{#snippet actions()}<Button href="/ledger" size="lg" color="alternative">Back to the ledger</Button>{/snippet}
</PageHead>
<section class="slab mb-5 p-5">
	<label class="label" for="notebook">The file</label>
	<input id="notebook" type="file" accept=".csv,text/csv,text/plain" class="mt-1 block w-full" onchange={choose} />
	<p class="min-h-[1.4rem] font-semibold text-(--harm)" role="alert">{problem}</p>
	{#if !outcome}
		<p>
			A line of headings, then a line for each pull. {needed.join(', ')} must be there; {others.join(', ')} are taken where they are.
		</p>
		<p class="soft mt-1 mb-3">
			Days as 2026-03-31, 31.3.2026 or 31/3/2026; grades {GRADES.join(', ')}, or words like fine and reject; weights and temperatures in any
			unit.
		</p>
		<div class="overflow-x-auto">
			<table class="bench max-w-[46rem]" {@attach cards} aria-label="How such a file may look">
				<thead
					><tr
						>{#each IMPORT_SAMPLE[0] as head (head)}<th>{head}</th>{/each}</tr
					></thead>
				<tbody>
					{#each IMPORT_SAMPLE.slice(1) as row, i (i)}<tr
							>{#each row as cell, k (k)}<td>{cell}</td>{/each}</tr
						>{/each}
				</tbody>
			</table>
		</div>
	{/if}
</section>
{#if form && 'brought' in form && form.brought !== undefined}
	<p class="slab mb-5 p-5 text-[1.15rem]" role="status">
		<strong>{counted(form.brought, 'pull')} taken</strong> into the ledger. <a class="plain" href="/ledger">See them</a>
	</p>
{/if}
{#if outcome}
	<section class="slab mb-5 p-5">
		<h2 class="mb-2">Which column is what</h2>
		<div class="grid gap-x-4 sm:grid-cols-3 lg:grid-cols-5">
			{#each IMPORT_FIELD_NAMES as field (field)}
				<ChoiceField
					label={IMPORT_FIELDS[field].words}
					name="column-{field}"
					bind:value={
						() => (columns[field] === undefined ? '' : String(columns[field])),
						(v) => {
							const { [field]: _was, ...rest } = columns;
							columns = v === '' ? rest : { ...rest, [field]: Number(v) };
						}
					}
					options={[
						{ value: '', label: IMPORT_FIELDS[field].needed ? 'Choose' : 'not in the file' },
						...heads.map((h, i) => ({ value: String(i), label: h || `column ${i + 1}` }))
					]} />
			{/each}
		</div>
		{#if asked !== undefined}
			<div class="mb-4 w-fit">
				<Segments
					label="“{asked.slice(0, 40)}” is"
					name="slashes"
					bind:value={said}
					options={[
						{ value: 'day-first', label: both('day-first') },
						{ value: 'month-first', label: both('month-first') }
					]} />
			</div>
		{/if}
		<div class="flex flex-wrap items-center gap-4">
			<p class="text-[1.15rem]">
				<strong class={outcome.errors.length ? 'text-(--hot)' : 'text-(--work)'}>{outcome.pulls.length} of {rows.length} rows</strong>
				{outcome.errors.length ? 'can be read' : 'are ready'}
			</p>
			<form
				method="POST"
				use:enhance={() =>
					async ({ update }) =>
						update({ reset: false })}>
				<input type="hidden" name="notebook" value={notebook} />
				<Button type="submit" size="lg" disabled={outcome.errors.length > 0}>Take all {rows.length} into the ledger</Button>
			</form>
			{#if form && 'refused' in form && form.refused}<p class="font-semibold text-(--harm)" role="alert">{form.refused}</p>{/if}
		</div>
	</section>
	{#if outcome.errors.length > 0}
		<section class="slab mb-5 p-5">
			<h2 class="mb-1">What is wrong in {counted(wrongRows, 'row')}</h2>
			<p class="soft mb-2">Nothing is taken before all of it can be. Mend the file, or say that a column is none.</p>
			<ul class="max-h-72 overflow-y-auto" tabindex="-1">
				{#each outcome.errors.slice(0, 200) as e, i (i)}
					<li class="border-t border-(--line) py-1">
						<strong>Row {e.row}</strong>{e.field ? `, ${IMPORT_FIELDS[e.field].words.toLowerCase()}` : ''}: {e.message}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	<section class="slab overflow-x-auto p-5">
		<h2 class="mb-2">As the file has it: {name}</h2>
		<table class="bench text-[0.93rem]" {@attach cards}>
			<thead
				><tr
					><th>Read as</th>{#each heads as h, i (i)}<th>{h}</th>{/each}</tr
				></thead>
			<tbody>
				{#each rows.slice(0, SHOWN) as row, i (i)}<tr
						><td class="font-semibold">{readAs[i]}</td>{#each heads as _, k (k)}<td>{row[k] ?? ''}</td>{/each}</tr
					>{/each}
			</tbody>
		</table>
	</section>
{/if}
