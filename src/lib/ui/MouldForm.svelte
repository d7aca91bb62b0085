<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { SuperValidated } from 'sveltekit-superforms';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { fieldErrors, type FieldError } from '$lib/core/fieldErrors';
	import { masterThing, releaseThing, rubberThing, whatMeets, type Experience } from '$lib/core/compat';
	import { cup } from '$lib/core/cure';
	import { sprue as fillThrough, type SprueResult } from '$lib/core/flow';
	import { masterVolumeMl, type MasterRecord } from '$lib/core/master';
	import { mouldInputs, planMould, type MouldPlan, type MouldInputs } from '$lib/core/mould';
	import {
		cureOf,
		flashOffS,
		mixedDensityGPerMl,
		viscosityOf,
		type ReleaseRecord,
		type ResinRecord,
		type RubberRecord
	} from '$lib/core/shelf';
	import Answer from './Answer.svelte';
	import Caution from './Caution.svelte';
	import ChoiceField from './ChoiceField.svelte';
	import { benchForm } from './form';
	import FormErrors from './FormErrors.svelte';
	import MouldSection from './MouldSection.svelte';
	import Parts from './Parts.svelte';
	import QuantityField from './QuantityField.svelte';
	import Segments from './Segments.svelte';
	import TextField from './TextField.svelte';
	import { useUnits } from './units.svelte';
	import Warnings from './Warnings.svelte';
	import { wallTime } from './clockText';
	import Working from './Working.svelte';

	interface Props {
		data: SuperValidated<MouldInputs>;
		masters: readonly { id: string; record: MasterRecord }[];
		rubbers: readonly { id: string; record: RubberRecord }[];
		resins: readonly { id: string; record: ResinRecord }[];
		releases: readonly { id: string; record: ReleaseRecord }[];
		experiences: readonly Experience[];
		submit: string;
		action?: string;
		nowMs: number;
		/** Rubber is poured: sizes stay. */
		fixed?: boolean;
	}
	let { data, masters, rubbers, resins, releases, experiences, submit, action, nowMs, fixed = false }: Props = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting } = benchForm(() => data, {
		validators: zod4Client(mouldInputs)
	});

	const master = $derived(masters.find((m) => m.id === $form.masterId));
	const rubber = $derived(rubbers.find((r) => r.id === $form.rubberId));
	/** The label follows the master until somebody writes another one. */
	function chooseMaster(id: string | undefined) {
		const before = masters.find((m) => m.id === $form.masterId)?.record.name ?? '';
		if ($form.label.trim() === '' || $form.label === before) {
			$form.label = masters.find((m) => m.id === id)?.record.name ?? '';
		}
		$form.masterId = id ?? '';
	}
	type Outcome = { plan?: MouldPlan; problem?: string; at?: string };
	const outcome = $derived.by((): Outcome => {
		if (!master || !rubber) return {};
		try {
			return { plan: planMould($form, master.record, rubber.record) };
		} catch (error) {
			const first = fieldErrors(error)?.[0];
			if (!first) throw error;
			return { problem: first.message, at: first.path };
		}
	});
	const plan = $derived(outcome.plan);
	const release = $derived(releases.find((r) => r.id === $form.releaseId));
	/** Everything that meets here: master, rubber and what is put between them. */
	const touching = $derived.by(() => {
		if (!master || !rubber) return [];
		const [m, r] = [masterThing(master.record.material), rubberThing(rubber.id, rubber.record)];
		const between = release && releaseThing(release.id, release.record);
		return [
			...whatMeets(m, r, experiences),
			...(between ? [...whatMeets(between, r, experiences), ...whatMeets(between, m, experiences)] : [])
		];
	});
	/** Seconds that mixing takes before the pour can begin (common practice, no source). */
	const MIX_S = 45;
	/** Places of the master that want a vent; what is squeezed, brushed or tilted needs none. */
	const vents = $derived(master?.record.traps.filter((t) => t.cure === 'vent') ?? []);
	const resin = $derived(resins.find((r) => r.id === $form.pourResinId));
	/** How one copy runs through its sprue before the resin is too thick. */
	const filled = $derived.by((): { result?: SprueResult; problems: FieldError[] } => {
		if (!master || !resin) return { problems: [] };
		try {
			const volumeMl = masterVolumeMl(master.record);
			const tempC = $form.roomTempC;
			const massG = volumeMl * mixedDensityGPerMl(resin.record);
			const { potLifeS } = cup({ resin: cureOf(resin.record), massG, startTempC: tempC, roomTempC: tempC });
			const result = fillThrough({
				volumeMl,
				diameterMm: $form.sprueDiameterMm,
				lengthMm: $form.sprueLengthMm,
				viscosityMpaS: viscosityOf(resin.record, tempC),
				densityGPerMl: mixedDensityGPerMl(resin.record),
				remainingS: Math.max(1, potLifeS - MIX_S)
			});
			return { result, problems: [] };
		} catch (error) {
			const problems = fieldErrors(error);
			if (!problems) throw error;
			return { problems };
		}
	});
	const filling = $derived(filled.result);
	const sprueProblem = (path: 'diameterMm' | 'lengthMm', field: 'sprueDiameterMm' | 'sprueLengthMm') => {
		const live = filled.problems.find((p) => p.path === path)?.message;
		return live ? [live] : $errors[field];
	};
	const partingProblem = $derived(outcome.at === 'partingMm' ? [outcome.problem!] : $errors.partingMm);
	/** A master that does not fit is said at the master, not at a number that nobody typed. */
	const masterProblem = $derived(outcome.at?.startsWith('master') ? [outcome.problem!] : $errors.masterId);
