<script lang="ts">
	import type { SuperValidated } from 'sveltekit-superforms';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { refusal, valueOf, type Outcome } from '$lib/core/outcome';
	import { outcomeOf } from '$lib/core/outcomeOf';
	import { masterThing, pourMeetings, releaseThing, resinThing, whatMeets, type Experience, type Thing } from '$lib/core/compatibility';
	import type { MasterRecord } from '$lib/core/master';
	import {
		CLOSING_WORDS,
		CLOSINGS,
		closingOf,
		drawMould,
		faceTempC,
		inRubber,
		MADE_OF,
		mixingOf,
		MOULD_MODULES,
		mouldInputs,
		planMould,
		reliefWords,
		rubberChoices,
		sideBySide,
		USUAL_CLOSING,
		type MouldInputs,
		type MouldPlan,
		type MouldState
	} from '$lib/core/mould';
	import {
		flashOffS,
		type ReleaseRecord,
		type FillerRecord,
		type ResinRecord,
		type RubberRecord,
		type ThermoplasticRecord
	} from '$lib/core/shelf';
	import type { WorkshopSettings } from '$lib/core/workshop';
	import AnswerOutline from './AnswerOutline.svelte';
	import AnswerPane from './AnswerPane.svelte';
	import Save from './Save.svelte';
	import AddInPlace from './shelf/AddInPlace.svelte';
	import ChoiceField from './ChoiceField.svelte';
	import { benchForm } from './form';
	import Folded from './Folded.svelte';
	import FormErrors from './FormErrors.svelte';
	import Island from './island/Island.svelte';
	import CutList from './mould/CutList.svelte';
	import KindPicker from './mould/KindPicker.svelte';
	import KindFields from './mould/KindFields.svelte';
	import MouldAnswer from './mould/MouldAnswer.svelte';
	import MouldDrawing from './mould/MouldDrawing.svelte';
	import RubberChoices from './mould/RubberChoices.svelte';
	import SprueFields from './mould/SprueFields.svelte';
	import TextField from './TextField.svelte';
	import { useUnits } from './units.svelte';
	import { rubberFigure } from './mould/rubberFigure';

	type Kept<R> = readonly { id: string; record: R }[];
	interface Props {
		data: SuperValidated<MouldInputs>;
		shelf: {
			masters: Kept<MasterRecord>;
			rubbers: Kept<RubberRecord>;
			thermoplastics: Kept<ThermoplasticRecord>;
			resins: Kept<ResinRecord>;
			fillers: Kept<FillerRecord>;
			releases: Kept<ReleaseRecord>;
			experiences: readonly Experience[];
		};
		/** Other moulds, for what this one may follow. */
		others: readonly { id: string; number: number; label: string; masterId: string; state: MouldState }[];
		settings: WorkshopSettings;
		submit: string;
		action?: string;
		nowMs: number;
		/** It is poured or being made: sizes stay. */
		fixed?: boolean;
		/** The mould's own id: it does not follow itself. */
		own?: string;
	}
	let { data, shelf, others, settings, submit, action, nowMs, fixed = false, own = '' }: Props = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting, message } = benchForm(() => data, { validators: zod4Client(mouldInputs) });

	const master = $derived(shelf.masters.find((m) => m.id === $form.masterId));
	const rubber = $derived(inRubber($form.kind) ? shelf.rubbers.find((r) => r.id === $form.rubberId) : undefined);
	const kind = $derived(MOULD_MODULES[$form.kind]);
	const from = $derived(MADE_OF[$form.kind]);
	const thermoplastic = $derived(from === 'thermoplastic' ? shelf.thermoplastics.find((t) => t.id === $form.thermoplasticId) : undefined);
	const resin = $derived(shelf.resins.find((r) => r.id === $form.pourResinId));
	const release = $derived(shelf.releases.find((r) => r.id === $form.releaseId));
	const materials = $derived({
		rubber: rubber?.record,
		thermoplastic: thermoplastic?.record,
		shellResin: shelf.resins.find((r) => r.id === $form.shellResinId)?.record,
		shellFiller: shelf.fillers.find((f) => f.id === $form.shellFillerId)?.record
	});
	/** The label follows the master until somebody writes another one. */
	function chooseMaster(id: string | undefined) {
		const before = master?.record.name ?? '';
		if ($form.label.trim() === '' || $form.label === before) {
			$form.label = shelf.masters.find((m) => m.id === id)?.record.name ?? '';
		}
		$form.masterId = id ?? '';
		$form.predecessorId = '';
	}
	/** Hottest that its resin makes the mould's face, °C; a long sum, made where it is asked for. */
	const faceC = $derived(resin ? faceTempC(resin.record, $form.roomTempC, master?.record.shape?.findings.thickestMm) : undefined);
	/** Fields that no sum is made of. */
	const WORDS = ['label', 'masterId', 'rubberId', 'thermoplasticId', 'rubberLot', 'place', 'note'];
	const outcome = $derived.by((): Outcome<{ plan: MouldPlan; mixing: ReturnType<typeof mixingOf> }> | undefined => {
		const waits = (from === 'rubber' && !rubber) || (from === 'thermoplastic' && !thermoplastic);
		if (!master || waits) return undefined;
		// a number out of range is said before any sum is made of it
		const wrong = mouldInputs.safeParse($form).error?.issues.find((i) => !WORDS.includes(String(i.path[0])));
		if (wrong) return refusal(wrong.message, String(wrong.path[0]));
		return outcomeOf(() => {
			const plan = planMould($form, master.record, materials, from === 'nothing' ? faceC : undefined);
			return { plan, mixing: mixingOf(plan, materials, $form.degas, settings) };
		});
	});
	const plan = $derived(outcome && valueOf(outcome)?.plan);
	/** A wrong field leaves the answer before it. */
	let last: { plan: MouldPlan; mixing: ReturnType<typeof mixingOf> } | undefined;
	const shown = $derived.by(() => {
		if (!outcome || outcome.ok) last = outcome && valueOf(outcome);
		return last;
	});
	const figure = $derived(shown && MOULD_MODULES[shown.plan.kind].figure(shown.plan));
	const problem = $derived(outcome?.ok === false ? outcome.errors[0] : undefined);
	const drawing = $derived(plan && master ? sideBySide(drawMould($form, plan, master.record, (v) => units.show(v, 'length'))) : undefined);
	/** Resins of the shelf that are known to harm in a mould of this, bare; each sentence names them. */
	function harmfulResins(of: Thing) {
		const said = shelf.resins.flatMap((r) =>
			pourMeetings({ resin: resinThing(r.id, r.record), moulds: [of] }, shelf.experiences)
				.filter((w) => w.severity === 'harm')
				.map((w) => ({ ...w, name: r.record.name }))
		);
		return [...new Set(said.map((w) => w.message))].map((text) => {
			const all = said.filter((w) => w.message === text);
			return { ...all[0]!, message: `${all.map((w) => w.name).join(', ')}: ${text}` };
		});
	}
	/** Everything that meets here: master, what the mould is made of and what is put between them. */
	const touching = $derived.by(() => {
		if (!master) return [];
		const m = masterThing(master.record.material, master.record.sealing !== 'none');
		const of = kind.thing($form, materials);
		if (!of) return [];
		const between = release && releaseThing(release.id, release.record);
		return [
			...whatMeets(m, of, shelf.experiences),
			...(between ? [...whatMeets(between, of, shelf.experiences), ...whatMeets(between, m, shelf.experiences)] : []),
			...(kind.refusesResin ? [] : harmfulResins(of))
		];
	});
	const choices = $derived(
		master
			? rubberChoices(
					{
						kind: $form.kind,
						master: master.record,
						undercutDepthMm: master.record.shape?.findings.undercutDepthMm,
						faceTempC: faceC,
						degas: $form.degas,
						inPot: $form.inPot === 'yes'
					},
					shelf.rubbers,
					shelf.experiences
				)
			: []
	);
	const closed = $derived(plan && closingOf({ inputs: $form, plan }));
	const reliefs = $derived(master ? reliefWords(master.record.traps) : []);
	const MINE: Partial<Record<string, keyof MouldInputs>> = { masterVolumeMl: 'masterId', master: 'masterId', workingTimeS: 'rubberId' };
	/** What is wrong at a field: from the sums as they stand, else from the schema or the server. */
	function said(field: keyof MouldInputs): string[] | undefined {
		const at = problem?.path.split('.')[0];
		if (at !== undefined && (MINE[at] ?? at) === field) return [problem!.message];
		return $errors[field] as string[] | undefined;
	}
	const family = $derived(others.filter((o) => o.masterId === $form.masterId && o.id !== own));
