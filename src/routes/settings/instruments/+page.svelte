<script lang="ts">
	import { enhance as plainEnhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { DEVICES, DEVICE_NAMES, instrumentInput } from '$lib/core/devices';
	import Save from '$lib/ui/Save.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { shortTime } from '$lib/ui/clockText';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data, form: answer } = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting } = benchForm(() => data.form, { validators: zod4Client(instrumentInput) });
	const shown = (i: (typeof data.instruments)[number]) => {
		if (i.value === null) return 'nothing yet';
		if (i.kind === 'scale') return units.show(i.value, 'mass');
		if (i.kind === 'gauge') return units.show(i.value, 'pressure');
		return units.show(i.value, 'temperature') + (i.second === null ? '' : `, ${Math.round(i.second)} %`);
	};
	const SENDS = [
		['Scale', 'value in g, "settled": true once it is at rest'],
		['Gun thermometer', 'value in °C'],
		['Pot gauge', 'value in kPa above the room'],
		['Thermo-hygrometer', 'value in °C, "second" the humidity in percent']
	] as const;
</script>

<PageHead
	title="Instruments"
	about="What reads at your bench by itself. Without one, a pour asks you to type; simulated ones exist in practice only." />

<div class="grid items-start gap-5 lg:grid-cols-[1fr_26rem]">
	<section class="slab p-5">
		<h2 class="mb-2">Set up here</h2>
		{#if data.instruments.length === 0}
			<p class="soft">None yet. Everything at the bench is typed or read by eye, and noted as that.</p>
		{:else}
			<table class="bench">
				<thead><tr><th>Name</th><th>Reads</th><th class="num">Last reading</th><th></th></tr></thead>
				<tbody>
					{#each data.instruments as i (i.id)}
						<tr>
							<td class="font-semibold break-words">{i.name}</td>
							<td>{DEVICE_NAMES[i.kind]}</td>
							<td class="num"
								>{shown(i)}{#if i.readAt}<br /><span class="soft">{shortTime(i.readAt.getTime(), data.nowMs)}</span>{/if}</td>
							<td>
								<form method="POST" action="?/revoke" use:plainEnhance>
									<input type="hidden" name="id" value={i.id} />
									<Button type="submit" color="alternative" aria-label="Take out of use: {i.name}">Take out of use</Button>
								</form>
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		{/if}
		<h2 class="mt-6 mb-1">How it tells its readings</h2>
		<p>It posts each reading to this server, at least every two seconds while a pour runs:</p>
		<pre class="my-2 overflow-x-auto rounded-md bg-(--sunk) p-3 text-[0.93rem]">POST /api/instruments/reading
Authorization: Bearer THE-TOKEN
Content-Type: application/json

&#123;"value": 84.2, "settled": true&#125;</pre>
		<dl class="grid grid-cols-[auto_1fr] gap-x-4">
			{#each SENDS as [name, what] (name)}<dt class="font-semibold">{name}</dt>
				<dd>{what}</dd>{/each}
		</dl>
	</section>
	<aside class="slab p-5">
		<h2 class="mb-2">Add one</h2>
		<form method="POST" action="?/add" use:enhance>
			<FormErrors errors={$errors._errors} />
			<ChoiceField
				label="It reads as a"
				name="kind"
				bind:value={$form.kind}
				options={DEVICES.map((value) => ({ value, label: DEVICE_NAMES[value] }))}
				error={$errors.kind} />
			<TextField label="Its name" name="name" bind:value={$form.name} error={$errors.name} hint="stands beside what it read" />
			<Save label="Add it" submitting={$submitting} />
		</form>
		{#if answer && 'token' in answer && answer.token}
			<div class="mt-4 rounded-lg border-2 border-(--work) p-3" role="status">
				<p class="font-semibold">Its token. It is shown only now: put it into the instrument.</p>
				<p class="tnum mt-1 text-[1.15rem] font-bold break-all select-all" data-testid="token">{answer.token}</p>
			</div>
		{/if}
	</aside>
</div>
