<script lang="ts">
	import { untrack } from 'svelte';
	import { Button, Checkbox } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { hoursForm, type HoursForm } from '$lib/core/orders';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import Tabs from '$lib/ui/orders/Tabs.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Save from '$lib/ui/Save.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { SuperValidated } from 'sveltekit-superforms';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm<HoursForm>(() => data.form as SuperValidated<HoursForm>, {
		id: 'hours',
		validators: zod4Client(hoursForm)
	});
	const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
	const zones = untrack(() => [...new Set([data.form.data.zone, ...data.zones])].map((z) => ({ value: z, label: z.replaceAll('_', ' ') })));
	const block = () => {
		const day = new Date(data.nowMs + 86_400_000).toISOString().slice(0, 10);
		$form.exceptions = [...$form.exceptions, { from: `${day}T13:00`, until: `${day}T17:00`, hands: 0, note: '' }];
	};
	const local = 'rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 min-h-[2.65rem] w-full';
</script>

<PageHead title="Hours" about="When there are hands, and how cold it gets when there are none." />
<Tabs />
<form method="POST" action="?/save&version={data.version}" use:enhance class="slab p-5">
	<FormErrors errors={$errors._errors} />
	<fieldset class="min-w-0">
		<legend class="label mb-1">The week</legend>
		<div class="grid gap-x-5 gap-y-0 lg:grid-cols-2">
			{#each DAYS as day, i (day)}
				<Island>
					{@const wrong = $errors.week?.[i]}
					<div class="grid grid-cols-3 items-start gap-2 sm:grid-cols-[6.2rem_1fr_1fr_1fr]" role="group" aria-label={day}>
						<p class="col-span-3 font-semibold sm:col-span-1 sm:pt-8">{day}</p>
						<TextField label="From" name="week.{i}.from" bind:value={$form.week[i]!.from} error={wrong?.from} />
						<TextField label="Until" name="week.{i}.until" bind:value={$form.week[i]!.until} error={wrong?.until} />
						<QuantityField kind="number" label="Hands" name="week.{i}.hands" bind:value={$form.week[i]!.hands} error={wrong?.hands} />
					</div>
				</Island>
			{/each}
		</div>
		<p class="soft">Hands are pairs of hands: 0 where nobody is there. What cures goes on by itself.</p>
	</fieldset>
	<Island>
		<fieldset class="mt-5 min-w-0">
			<legend class="label mb-1">Otherwise than the week</legend>
			{#each $form.exceptions as e, i (i)}
				{@const wrong = $errors.exceptions?.[i]}
				<div class="mb-2 grid items-start gap-3 sm:grid-cols-[1fr_1fr_6rem_1fr_auto]" role="group" aria-label="Exception {i + 1}">
					<label class="flex flex-col"
						><span class="label">From</span><input
							class={local}
							type="datetime-local"
							bind:value={$form.exceptions[i]!.from}
							aria-invalid={wrong?.from ? 'true' : undefined} /></label>
					<label class="flex flex-col"
						><span class="label">Until</span><input
							class={local}
							type="datetime-local"
							bind:value={$form.exceptions[i]!.until}
							aria-invalid={wrong?.until ? 'true' : undefined} />
						<span class="min-h-[1.4rem] font-semibold text-(--harm)">{wrong?.until?.[0] ?? ''}</span></label>
					<QuantityField
						kind="number"
						label="Hands"
						name="exceptions.{i}.hands"
						bind:value={$form.exceptions[i]!.hands}
						error={wrong?.hands} />
					<TextField
						label="Why"
						name="exceptions.{i}.note"
						bind:value={$form.exceptions[i]!.note}
						error={wrong?.note}
						placeholder="dentist" />
					<div class="pt-6">
						<Button
							color="alternative"
							onclick={() => ($form.exceptions = $form.exceptions.filter((x) => x !== e))}
							aria-label="Take it out: exception {i + 1}">Take it out</Button>
					</div>
				</div>
			{/each}
			<Button color="alternative" onclick={block}>Block a time, or add hands</Button>
		</fieldset>
	</Island><Island>
		<div class="mt-5 grid gap-x-5 gap-y-1 sm:grid-cols-2 lg:grid-cols-4">
			<QuantityField
				label="Room at night"
				name="nightTempC"
				kind="temperature"
				bind:value={() => $form.nightTempC ?? undefined, (v) => ($form.nightTempC = v ?? null)}
				error={$errors.nightTempC}
				hint="empty: as by day" />
			<QuantityField
				kind="number"
				label="A mould rests, min"
				name="restMinutes"
				bind:value={$form.restMinutes}
				error={$errors.restMinutes}
				hint="between two pulls" />
			<QuantityField
				kind="number"
				label="Successor from, %"
				name="successorPercent"
				bind:value={$form.successorPercent}
				error={$errors.successorPercent}
				hint="chance that the old one ends" />
			<ChoiceField label="Clock of" name="zone" options={zones} bind:value={$form.zone} error={$errors.zone} />
		</div>
		<Checkbox bind:checked={$form.acceptsItself}>Follow a new plan without asking</Checkbox>
	</Island>
	<p class="mt-4 flex flex-wrap items-center gap-4">
		<Save label="Keep" submitting={$submitting} />{#if $message}<span role="status">{$message}</span>{/if}
	</p>
</form>