</script>

<form method="POST" {action} use:enhance class="grid gap-5 lg:grid-cols-[1fr_24rem]">
	<div class="slab h-fit min-w-0 p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<ChoiceField
				label="Round which master"
				name="masterId"
				bind:value={() => $form.masterId, chooseMaster}
				placeholder="Choose a master"
				options={shelf.masters.map((m) => ({ value: m.id, label: m.record.name }))}
				error={said('masterId')} />
			<p class="soft self-center">
				{#if master}<a class="plain" href="/moulds/choose?master={master.id}">Which way suits this master?</a>{:else}<a
						class="plain"
						href="/moulds/choose">Not sure which way?</a
					>{/if}
			</p>
		</div>
		{#if !fixed}
			<KindPicker bind:value={$form.kind} />
		{/if}
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			{#if inRubber($form.kind)}
				<ChoiceField
					label="In which rubber"
					name="rubberId"
					bind:value={$form.rubberId}
					placeholder="Choose a rubber"
					options={shelf.rubbers.map((r) => ({ value: r.id, label: r.record.name }))}
					error={said('rubberId')}>
					{#snippet add()}<AddInPlace kind="rubber" {form} field="rubberId" />{/snippet}
				</ChoiceField>
			{/if}
			{#if kind.words.release}
				<ChoiceField
					label={kind.words.release}
					name="releaseId"
					bind:value={$form.releaseId}
					options={[{ value: '', label: 'None' }, ...shelf.releases.map((r) => ({ value: r.id, label: r.record.name }))]}
					error={said('releaseId')}
					hint={release
						? `flashes off ${flashOffS(release.record) === 0 ? 'at once' : `in ${units.show(flashOffS(release.record), 'time')}`}; wet, it leaves pinholes`
						: ''}>
					{#snippet add()}<AddInPlace kind="release" {form} field="releaseId" />{/snippet}
				</ChoiceField>
			{/if}
		</div>
		{#if inRubber($form.kind) && master && shelf.rubbers.length > 0 && !fixed}
			<Folded class="mb-3" look="font-semibold text-(--work)" summary="Every rubber on the shelf for this master">
				<RubberChoices {choices} chosen={$form.rubberId} onpick={(id) => ($form.rubberId = id)} />
			</Folded>
		{/if}
		<Island>
			{#if !fixed}
				<KindFields
					{form}
					{said}
					thermoplastics={shelf.thermoplastics}
					resins={shelf.resins}
					fillers={shelf.fillers}
					{plan}
					areaFromFile={master?.record.shape !== undefined} />
			{/if}
		</Island><Island lateRoom="26rem">
			{#if drawing && master}
				<div class="my-2 rounded-lg border border-(--line) p-2">
					<MouldDrawing {drawing} label="Section and plan of the mould round {master.record.name}, to scale" />
					<p class="soft text-center text-[0.93rem]">To scale. Orange: where it opens. Green: pour opening, vents, level of the pour.</p>
				</div>
			{/if}
			{#if plan}
				<details class="mb-3" open>
					<summary class="font-semibold text-(--work)">What to cut and count out</summary>
					<CutList {plan} />
				</details>
			{/if}
			{#if kind.asksForSprue}<SprueFields {form} {said} {master} resins={shelf.resins} />{/if}
		</Island><Island lateRoom="20rem">
			<h2 class="mt-2 mb-2">Opening and closing</h2>
			<div class="grid gap-x-5 gap-y-1 sm:grid-cols-[16rem_1fr]">
				<ChoiceField
					label="Closed for a pour with"
					name="closing"
					bind:value={$form.closing}
					options={[
						{ value: 'usual', label: `${CLOSING_WORDS[USUAL_CLOSING[$form.kind]]} (usual)` },
						...CLOSINGS.map((c) => ({ value: c, label: CLOSING_WORDS[c] }))
					]}
					error={said('closing')} />
				<p class="self-center">
					{#if closed}<strong>{closed.how}</strong> <span class="soft">{closed.little} {closed.much}</span>{/if}
					{#if plan?.seam}<span class="soft"
							>Cut wavy, never a sharp corner; leave a hinge of {units.show(plan.seam.hingeMm, 'length')} uncut on the far side.</span
						>{/if}
					{#if reliefs.length > 0 && from !== 'nothing'}<span class="soft">Relief cuts {reliefs.join('; ')}.</span>{/if}
				</p>
			</div>
			<div class="mt-2 grid gap-x-5 gap-y-1 sm:grid-cols-2">
				<TextField label="Label on the mould" name="label" bind:value={$form.label} error={said('label')} />
				<TextField label="Kept where" name="place" bind:value={$form.place} error={said('place')} hint="such as shelf 2, left" />
				{#if inRubber($form.kind)}<TextField
						label="Lot of the rubber"
						name="rubberLot"
						bind:value={$form.rubberLot}
						error={said('rubberLot')}
						hint="as its tin says" />{/if}
				{#if family.length > 0}
					<ChoiceField
						label="Follows"
						name="predecessorId"
						bind:value={$form.predecessorId}
						options={[{ value: '', label: 'no other mould' }, ...family.map((o) => ({ value: o.id, label: `M${o.number} ${o.label}` }))]}
						error={said('predecessorId')} />
				{/if}
			</div>
			<TextField label="Note" name="note" bind:value={$form.note} error={said('note')} />
		</Island>
		<div class="flex items-center gap-4">
			<Save label={submit} submitting={$submitting} />
			<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
		</div>
	</div>
	<AnswerPane
		label={kind.words.answer}
		value={figure && shown && rubberFigure(units, shown.plan, figure)}
		problem={outcome?.ok === false ? problem?.message : undefined}>
		<Island
			>{#if shown}
				<MouldAnswer
					plan={shown.plan}
					inputs={$form}
					{materials}
					{settings}
					mixing={shown.mixing}
					touching={plan ? touching : []}
					{nowMs} />
			{/if}</Island>
		{#snippet empty()}
			<p class="soft">{kind.words.choose}</p>
			<AnswerOutline boxes={from === 'rubber' ? ['A', 'B'] : [kind.words.answer]} lines="Its box to scale, when it opens, what it costs" />
		{/snippet}
		{#snippet action()}<button type="submit" class="slim-action">{submit}</button>{/snippet}
	</AnswerPane>
</form>
