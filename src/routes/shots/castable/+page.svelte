<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { castableInputs, planCastable } from '$lib/core/castable';
	import { cautionsFor } from '$lib/core/cautions';
	import { outcomeOf } from '$lib/core/outcomeOf';
	import AnswerPane from '$lib/ui/AnswerPane.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import Fuse from '$lib/ui/Fuse.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import PieceFace from '$lib/ui/PieceFace.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Save from '$lib/ui/Save.svelte';
	import MouldChoice from '$lib/ui/shot/MouldChoice.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';
	import Working from '$lib/ui/Working.svelte';

	let { data } = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting } = benchForm(() => data.form, { validators: zod4Client(castableInputs) });

	const material = $derived(data.castables.find((c) => c.id === $form.materialId));
	const master = $derived(data.masters.find((m) => m.id === $form.masterId));
	const moulds = $derived(data.moulds.filter((m) => m.masterId === $form.masterId));
	const chosen = $derived(moulds.filter((m) => $form.mouldIds.includes(m.id)));
	const plaster = $derived(material?.record.sort === 'plaster');
	/** Nothing is worked out before there is what is cast, and into what. */
	const asked = $derived(material && master && chosen.length > 0 ? { material, master } : undefined);
	const outcome = $derived(
		asked &&
			outcomeOf(() =>
				planCastable(castableInputs.parse({ ...$form, mouldIds: chosen.map((m) => m.id) }), asked.material.record, {
					volumeMl: asked.master.volumeMl,
					moulds: chosen,
					...data.settings
				})
			)
	);
	const planned = $derived(outcome?.ok ? { plan: outcome.value, sort: asked!.material.record.sort } : undefined);
	const problems = $derived(outcome && !outcome.ok ? outcome.errors : []);
	/** A wrong field leaves the answer before it. */
	let last: typeof planned;
	const shown = $derived.by(() => {
		if (planned || problems.length === 0) last = planned;
		return last;
	});
	const problemAt = (field: string) => {
		const found = problems.filter((p) => p.path === field).map((p) => p.message);
		return found.length > 0 ? found : ($errors as Record<string, string[] | undefined>)[field];
	};
	function chooseMaster(id: string | undefined) {
		$form.masterId = id ?? '';
		const own = data.moulds.filter((m) => m.masterId === id);
		const empty = own.filter((m) => !m.inPour);
		$form.mouldIds = (empty.length > 0 ? empty : own).map((m) => m.id);
	}
</script>

