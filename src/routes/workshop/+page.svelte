<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { invalidateAll } from '$app/navigation';
	import { digits } from '$lib/core/units';
	import { counted, wallTime } from '$lib/ui/clockText';
	import { volumeOfDisk } from '$lib/ui/diskWords';
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
	let said = $state('');
	let problems = $state<{ path: string; message: string }[]>([]);
	let reading = $state(false);

	async function choose(event: Event) {
		const input = event.currentTarget as HTMLInputElement;
		const file = input.files?.[0];
		if (!file) return;
		[said, problems, reading] = ['', [], true];
		try {
			const answer = await fetch('/api/workshop', { method: 'POST', body: file, headers: { 'content-type': 'application/octet-stream' } });
			const told = (await answer.json()) as { rows?: number; without?: string; errors?: { path: string; message: string }[] };
			if (answer.ok) {
				said = `The whole book is in: ${counted(told.rows ?? 0, 'row')}. ${told.without ?? ''}`;
				await invalidateAll();
			} else problems = told.errors ?? [{ path: '', message: 'The server did not take it. Nothing was read.' }];
		} catch {
			problems = [{ path: '', message: 'The server does not answer. Nothing was read; try again.' }];
		} finally {
			reading = false;
			input.value = '';
		}
	}
	const paper =
		'inline-flex min-h-[3rem] items-center rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-5 font-semibold hover:bg-(--work-soft)';
</script>

<PageHead title="The workshop’s book" about="All that was entered and logged, as one open file, out and in.">
	{#snippet actions()}<Button href="/settings" size="lg" color="alternative">Settings</Button>{/snippet}
</PageHead>
{#if data.backups}
	<section class={['slab mb-5 p-5', data.stale && 'border-2! border-(--harm)!']}>
		{#if data.backups[0]}{@const last = data.backups[0]}
			<p class="label">Last backup</p>
			<p class={['answer mt-1 text-[2rem]', data.stale && 'text-(--harm)']}>{wallTime(last.atMs, data.nowMs)}</p>
			<p class="soft mt-1">
				{counted(last.rows, 'row')}, {digits(last.sizeBytes / 1_048_576)} MB, read back into a scratch database and compared table by table.
				{counted(data.backups.length, 'backup')} kept: a week of days, a month of weeks.
			</p>
		{:else}<p class="text-[1.15rem] font-semibold">No backup yet: the first is made a few minutes after the start.</p>{/if}
		{#if data.keptBefore}{@const kept = data.keptBefore}
			<p class="soft mt-1">
				Before the version of {wallTime(kept.atMs, data.nowMs)} changed the tables, they were kept as <code>{kept.file}</code>: {counted(
					kept.rows,
					'row'
				)}, read back and counted.
			</p>
		{/if}
		{#if data.freeBytes !== undefined}<p class="soft mt-1">{volumeOfDisk(data.freeBytes)} free on the disk that keeps the workshop.</p>{/if}
		{#if data.stale && data.backups[0]}<p class="mt-2 font-semibold text-(--harm)" role="alert">
				It is over two days old. Look at what the machine says where Anthypos was started: its disk may be full.
			</p>{/if}
	</section>
{/if}
<div class="grid items-start gap-5 lg:grid-cols-2">
	<section class="slab p-5">
		<h2 class="mb-2">Out</h2>
		<p class="mb-3">Keep a copy where a burst pipe does not reach it. Nothing is left out: every event, every old value, every picture.</p>
		<p class="flex flex-wrap gap-3">
			<a class={paper} href="/workshop/book.zip" download>All, with pictures and 3D files (zip)</a>
			<a class={paper} href="/workshop/book.json" download>The book alone (JSON)</a>
			<a class={paper} href="/workshop/schema.json">What stands in it (JSON Schema)</a>
			<a class={paper} href="/ledger/export.csv" download>The ledger (CSV)</a>
			<a class={paper} href="/workshop/calendar.ics" download>Cures, demoulds and looks due (calendar)</a>
		</p>
	</section>
	<section class="slab p-5">
		<h2 class="mb-2">In</h2>
		{#if data.empty}
			<p class="mb-3">A book is read into this empty workshop: all of it, or nothing.</p>
			<label class="label" for="book">The zip or the JSON</label>
			<input id="book" type="file" accept=".zip,.json" class="mt-1 block w-full" onchange={choose} disabled={reading} />
		{:else}
			<p>There is a workshop in these books already, and a book is read only into an empty one.</p>
			<details class="mt-2">
				<summary class="w-fit font-semibold text-(--work)"
					>For whoever keeps this machine: a workshop of your own, a copy brought back</summary>
				<p class="mt-2">In the folder of the application:</p>
				<pre class="my-2 overflow-x-auto rounded-md bg-(--sunk) p-3">npm run restore -- workshop.zip
npm run workshop</pre>
				<p>
					The first reads it into the empty workshop of this machine, the second opens it. The JSON alone is taken too, without its pictures
					and 3D files. <code>npm run workshop -- --fresh</code> empties that workshop first, after asking.
					<code>npm run demo</code> brings the demo back as it was left.
				</p>
			</details>
		{/if}
		<p class="mt-3 min-h-[1.5rem] text-[1.15rem] font-semibold text-(--work)" role="status">{reading ? 'Reading it …' : said}</p>
		{#if problems.length > 0}
			<ul class="font-semibold text-(--harm)" role="alert">
				{#each problems.slice(0, 20) as p, i (i)}<li>{p.path ? `${p.path}: ` : ''}{p.message}</li>{/each}
			</ul>
		{/if}
	</section>
</div>
