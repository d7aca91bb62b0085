<script lang="ts">
	import CatalystField from '$lib/ui/shot/CatalystField.svelte';
	import { onDestroy, untrack } from 'svelte';
	import type { SuperValidated } from 'sveltekit-superforms';
	import { cupVolumeMl, isCatalysed, markInCup, stockWarnings, tinsInUse } from '$lib/core/shelf';
	import { UNMEASURED } from '$lib/core/master/unmeasured';
	import { castCautions, CASTS, COLOUR_SCHOOLS, SHOT_KINDS, shortOnShelf, usuallyLeftMl, type ShotInputs } from '$lib/core/shot';
	import { layeredWay, takenOf } from '$lib/core/shot/leftOver';
	import Save from '$lib/ui/Save.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import AddInPlace from '$lib/ui/shelf/AddInPlace.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import { lateSchema } from '$lib/ui/lateSchema';
	import AnswerPane from '$lib/ui/AnswerPane.svelte';
	import AnswerOutline from '$lib/ui/AnswerOutline.svelte';
	import FuseLine from '$lib/ui/FuseLine.svelte';
	import Fuse from '$lib/ui/Fuse.svelte';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import ShotResult from '$lib/ui/ShotResult.svelte';
	import AddedFields from '$lib/ui/shot/AddedFields.svelte';
	import AlsoList from '$lib/ui/shot/AlsoList.svelte';
	import AirFields from '$lib/ui/shot/AirFields.svelte';
	import CostPanel from '$lib/ui/shot/CostPanel.svelte';
	import InsertList from '$lib/ui/shot/InsertList.svelte';
	import CupList from '$lib/ui/shot/CupList.svelte';
	import HowFields from '$lib/ui/shot/HowFields.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import HeedLeft from '$lib/ui/shot/HeedLeft.svelte';
	import KindFields from '$lib/ui/shot/KindFields.svelte';
	import MouldChoice from '$lib/ui/shot/MouldChoice.svelte';
	import { Planning } from '$lib/ui/shot/planning.svelte';
	import WhatIfPanel from '$lib/ui/shot/WhatIfPanel.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';

	let { data } = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting } = benchForm<ShotInputs>(() => data.form as SuperValidated<ShotInputs>, {
		validators: lateSchema(() => import('$lib/core/shot/inputs').then((m) => m.shotInputs))
	});

	const master = $derived(data.masters.find((m) => m.id === $form.masterId));
	/** No shot of a piece whose volume nobody knows. */
	const measured = $derived(master && master.volumeMl !== null ? { record: master.record, volumeMl: master.volumeMl } : undefined);
	const moulds = $derived(data.moulds.filter((m) => m.masterId === $form.masterId));
	const chosen = $derived(moulds.filter((m) => $form.mouldIds.includes(m.id)));
	const resin = $derived(data.resins.find((r) => r.id === $form.resinId));
	const filler = $derived(data.fillers.find((f) => f.id === $form.fillerId));
	const recipeOptions = $derived(data.recipes.map((r) => ({ value: r.id, label: r.record.name })));
	/** The pot that it goes into: the chosen one, else the first in use. */
	const pot = $derived(data.pots.find((p) => p.id === $form.potId) ?? data.pots.find((p) => !p.refused) ?? data.pots[0]);
	const settings = $derived(pot?.settings ?? data.settings);
	const { layered } = $derived(CASTS[$form.kind]);
	const planning = new Planning();
	onDestroy(() => planning.stop());
	/** A dry colour in any of its cups. */
	const powders = $derived.by(() => {
		const batch = planning.planned?.shot.batches[0];
		const cups = [batch, ...(batch?.cups ?? []), ...(batch?.layers ?? [])];
		return cups.some((c) => c?.colours?.some((d) => d.powder));
	});
	const planned = $derived(planning.planned);
	/** A wrong field leaves the answer before it. */
	let last: typeof planned;
	const shown = $derived.by(() => {
		if (planned || planning.problems.length === 0) last = planned;
		return last;
	});

	/** Moulds of other pieces that a cup of this one may fill as well. */
	const otherPieces = $derived(
		data.moulds.flatMap((m) => (m.masterId !== $form.masterId && m.other && !m.refuses && !m.inPour ? { ...m.other, face: m.face } : []))
	);
	const release = $derived(data.releases.find((r) => r.id === $form.releaseId));
	const tins = $derived(data.tins.filter((t) => t.materialId === $form.resinId));
	/** What is old about the tins that it would be poured from. */
	const inUse = $derived(tinsInUse(tins));
	const old = $derived(
		stockWarnings({
			a: inUse.a?.health,
			b: inUse.b?.health,
			whole: resin !== undefined && isCatalysed(resin.record.family)
		})
	);
	/** Parts of which the tin in use does not hold enough for the whole order. */
	const short = $derived(planned ? shortOnShelf(planned.shot.batches, tins) : []);

	/** The cup that marks are given for, where it holds less than one of its parts. */
	const cupShort = $derived.by(() => {
		const cup = data.cups.find((c) => c.id === $form.cupId);
		const batch = planned?.shot.batches[0];
		if (!cup || !batch || $form.measuring !== 'marks') return undefined;
		const each = batch.layers ?? batch.cups ?? [batch];
		const mostMl = Math.max(...each.flatMap((e) => [e.a.volumeMl, e.b.volumeMl]));
		return markInCup(cup.record, mostMl) === undefined
			? { name: cup.name, mostMl, holdsMl: cupVolumeMl(cup.record, cup.record.heightMm) }
			: undefined;
	});

	/** What earlier pours of these moulds took, and whether it is mixed by that. */
	const told = $derived(
		takenOf(
			data.took,
			chosen.map((m) => m.id)
		)[layeredWay($form)]
	);
	const taken = $derived($form.heedLeft ? told : undefined);

	/** What money goes by; it is thought of as the pulls that a mould gives, and what is thrown away. */
	let mouldPulls = $state<number | undefined>(30);
	let scrapPercent = $state<number | undefined>(10);

	// every change is worked out again off the main thread
	$effect(() => {
		if (!measured || !resin || chosen.length === 0 || refuses) return planning.clear();
		const others = data.resins.filter((r) => r.id !== resin.id).map((r) => ({ name: r.record.name, record: r.record }));
		return planning.ask(
			{
				inputs: $state.snapshot({ ...$form, mouldIds: chosen.map((m) => m.id) }),
				master: measured,
				moulds: chosen,
				resin,
				settings,
				release,
				filler: filler?.record,
				fillers: data.fillers,
				recipes: data.recipes,
				colours: data.colours,
				tinSpeed: inUse.a?.speed,
				others: otherPieces,
				took: data.took.filter((t) => chosen.some((m) => m.id === t.mouldId)),
				presses: data.presses.filter((p) => p.resinId === resin.id),
				experiences: data.experiences,
				cost: {
					// what is typed may be no number: the cost is refused for it at its field, and the shot stands
					mouldPulls: mouldPulls as number,
					scrapPercent: scrapPercent as number,
					mouldCost: chosen[0]?.cost ?? undefined,
					hourly: data.settings.hourly
				}
			},
			others
		);
	});

	/** What would keep the last layer up, stirred into it: by a press, never unasked. */
	function thicken({ fillerId, scoops }: { fillerId: string; scoops: number }) {
		const plain = { place: 'everywhere', fillerId: '', scoops: 1, recipeId: '', note: '' };
		const rows =
			$form.layerRows?.length > 0 ? $form.layerRows : Array.from({ length: shown?.shot.batches[0]?.layers?.length ?? 1 }, () => plain);
		$form.layerRows = rows.map((r, i) => (i === rows.length - 1 ? { ...r, fillerId, scoops } : r));
	}
	const problemIn = (list: string, i: number, field: string) => planning.in(list, i, field);
	const problemAt = (field: string) => planning.at(field) ?? ($errors as Record<string, string[] | undefined>)[field];
	function chooseMaster(id: string | undefined) {
		$form.masterId = id ?? '';
		const own = data.moulds.filter((m) => m.masterId === id && !m.refuses);
		// what is in an open pour is planned for when there is nothing else
		const empty = own.filter((m) => !m.inPour);
		$form.mouldIds = (empty.length > 0 ? empty : own).map((m) => m.id);
		// the 3D file knows the thinnest section; it cures last
		const thinnestMm = data.masters.find((m) => m.id === id)?.record.shape?.findings.thinnestMm;
		if (thinnestMm && thinnestMm >= 0.5) $form.sectionMm = Math.round(thinnestMm * 10) / 10;
	}
	/** What the sprue of the chosen moulds holds; it stands in the field until something else is typed. */
	const usualSprueMl = $derived(Math.round(10 * Math.max(0, ...chosen.map((m) => m.sprueMl))) / 10);
	let stoodMl = 0;
	$effect(() => {
		const usual = usualSprueMl;
		untrack(() => {
			if ($form.sprueVolumeMl === stoodMl) $form.sprueVolumeMl = usual;
			stoodMl = usual;
		});
	});
	const refuses = $derived(chosen.find((m) => m.refuses));
	const mouldProblem = $derived(
		refuses ? `M${refuses.number} ${refuses.refuses}` : (($errors.mouldIds as { _errors?: string[] } | undefined)?._errors?.[0] ?? '')
	);
