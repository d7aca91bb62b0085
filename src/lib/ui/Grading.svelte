<script lang="ts">
	import {
		GRADE_WORDS,
		GRADES,
		shrinkagePercent,
		WALL_SPOT_WORDS,
		WALL_SPOTS,
		wallStands,
		type WallSpot,
		type CastFindings,
		type CastPicture,
		type Grade
	} from '$lib/core/bench';
	import type { castFindings } from '$lib/core/bench/events';
	import type { PourPlan } from '$lib/core/plan';
	import { FAULT_WORDS, FAULTS, type Fault } from '$lib/core/faults';
	import CastPictures from './pour/CastPictures.svelte';
	import ChoiceField from './ChoiceField.svelte';
	import QuantityField from './QuantityField.svelte';
	import Segments from './Segments.svelte';
	import TextField from './TextField.svelte';
	import { useUnits } from './units.svelte';

	/** Grade, faults and note of one mould's cast. */
	interface Props {
		title: string;
		grade: Grade | '';
		faults: Fault[];
		note: string;
		findings: CastFindings;
		/** Nothing where nobody keeps them, as in practice. */
		pictures?: CastPicture[] | undefined;
		references?: readonly { name: string; lengthMm: number }[];
		/** Wall of a hollow cast as it was planned, mm: then it is measured at its spots. */
		wallMm?: number | undefined;
		/** Its rim as it was planned. */
		rim?: PourPlan['rim'] | undefined;
		id: string;
		wanting?: boolean;
		/** What a finding must be; until it is here nothing is refused at this device. */
		rules?: typeof castFindings | undefined;
	}
	let {
		title,
		grade = $bindable(),
		faults = $bindable(),
		note = $bindable(),
		findings = $bindable(),
		pictures = $bindable(),
		references = [],
		wallMm,
		rim,
		id,
		wanting = false,
		rules
	}: Props = $props();
	const units = useUnits();
	const toggle = (fault: Fault) => (faults = faults.includes(fault) ? faults.filter((f) => f !== fault) : [...faults, fault]);
	const set = (part: Partial<CastFindings>) => (findings = { ...findings, ...part });
	function measure(spot: WallSpot, mm: number | undefined) {
		const { [spot]: _before, ...others } = findings.wallsMm ?? {};
		const wallsMm = mm === undefined ? others : { ...others, [spot]: mm };
		const { wallsMm: _walls, ...rest } = findings;
		findings = Object.keys(wallsMm).length > 0 ? { ...rest, wallsMm } : rest;
	}
	const problems = $derived.by(() => {
		const parsed = rules?.safeParse(findings);
		return !parsed || parsed.success ? {} : Object.fromEntries(parsed.error.issues.map((i) => [String(i.path.at(-1)), [i.message]]));
	});
	const shrunk = $derived(shrinkagePercent(findings));
	const noteError = $derived(note.length > 2000 ? [`This note has ${note.length} characters: at most 2000 are kept.`] : undefined);
</script>

<section class="slab p-4 text-left">
	<div class="flex flex-wrap items-end gap-x-6 gap-y-2">
		<Segments label={title} name="grade-{id}" bind:value={grade} options={GRADES.map((value) => ({ value, label: GRADE_WORDS[value] }))} />
		{#if wanting && !grade}<p class="font-semibold text-(--harm)" role="alert">Choose a grade for this one.</p>{/if}
	</div>
	{#if grade && grade !== 'good'}
		<div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="Faults">
			{#each FAULTS as fault (fault)}
				<button
					type="button"
					aria-pressed={faults.includes(fault)}
					class={[
						'min-h-[2.5rem] cursor-pointer rounded-full border-[1.5px] px-4 font-semibold',
						faults.includes(fault) ? 'border-(--work) bg-(--work) text-(--work-ink)' : 'border-(--line-strong) bg-(--paper)'
					]}
					onclick={() => toggle(fault)}>{FAULT_WORDS[fault]}</button>
			{/each}
		</div>
	{/if}
	{#if grade && grade !== 'good' && faults.length > 0}
		<div class="mt-2 grid gap-x-4 sm:grid-cols-2">
			{#each faults as fault (fault)}
				<TextField
					label="Where: {FAULT_WORDS[fault]}"
					name="place-{id}-{fault}"
					bind:value={
						() => findings.places?.[fault as never] ?? '',
						(v) => set({ places: { ...findings.places, [fault]: v ?? '' } as NonNullable<CastFindings['places']> })
					}
					error={problems[fault]} />
			{/each}
		</div>
	{/if}
	{#if pictures}<CastPictures bind:pictures faults={grade && grade !== 'good' ? faults : []} {title} />{/if}
	<details class="mt-2">
		<summary class="w-fit font-semibold">Weight, size, mending</summary>
		<div class="mt-1 grid gap-x-4 sm:grid-cols-3">
			<QuantityField
				label="The cast weighs"
				kind="mass"
				name="castMass-{id}"
				bind:value={() => findings.castMassG, (v) => set({ castMassG: v })}
				error={problems['castMassG']} />
			{#if references.length > 0}
				<ChoiceField
					label="Measured"
					name="sizeOf-{id}"
					bind:value={
						() => findings.sizeOf ?? '', (v) => set({ sizeOf: v || undefined, masterMm: references.find((r) => r.name === v)?.lengthMm })
					}
					options={[{ value: '', label: 'Nothing' }, ...references.map((r) => ({ value: r.name, label: r.name }))]} />
				{#if findings.sizeOf}<QuantityField
						label="It is"
						kind="length"
						name="size-{id}"
						bind:value={() => findings.sizeMm, (v) => set({ sizeMm: v })}
						error={problems['sizeMm']}
						hint={shrunk === undefined
							? ''
							: `${Math.abs(shrunk).toFixed(2)} % ${shrunk < 0 ? 'larger' : 'smaller'} than the master`} />{/if}
			{/if}
			<QuantityField
				label="Mending took"
				kind="time"
				name="rework-{id}"
				bind:value={() => findings.reworkS, (v) => set({ reworkS: v })}
				error={problems['reworkS']} />
		</div>
	</details>
	{#if wallMm !== undefined}
		<details class="mt-2">
			<summary class="w-fit font-semibold">Wall, planned {units.show(wallMm, 'length')}</summary>
			<div class="mt-1 grid grid-cols-2 gap-x-4 sm:grid-cols-5">
				{#each WALL_SPOTS as spot (spot)}
					{@const at = findings.wallsMm?.[spot]}
					<QuantityField
						label={WALL_SPOT_WORDS[spot]}
						kind="length"
						name="wall-{id}-{spot}"
						bind:value={() => at, (v) => measure(spot, v)}
						error={problems[spot]}
						hint={at === undefined || !Number.isFinite(at) ? '' : wallStands(at, spot === 'rim' ? (rim?.thickMm ?? wallMm) : wallMm)} />
				{/each}
				{#if rim}<QuantityField
						label="Rim, high"
						kind="length"
						name="rim-{id}"
						bind:value={() => findings.rimHighMm, (v) => set({ rimHighMm: v })}
						error={problems['rimHighMm']}
						hint="{units.show(rim.highMm, 'length')} planned" />{/if}
			</div>
		</details>
	{/if}
	<div class="mt-2">
		<TextField label="Note" name="note-{id}" bind:value={note} error={noteError} hint="where, and what you would do next time" />
	</div>
</section>
