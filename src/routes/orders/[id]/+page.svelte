<script lang="ts">
	import { untrack } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { ORDER_STATES, ORDER_STATE_WORDS, orderForm, type OrderForm, type OrderState } from '$lib/core/orders';
	import { formatTime } from '$lib/core/units';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { wallTime } from '$lib/ui/clockText';
	import DayField from '$lib/ui/DayField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import Helps from '$lib/ui/orders/Helps.svelte';
	import OrderLines from '$lib/ui/orders/OrderLines.svelte';
	import { dueWords, percentOf, sureWords } from '$lib/ui/orders/sureWords';
	import PricePanel from '$lib/ui/orders/PricePanel.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Save from '$lib/ui/Save.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import type { SuperValidated } from 'sveltekit-superforms';

	let { data } = $props();
	const isNew = untrack(() => data.order === null);
	const { form, errors, enhance, submitting, message } = benchForm<OrderForm>(() => data.form as SuperValidated<OrderForm>, {
		id: isNew ? 'order' : `order-${untrack(() => data.order!.id)}`,
		validators: zod4Client(orderForm)
	});
	let margin = $state(30);
	const at = (ms: number) => wallTime(ms, data.nowMs);
	const STATES = ORDER_STATES.map((value) => ({ value, label: ORDER_STATE_WORDS[value] }));
	const PRIORITIES = [
		{ value: '5', label: 'before all others' },
		{ value: '4', label: 'pressing' },
		{ value: '3', label: 'usual' },
		{ value: '2', label: 'can wait a little' },
		{ value: '1', label: 'can wait' }
	];
</script>

<PageHead
	title={data.order ? $form.name || `Order ${data.order.number}` : 'A new order'}
	about={data.order ? `Order ${data.order.number}` : 'Who wants how many of what, by when.'}>
	{#snippet actions()}
		{#if data.order}
			<Button href="/orders/{data.order.id}/quotation.pdf?margin={margin}" color="alternative" size="lg">Quotation</Button>
			<Button href="/orders/{data.order.id}/delivery.pdf" color="alternative" size="lg">Delivery note</Button>
			<Button href="/orders/{data.order.id}/tally.pdf" color="alternative" size="lg">Tally</Button>
		{/if}
	{/snippet}
</PageHead>
<div class="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
	<div class="min-w-0">
		<form method="POST" action="?/save{data.order ? `&version=${data.order.version}` : ''}" use:enhance class="slab p-5">
			<FormErrors errors={$errors._errors} />
			<Island>
				<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
					<TextField label="For whom or what" name="name" bind:value={$form.name} error={$errors.name} placeholder="Saturday’s market" />
					<ChoiceField label="It is" name="state" options={STATES} bind:value={$form.state as OrderState} error={$errors.state} />
					<DayField label="Wanted by" name="dueDay" bind:value={$form.dueDay} error={$errors.dueDay} hint="by the clock of {data.zone}" />
					<TextField label="At" name="dueTime" bind:value={$form.dueTime} error={$errors.dueTime} placeholder="10:00" />
					<ChoiceField
						label="How pressing"
						name="priority"
						options={PRIORITIES}
						bind:value={() => String($form.priority), (v) => ($form.priority = Number(v))}
						error={$errors.priority} />
					<TextField label="Note" name="note" bind:value={$form.note} error={$errors.note} />
				</div>
			</Island><Island>
				<OrderLines bind:lines={$form.lines} errors={$errors.lines as never} shots={data.shots} counts={data.counts} />
				{#if data.shots.length === 0}<p class="mt-2">
						No shot was sized yet. <a class="plain" href="/shots/new">Size one first</a>: it is the recipe that the order is cast by.
					</p>{/if}
			</Island>
			<p class="mt-4 flex flex-wrap items-center gap-4">
				<Save label={isNew ? 'Take it' : 'Keep'} submitting={$submitting} />{#if $message}<span role="status">{$message}</span>{/if}
			</p>
		</form>
		{#if data.order}<div class="below">
				<Island>
					<PricePanel lines={$form.lines} parts={data.parts} settings={data.settings} bind:margin /></Island>
			</div>{/if}
	</div>
	<aside class="slab p-5 lg:sticky lg:top-5" aria-label="Whether the day holds">
		<Island>
			{#if !data.order}
				<h2>Whether the day holds</h2>
				<p class="soft mt-2">Once it is kept it is planned with all other orders: when it is ready, how sure that is, what it takes.</p>
			{:else if data.hindrances.length > 0}
				<p class="answer text-[1.4rem] text-(--hot)">Not all of it can be planned</p>
				{#each data.hindrances as h (h.lineId + h.why)}<p class="mt-2 font-semibold">{h.why}</p>
					<p class="soft">{h.mend}</p>{/each}
			{:else if data.outlook?.readyAtMs}
				<p class={['answer text-[3.2rem]', data.outlook.lateMs > 0 && 'text-(--hot)']}>{data.sure ? percentOf(data.sure.chance) : ''}</p>
				<p class="font-semibold">
					{data.outlook.lateMs > 0
						? `${formatTime(data.outlook.lateMs / 1000)} late by the plan`
						: data.sure
							? `${sureWords(data.sure.chance)} in time`
							: ''}
				</p>
				<dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
					<dt class="soft">Wanted</dt>
					<dd>{at(data.outlook.dueAtMs)}, {dueWords(data.outlook.dueAtMs, data.nowMs)}</dd>
					<dt class="soft">Ready</dt>
					<dd>{at(data.outlook.readyAtMs)} by the plan</dd>
					{#if data.sure?.ninetyMs}<dt class="soft">Surely</dt>
						<dd>{at(data.sure.ninetyMs)}, nine times in ten</dd>{/if}
					<dt class="soft">Casts</dt>
					<dd>
						{data.outlook.casts} for the {data.outlook.wanted} still wanted{#if data.sure}; {data.sure.ninetyCasts} are enough nine times in ten{/if}
					</dd>
				</dl>
				{#if data.sure}<p class="soft mt-3">Yields, cure times and hands were drawn anew in {data.sure.runs} runs of the same plan.</p>{/if}
				<Helps numbers={data.mouldNumbers} hourly={data.settings.hourly} currency={data.settings.currency} />
			{:else}
				<h2>Not planned</h2>
				<p class="soft mt-2">It is {ORDER_STATE_WORDS[$form.state as OrderState]}, or nothing of it is wanted any more.</p>
			{/if}
		</Island>
	</aside>
</div>