</script>

<form method="POST" {action} use:enhance class="grid gap-5 lg:grid-cols-[1fr_24rem]">
	<div class="slab h-fit p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<ChoiceField
				label="Round which master"
				name="masterId"
				bind:value={() => $form.masterId, chooseMaster}
				placeholder="Choose a master"
				options={masters.map((m) => ({ value: m.id, label: m.record.name }))}
				error={masterProblem} />
			<ChoiceField
				label="In which rubber"
				name="rubberId"
				bind:value={$form.rubberId}
				placeholder="Choose a rubber"
				options={rubbers.map((r) => ({ value: r.id, label: r.record.name }))}
				error={$errors.rubberId} />
			<ChoiceField
				label="Release on the master"
				name="releaseId"
				bind:value={$form.releaseId}
				options={[{ value: '', label: 'None' }, ...releases.map((r) => ({ value: r.id, label: r.record.name }))]}
				error={$errors.releaseId}
				hint={release
					? `flashes off ${flashOffS(release.record) === 0 ? 'at once' : `in ${units.show(flashOffS(release.record), 'time')}`}; wet, it leaves pinholes`
					: ''} />
			<p class="soft self-center"><a class="plain" href="/shelf/meets">What may touch what</a>: always a small trial patch first.</p>
		</div>
		{#if !fixed}
			<div class="mb-3 grid items-start gap-x-5 gap-y-1 sm:grid-cols-[auto_1fr]">
				<Segments
					label="It opens"
					name="kind"
					bind:value={$form.kind}
					options={[
						{ value: 'one-piece', label: 'By a cut seam' },
						{ value: 'open-face', label: 'At its flat back' },
						{ value: 'two-part', label: 'In two halves' }
					]} />
				{#if $form.kind === 'two-part'}
					<QuantityField
						label="Halves part at"
						kind="length"
						name="partingMm"
						bind:value={$form.partingMm}
						error={partingProblem}
						hint={$form.partingMm === undefined ? 'the middle of its height' : 'above its lowest point'} />
				{/if}
			</div>
			<div class="grid grid-cols-2 gap-x-5 gap-y-1 sm:grid-cols-[auto_1fr_1fr_1fr_1fr]">
				<div class="col-span-2 sm:col-span-1">
					<Segments
						label="Boxed in a"
						name="shape"
						bind:value={$form.shape}
						options={[
							{ value: 'box', label: 'Box' },
							{ value: 'tube', label: 'Tube' }
						]} />
				</div>
				<QuantityField label="Clearance" kind="length" name="clearanceMm" bind:value={$form.clearanceMm} error={$errors.clearanceMm} />
				<QuantityField label="Cover" kind="length" name="coverMm" bind:value={$form.coverMm} error={$errors.coverMm} />
				<QuantityField label="Cup loss" kind="percent" name="lossPercent" bind:value={$form.lossPercent} error={$errors.lossPercent} />
				<QuantityField label="Room" kind="temperature" name="roomTempC" bind:value={$form.roomTempC} error={$errors.roomTempC} />
			</div>
		{/if}
		{#if plan && master}
			<div class="my-2 rounded-lg border border-(--line) p-2">
				<MouldSection
					cavity={plan.cavity}
					master={master.record}
					clearanceMm={$form.clearanceMm}
					coverMm={$form.coverMm}
					partingMm={plan.partingMm} />
			</div>
		{/if}
		<h2 class="mt-2 mb-2">Sprue and vents</h2>
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<ChoiceField
				label="Mostly poured with"
				name="pourResinId"
				bind:value={$form.pourResinId}
				options={[{ value: '', label: 'Not known yet' }, ...resins.map((r) => ({ value: r.id, label: r.record.name }))]}
				error={$errors.pourResinId} />
			<QuantityField
				label="Sprue, wide"
				kind="length"
				name="sprueDiameterMm"
				bind:value={$form.sprueDiameterMm}
				error={sprueProblem('diameterMm', 'sprueDiameterMm')} />
			<QuantityField
				label="Sprue, long"
				kind="length"
				name="sprueLengthMm"
				bind:value={$form.sprueLengthMm}
				error={sprueProblem('lengthMm', 'sprueLengthMm')}
				hint="through the cover to the cavity" />
		</div>
		{#if filling}
			<p class="text-[1.15rem]" role="status">
				<strong>Fills in {units.show(filling.fillS, 'time')}</strong>
				<span class="soft">through this sprue, {units.show(filling.sprueVolumeMl, 'volume')} in it</span>
			</p>
			<Warnings warnings={filling.warnings} />
			<Working lines={filling.working} />
		{/if}
		{#if master}
			<p class="mt-2 mb-3">
				{#if vents.length === 0 && master.record.shape}<span class="soft"
						>Its 3D file shows no pocket of air in its pouring position: no vent is needed.</span
					>{:else if vents.length === 0}<span class="soft"
						>No place of this master is noted for a vent. <a class="plain" href="/masters/{master.id}/look">Look it over</a> or give it its
						<a class="plain" href="/masters/{master.id}/shape">3D file</a>.</span
					>{:else}<strong>{vents.length === 1 ? 'One vent' : `${vents.length} vents`}</strong>, about 3 mm wide (common practice), at: {vents
						.slice(0, 6)
						.map((t) => t.place)
						.join(', ')}{vents.length > 6 ? ' …' : ''}.{/if}
			</p>
		{/if}
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<TextField label="Label on the mould" name="label" bind:value={$form.label} error={$errors.label} />
			<TextField label="Kept where" name="place" bind:value={$form.place} error={$errors.place} placeholder="shelf 2, left" />
		</div>
		<TextField label="Note" name="note" bind:value={$form.note} error={$errors.note} />
		<Button type="submit" size="lg" disabled={$submitting}>{$submitting ? 'Saving' : submit}</Button>
	</div>
	<aside class="slab flex h-fit flex-col gap-4 p-5" aria-live="polite">
		{#if plan}
			<Answer
				label="Rubber to mix"
				value={units.show(plan.rubber.massG, 'mass')}
				note="{units.other(plan.rubber.massG, 'mass')} · {units.show(plan.rubber.volumeMl, 'volume')}" />
			{#if plan.first && plan.second && plan.clay}
				<h2>First half, on the clay</h2>
				<Parts a={plan.first.a} b={plan.first.b} />
				<h2>Second half, where the clay was</h2>
				<Parts a={plan.second.a} b={plan.second.b} />
				<p class="soft">
					Bed it in {units.show(plan.clay.massG, 'mass')} of sulphur-free clay ({units.show(plan.clay.volumeMl, 'volume')}), keys pressed
					in.
				</p>
			{:else}
				<Parts a={plan.a} b={plan.b} />
			{/if}
			<dl class="grid grid-cols-2 gap-x-4 gap-y-2">
				<div>
					<dt class="soft text-[0.9rem]">Inside the box</dt>
					<dd class="text-[1.2rem] font-bold">{units.show(plan.grossVolumeMl, 'volume')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.9rem]">Rubber in it</dt>
					<dd class="text-[1.2rem] font-bold">{units.show(plan.netVolumeMl, 'volume')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.9rem]">Degassing vessel</dt>
					<dd class="text-[1.2rem] font-bold">{units.show(plan.degasVesselMl, 'volume')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.9rem]">Working time</dt>
					<dd class="text-[1.2rem] font-bold">{units.show(plan.workingTimeS, 'time')}</dd>
				</div>
				<div class="col-span-2">
					<dt class="soft text-[0.9rem]">Ready, if poured now</dt>
					<dd class="text-[1.2rem] font-bold">
						{wallTime(nowMs + plan.readyInS * 1000, nowMs)}
						<span class="soft font-normal">in {units.show(plan.readyInS, 'time')}</span>
					</dd>
				</div>
			</dl>
			<Warnings warnings={[...touching, ...plan.warnings]} />
			<Working lines={plan.working} />
			<p class="soft text-[0.92rem]">
				A {plan.cavity.shape === 'box' ? 'tube' : 'box'} with the same clearance takes {units.show(plan.otherShapeNetMl, 'volume')} of rubber.
			</p>
			<Caution topics={['silicone', 'vacuum']} />
		{:else if outcome.problem}
			<p class="font-semibold text-(--harm)">{outcome.problem}</p>
		{:else}
			<p class="soft">Choose a master and a rubber: the rubber to mix appears here.</p>
		{/if}
	</aside>
</form>