<PageHead title="Plaster, wax or soap" about="What is cast besides resin: weighed, poured and kept in the ledger like the rest." />
<form method="POST" use:enhance class="grid items-start gap-5 lg:grid-cols-[1fr_25rem]">
	<div class="slab min-w-0 p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid items-start gap-x-5 gap-y-1 sm:grid-cols-2">
			<ChoiceField
				label="What is cast"
				name="materialId"
				bind:value={$form.materialId}
				options={data.castables.map((c) => ({ value: c.id, label: `${c.record.name}, ${c.record.sort}` }))}
				error={$errors.materialId} />
			<ChoiceField
				label="Piece"
				name="masterId"
				bind:value={() => $form.masterId, chooseMaster}
				options={[
					{ value: '', label: 'Choose a piece' },
					...data.masters.map((m) => ({ value: m.id, label: `${m.name}, ${units.show(m.volumeMl, 'volume')}` }))
				]}
				error={$errors.masterId} />
		</div>
		{#if data.castables.length === 0}<p class="mb-3">
				The shelf holds no plaster, wax or soap yet. <a class="plain" href="/shelf/castables/new">Enter one</a>.
			</p>{/if}
		<MouldChoice
			{moulds}
			masterId={$form.masterId}
			bind:chosen={$form.mouldIds}
			problem={($errors.mouldIds as { _errors?: string[] } | undefined)?._errors?.[0] ?? ''} />
		<div class="grid items-start gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField label="Copies" kind="number" name="copies" bind:value={$form.copies} error={problemAt('copies')} />
			<QuantityField
				label="Sprue and vents"
				kind="volume"
				name="sprueVolumeMl"
				bind:value={$form.sprueVolumeMl}
				error={problemAt('sprueVolumeMl')} />
			<QuantityField
				label="Stays in the bowl, %"
				kind="number"
				name="lossPercent"
				bind:value={$form.lossPercent}
				error={problemAt('lossPercent')} />
			{#if plaster}
				<QuantityField
					label="Sift, soak, stir"
					kind="time"
					name="mixS"
					bind:value={$form.mixS}
					error={problemAt('mixS')}
					hint="the first of it starts the clock" />
			{/if}
			<QuantityField label="Pour one copy" kind="time" name="pourS" bind:value={$form.pourS} error={problemAt('pourS')} />
			{#if plaster}
				<QuantityField label="Tap one copy" kind="time" name="tapS" bind:value={$form.tapS} error={problemAt('tapS')} />
			{/if}
		</div>
		{#if shown}<div class="mt-4"><Caution topics={cautionsFor(shown.sort === 'plaster' ? 'plaster' : 'melt')} /></div>{/if}
		<div class="mt-3"><Save label="Pour it" submitting={$submitting} /></div>
	</div>
	<AnswerPane
		label={plaster ? 'To weigh' : 'To melt'}
		value={shown && units.weighed(shown.plan.powderG ?? shown.plan.massG)}
		note={shown?.plan.waterG === undefined ? undefined : `water ${units.weighed(shown.plan.waterG)}`}
		problem={problems[0]?.message}>
		{#if shown}
			{@const { plan } = shown}
			<div class="flex items-center gap-3">
				<PieceFace {...master?.face ?? {}} rem={3} />
				<p class="font-semibold">
					{master?.name}<span class="soft block font-normal">{units.show(plan.volumeMl, 'volume')} in the bowl</span>
				</p>
			</div>
			{#if plan.powderG !== undefined && plan.waterG !== undefined}
				<dl class="grid grid-cols-2 gap-3">
					{#each [{ what: 'Powder', massG: plan.powderG }, { what: 'Water', massG: plan.waterG }] as part (part.what)}
						<div class="overflow-hidden rounded-lg border border-(--line) bg-(--paper)">
							<div class={['h-3', part.what === 'Powder' ? 'bg-(--line-strong)' : 'hatch-b']}></div>
							<div class="px-3 py-2">
								<dt class="font-bold">{part.what}</dt>
								<dd class="answer text-[2rem] whitespace-nowrap">{units.weighed(part.massG)}</dd>
							</div>
						</div>
					{/each}
				</dl>
			{:else}
				<div>
					<p class="soft">To melt</p>
					<p class="answer text-[2rem] whitespace-nowrap">{units.weighed(plan.massG)}</p>
					<p>{units.weighed(plan.topUpG ?? 0)} of it are kept hot to top up as it sinks.</p>
				</div>
			{/if}
			<Fuse steps={plan.steps} potLifeS={plan.workS} usableS={plan.usableS} slackS={plan.slackS} />
			<p>
				Pours for {units.show(plan.workS, 'time')}, comes out after {units.show(plan.demouldS, 'time')}: as its record says, nothing here
				knows better.{#if plan.costPerCopy !== undefined}&#32;Its material costs {plan.costPerCopy.toFixed(2)}
					{data.settings.currency} a copy.{/if}
			</p>
			<Warnings warnings={plan.warnings} />
			<Working lines={plan.working} />
		{/if}
		{#snippet action()}<button type="submit" class="slim-action">Pour it</button>{/snippet}
		{#snippet empty()}
			<p class="soft">Choose what is cast, the piece and its moulds: what is weighed stands here.</p>
		{/snippet}
	</AnswerPane>
</form>
