<script lang="ts">
	import AnswerOutline from '$lib/ui/AnswerOutline.svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import {
		chooseMould,
		chooserInput,
		KIND_WORDS,
		MADE_OF,
		locksOf,
		USUAL_HOURLY,
		USUAL_PRICE_PER_KG,
		type MadeOf,
		type MouldOption
	} from '$lib/core/mould';
	import { digits } from '$lib/core/units';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import Island from '$lib/ui/island/Island.svelte';
	import Mark from '$lib/ui/Mark.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	// nothing is sent: the answers decide on the spot
	const { form } = benchForm(() => data.form, { validators: zod4Client(chooserInput), SPA: true });
	const master = $derived(data.shelf.masters.find((m) => m.id === $form.masterId));
	const parsed = $derived(chooserInput.safeParse($form));
	const copiesProblem = $derived(
		parsed.success ? undefined : parsed.error.issues.filter((i) => i.path[0] === 'copies').map((i) => i.message)
	);
	const options = $derived.by((): MouldOption[] => {
		if (!master || !parsed.success) return [];
		return chooseMould(
			master.record,
			parsed.data,
			{
				rubber,
				thermoplastic: data.shelf.thermoplastics.find((t) => t.id === $form.thermoplasticId)?.record
			},
			data.settings.roomTempC,
			data.settings.hourly
		);
	});
	const LOCKS = { none: 'nothing locks', shallow: 'shallow undercuts', deep: 'deep undercuts', 'not known': 'undercuts not known' };
	const yesNo = [
		{ value: 'no', label: 'no' },
		{ value: 'yes', label: 'yes' }
	] as const;
	const MARK = { fits: 'full', 'with care': 'left', 'does not fit': 'cross' } as const;
	const TONE = { fits: 'text-(--work)', 'with care': 'text-(--ink)', 'does not fit': 'text-(--harm)' };
	const OF: Readonly<Record<MadeOf, string>> = {
		rubber: 'rubber',
		thermoplastic: 'thermoplastic',
		powder: 'powder and water',
		nothing: ''
	};
	const money = (amount: number) => `${data.settings.currency} ${digits(amount, 2)}`;
	const rubber = $derived(data.shelf.rubbers.find((r) => r.id === $form.rubberId)?.record);
	const priceKnown = $derived(rubber?.pricePerKg !== undefined);
	const rubberPrice = $derived(rubber?.pricePerKg ?? USUAL_PRICE_PER_KG);
	const link = (o: MouldOption) => {
		const q = new URLSearchParams({
			master: $form.masterId ?? '',
			kind: o.kind,
			rubber: $form.rubberId ?? '',
			thermoplastic: $form.thermoplasticId ?? '',
			resin: $form.resinId ?? ''
		});
		return `/moulds/new?${q}`;
	};
</script>