</script>

<PageHead
	title={data.changed ? `Change shot S${data.changed.number}` : 'Size a shot'}
	about={data.begunFrom === null
		? 'Solid, rolled or filled: every cup against the time that the resin gives.'
		: `Begun as shot S${data.begunFrom} was, at the room of today; change what is otherwise.`} />
{#if shown}
	{@const first = shown.shot.batches[0]!}
	<section class="slab mb-5 px-5 pt-4 pb-3" aria-label="Steps against pot life">
		<Fuse steps={first.steps} potLifeS={first.potLifeS} usableS={first.budget.usableS} slackS={first.slackS} />
	</section>
{/if}
<form
	method="POST"
	action={data.changed ? `?change=${data.changed.id}&version=${data.changed.version}` : undefined}
	use:enhance
	class="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_27rem]">
	<div class="slab p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<ChoiceField
				label="Piece"
				name="masterId"
				bind:value={() => $form.masterId, chooseMaster}
				placeholder="Choose a master"
				options={data.masters.map((m) => ({ value: m.id, label: m.record.name }))}
				error={master && !measured ? [UNMEASURED] : $errors.masterId}
				hint={measured ? `${units.show(measured.volumeMl, 'volume')} a copy` : ''} />
			<ChoiceField
				label="Resin"
				name="resinId"
				bind:value={$form.resinId}
				placeholder="Choose a resin"
				options={data.resins.map((r) => ({ value: r.id, label: r.record.name }))}
				error={$errors.resinId}
				hint={resin
					? `${resin.record.character}, pot life ${units.show(resin.record.potLifeS ?? resin.record.referenceGelS, 'time')}`
					: ''}>
				{#snippet add()}<AddInPlace kind="resin" {form} field="resinId" />{/snippet}
			</ChoiceField>
		</div>
		<div class="mb-3">
			<Segments
				label="Cast"
				name="kind"
				paired
				bind:value={$form.kind}
				options={SHOT_KINDS.map((value) => ({ value, label: CASTS[value].words.name }))} />
		</div>
		<MouldChoice {moulds} masterId={master?.id} bind:chosen={$form.mouldIds} problem={mouldProblem} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField label="Copies" kind="number" name="copies" bind:value={$form.copies} error={problemAt('copies')} />
			{#if !layered}<QuantityField
					label="Sprue and vents"
					kind="volume"
					name="sprueVolumeMl"
					bind:value={$form.sprueVolumeMl}
					error={problemAt('sprueVolumeMl')}
					hint={usualSprueMl > 0 && $form.sprueVolumeMl === usualSprueMl ? 'the mould’s own sprue' : ''} />{/if}
			{#if !layered}<QuantityField
					label="Thinnest section"
					kind="length"
					name="sectionMm"
					bind:value={$form.sectionMm}
					error={problemAt('sectionMm')}
					hint="cures last" />
				<QuantityField
					label="Thickest section"
					kind="length"
					name="thickestMm"
					bind:value={$form.thickestMm}
					error={problemAt('thickestMm')}
					inForce={planning.beside?.thickest?.thicknessMm}
					hint={planning.beside?.thickest?.from === 'file' ? 'gets hottest; by its 3D file' : 'gets hottest; by volume and sizes'} />{/if}
			{#if resin && isCatalysed(resin.record.family)}<CatalystField
					bind:value={$form.catalystPercent}
					recordPercent={resin.record.catalystPercent}
					error={problemAt('catalystPercent')}
					proposed={planning.whatIf?.share} />{/if}
			<QuantityField label="Pairs of hands" kind="number" name="hands" bind:value={$form.hands} error={problemAt('hands')} />
		</div>
		{#if layered}<KindFields
				{form}
				{problemAt}
				{problemIn}
				skin={master?.skin}
				fillers={data.fillers.map((f) => ({ value: f.id, label: f.record.name }))}
				recipes={recipeOptions}
				last={data.lastLayers.find((l) => l.masterId === master?.id)} />{/if}
		<Island>
			<HeedLeft {form} {told} batch={shown?.shot.batches[0]} />
			<div class="mt-3 grid items-start gap-x-5 gap-y-1 sm:grid-cols-3">
				{#if !layered && !taken}<div class="sm:col-span-2">
						<Segments
							label="What stays in the cup"
							name="lossBy"
							bind:value={$form.lossBy}
							options={[
								{ value: 'film', label: 'A film, by viscosity' },
								{ value: 'percent', label: 'A fixed share' }
							]} />
					</div>{/if}
				{#if layered || (!taken && $form.lossBy === 'percent')}
					<QuantityField
						label="Share lost"
						kind="percent"
						name="lossPercent"
						bind:value={$form.lossPercent}
						error={problemAt('lossPercent')}
						hint="10–20 % for a small one" />
				{/if}
			</div>
			<AddedFields
				{form}
				{problemAt}
				releaseError={$errors.releaseId}
				releases={data.releases}
				fillers={data.fillers}
				recipes={recipeOptions} />
		</Island>
		<Island>
			{#if !layered}
				<div class="mb-3">
					<CupList bind:cups={$form.cups} recipes={recipeOptions} problem={(i, field) => problemIn('cups', i, field)} />
					{#if $form.cups.length > 0}<div class="mt-2 grid items-start gap-x-5 sm:grid-cols-2">
							<ChoiceField
								label="Combined"
								name="colourSchool"
								bind:value={$form.colourSchool}
								options={Object.entries(COLOUR_SCHOOLS).map(([value, s]) => ({ value, label: s.words }))}
								hint={COLOUR_SCHOOLS[$form.colourSchool ?? 'in-turn'].risk} />
							<QuantityField
								label="Poured when the cups read"
								kind="temperature"
								name="pourTempC"
								bind:value={$form.pourTempC}
								error={problemAt('pourTempC')}
								hint="{units.show(35, 'temperature')} to {units.show(38, 'temperature')} keeps swirls apart; empty: at once" />
						</div>{/if}
				</div>
			{/if}
			{#if $form.kind === 'solid' && $form.cups.length === 0}
				<div class="mt-2">
					<AlsoList
						bind:also={$form.also}
						others={otherPieces}
						leftMl={shown && usuallyLeftMl(shown.shot.batches[0]!.volumeMl)}
						problem={(i, field) => problemIn('also', i, field)} />
				</div>
			{/if}
			{#if $form.kind !== 'clear' || $form.inserts.length > 0}
				<div class="mt-2">
					<InsertList bind:inserts={$form.inserts} problem={(i, field) => problemIn('inserts', i, field)} />
					<p class="min-h-[1.35rem] text-[0.85rem] font-semibold text-(--harm)" aria-live="polite">
						{planning.problems.find((p) => p.path === 'inserts')?.message ?? ''}
					</p>
				</div>
			{/if}
			<HowFields
				{form}
				{problemAt}
				{layered}
				pots={data.pots}
				cups={data.cups}
				refused={pot?.refused ?? ''}
				potWords="{settings.potName}, {units.show(settings.potTargetGaugeKpa, 'pressure')}" />
			<AirFields {form} {problemAt} />
		</Island>
		<Save label={data.changed ? 'Keep the changes' : 'Keep this shot'} submitting={$submitting} />
	</div>
	<AnswerPane
		label={shown && shown.shot.batches.length > 1 ? `In each of ${shown.shot.batches.length} cups` : 'To mix'}
		value={shown && units.inCup(shown.shot.batches[0]!)}
		note={shown &&
			`${shown.shot.batches[0]!.slackS >= 0 ? 'slack' : 'too long by'} ${units.show(Math.abs(shown.shot.batches[0]!.slackS), 'time')}`}
		problem={planned ? undefined : planning.problems[0]?.message}>
		{#if shown}
			<Warnings warnings={old} />
			{#if short.length > 0}
				<Warnings
					warnings={short.map((p) => ({
						code: `short-${p.part}`,
						message: `The shelf holds ${units.show(p.leftG, 'mass')} of ${p.part} and this order takes ${units.show(p.needG, 'mass')}.`,
						action: 'Fewer copies, or open another tin.'
					}))} />
			{/if}
			{#if cupShort}<Warnings
					warnings={[
						{
							code: 'own-cup-short',
							message: `${cupShort.name} holds ${units.show(cupShort.holdsMl, 'volume')}, and one part takes ${units.show(cupShort.mostMl, 'volume')}.`,
							action: 'Choose a larger cup; else the marks are for a straight one that holds it.'
						}
					]} />{/if}
			<ShotResult planned={shown} onthicken={thicken} />
			{#if planning.whatIf}<WhatIfPanel {...planning.whatIf} tight={shown.shot.batches[0]!.slackS < 0} />{/if}
			<CostPanel outcome={planning.beside?.cost} bind:mouldPulls bind:scrapPercent currency={data.settings.currency} />
			<Warnings warnings={planning.beside?.touching ?? []} />
			<Caution topics={castCautions($form, resin?.record.family ?? 'fast urethane', powders)} />
		{/if}
		{#snippet empty()}
			<p class="soft">Choose a piece, a mould and a resin: the shot appears here, with the time it leaves you.</p>
			<AnswerOutline boxes={['A', 'B']} lines="Pot life, slack, demould" />
		{/snippet}
		{#snippet bar()}{#if shown}<FuseLine batch={shown.shot.batches[0]!} />{/if}{/snippet}
		{#snippet action()}<button type="submit" class="slim-action">{data.changed ? 'Change' : 'Keep'}</button>{/snippet}
	</AnswerPane>
</form>