<PageHead title="Which way to make it" about="Say how the master is and what it is for; the ways line up. You decide." />
<div class="grid items-start gap-5 lg:grid-cols-[22rem_1fr]">
	<div class="slab p-5">
		<ChoiceField
			label="Master"
			name="masterId"
			bind:value={$form.masterId}
			placeholder="Choose a master"
			options={data.shelf.masters.map((m) => ({ value: m.id, label: m.record.name }))} />
		{#if master}<p class="soft mb-3">
				{units.show(master.record.lengthMm, 'length')} × {units.show(master.record.widthMm, 'length')} × {units.show(
					master.record.heightMm,
					'length'
				)} tall, {LOCKS[locksOf(master.record, $form.undercuts ?? 'as its file')]}
			</p>{/if}
		<Island>
			<ChoiceField
				label="Undercuts"
				name="undercuts"
				bind:value={$form.undercuts}
				options={[
					{ value: 'as its file', label: 'as its 3D file shows' },
					{ value: 'none', label: 'none: it draws from both sides' },
					{ value: 'shallow', label: 'shallow' },
					{ value: 'deep', label: 'deep' }
				]} />
			<div class="mb-3 grid grid-cols-2 gap-3">
				<Segments label="Flat back" name="flatBack" bind:value={$form.flatBack} options={yesNo} />
				<Segments label="Fragile" name="fragile" bind:value={$form.fragile} options={yesNo} />
				<Segments label="Cast hollow" name="hollow" bind:value={$form.hollow} options={yesNo} />
				<Segments label="Metal skin" name="metalSkin" bind:value={$form.metalSkin} options={yesNo} />
			</div>
		</Island><Island>
			<QuantityField label="Copies" kind="number" name="copies" bind:value={$form.copies} error={copiesProblem} />
			<ChoiceField
				label="In which rubber"
				name="rubberId"
				bind:value={$form.rubberId}
				options={data.shelf.rubbers.map((r) => ({ value: r.id, label: r.record.name }))} />
			{#if data.shelf.thermoplastics.length > 0}<ChoiceField
					label="Or pressed from"
					name="thermoplasticId"
					bind:value={$form.thermoplasticId}
					options={data.shelf.thermoplastics.map((t) => ({ value: t.id, label: t.record.name }))} />{/if}
			<ChoiceField
				label="Poured with"
				name="resinId"
				bind:value={$form.resinId}
				options={[{ value: '', label: 'Not known yet' }, ...data.shelf.resins.map((r) => ({ value: r.id, label: r.record.name }))]} />
		</Island>
	</div>
	<div class="flex min-w-0 flex-col gap-3">
		<Island>
			{#if !master}
				<div class="slab flex flex-col gap-4 p-5">
					<p class="text-[1.15rem]">Choose a master: the ways that fit it appear here.</p>
					<AnswerOutline boxes={['The first choice', 'The next']} lines="Why, what mostly goes wrong, rubber, hours, cost" />
				</div>
			{/if}
			{#each options as o, i (o.kind)}
				<section
					class={['slab grid gap-x-5 gap-y-1 p-4 sm:grid-cols-[1fr_auto]', o.fit === 'does not fit' && 'opacity-80']}
					aria-label={KIND_WORDS[o.kind]}>
					<div>
						<p class={['font-bold', TONE[o.fit]]}>
							<Mark outline={MARK[o.fit]} />
							{o.fit}{i === 0 && o.fit !== 'does not fit' ? ', first choice' : ''}
						</p>
						<h2 class="text-[1.4rem]!">{KIND_WORDS[o.kind]}</h2>
						<p class="mt-1">{o.why.join('; ')}.</p>
						<p class="soft text-[0.93rem]">What mostly goes wrong: {o.risk}.</p>
					</div>
					<div class="flex flex-col items-start gap-1 sm:items-end">
						<p class="text-[1.4rem] leading-tight font-bold">
							{o.notKnown ? 'How much is not known' : o.massG > 0 ? units.weighed(o.massG) : 'no rubber'}
						</p>
						{#if o.notKnown}<p class="soft max-w-[16rem] text-[0.93rem] sm:text-right">{units.text(o.notKnown)}</p>{/if}
						{#if o.massG > 0}<p class="soft text-[0.93rem]">of {OF[MADE_OF[o.kind]]}</p>{/if}
						<p class="soft text-[0.93rem]">and {units.show(Math.round(o.handsS / 900) * 900, 'time')} of work</p>
						<p class="font-semibold">{money(o.cost)} {o.notKnown ? 'for the work alone' : 'together'}</p>
						{#if o.readyInS > 0}<p class="soft text-[0.93rem]">ready {units.show(o.readyInS, 'time')} after the first pour</p>{/if}
						<a
							class="mt-1 inline-flex min-h-[2.75rem] items-center rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold hover:bg-(--work-soft)"
							href={link(o)}>Plan it this way</a>
					</div>
				</section>
			{/each}
			{#if master}<p class="soft text-[0.93rem]">
					Ranked by material and work together: an hour at {money(data.settings.hourly || USUAL_HOURLY)}{data.settings.hourly
						? ''
						: ', as is usual; set yours under Settings'}, rubber at {money(rubberPrice)} a kilogram{priceKnown
						? ''
						: ', as is usual; set it on its page'}. Rubber with 12 mm of clearance and cover; reasons and hours are common practice, no
					source.
				</p>{/if}
		</Island>
	</div>
</div>
