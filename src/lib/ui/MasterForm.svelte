<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { SvelteMap } from 'svelte/reactivity';
	import type { SuperValidated } from 'sveltekit-superforms';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import {
		draftProblems,
		hasDraft,
		MASTER_MATERIALS,
		masterForm,
		readingSoFar,
		readVolume,
		SEALINGS,
		SURFACES,
		type MasterForm
	} from '$lib/core/master';
	import { masterThing, releaseThing, rubberThing, whatMeets, type Experience } from '$lib/core/compatibility';
	import type { ReleaseRecord, RubberRecord } from '$lib/core/shelf';
	import AnswerPane from './AnswerPane.svelte';
	import Save from './Save.svelte';
	import AddInPlace from './shelf/AddInPlace.svelte';
	import ChoiceField from './ChoiceField.svelte';
	import { benchForm } from './form';
	import FormErrors from './FormErrors.svelte';
	import Island from './island/Island.svelte';
	import PhotoInput from './PhotoInput.svelte';
	import QuantityField from './QuantityField.svelte';
	import ReadingFields from './ReadingFields.svelte';
	import ReadingList from './ReadingList.svelte';
	import Segments from './Segments.svelte';
	import TextField from './TextField.svelte';
	import { useUnits } from './units.svelte';
	import Warnings from './Warnings.svelte';
	import Working from './Working.svelte';

	interface Props {
		data: SuperValidated<MasterForm>;
		submit: string;
		densities: readonly { name: string; densityGPerMl: number }[];
		rubbers: readonly { id: string; record: RubberRecord }[];
		releases: readonly { id: string; record: ReleaseRecord }[];
		experiences: readonly Experience[];
	}
	let { data, submit, densities, rubbers, releases, experiences }: Props = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting } = benchForm(() => data, { validators: zod4Client(masterForm) });
	const drafted = $derived(readingSoFar($form));
	/** What the shots go by: the chosen reading, or the one that is being typed while there is none. */
	const reading = $derived($form.readings[$form.used] ?? drafted);
	const volume = $derived(reading && readVolume(reading));
	const listed = new SvelteMap<string, string[]>();
	/** Sentence at a field of the reading: what the form found, or what adding it found. */
	function problem(...path: (string | number)[]): string[] | undefined {
		let at: unknown = $errors;
		for (const key of path) at = (at as Record<string | number, unknown> | undefined)?.[key];
		const own = Array.isArray(at) ? (at as string[]) : (at as { _errors?: string[] } | undefined)?._errors;
		return own?.length ? own : listed.get(path.join('.'));
	}
	function addReading() {
		listed.clear();
		if (drafted) {
			$form.readings = [...$form.readings, { ...drafted, on: new Date().toISOString().slice(0, 10) }];
			Object.assign($form, {
				overflowMassG: undefined,
				beforeMl: undefined,
				afterMl: undefined,
				waterMassG: undefined,
				castMassG: undefined,
				volumeMl: undefined,
				pieces: [],
				remark: ''
			});
			return;
		}
		for (const p of draftProblems($form)) listed.set(p.path.join('.'), [p.message]);
	}
	/** What each rubber on the shelf makes of this master, with its sealing and its release. */
	const meets = $derived(
		rubbers.map((r) => {
			const thing = rubberThing(r.id, r.record);
			const release = releases.find((x) => x.id === $form.releaseId);
			const said = [
				...whatMeets(masterThing($form.material, $form.sealing !== 'none'), thing, experiences),
				...(release ? whatMeets(releaseThing(release.id, release.record), thing, experiences) : [])
			];
			return { id: r.id, name: r.record.name, said, harm: said.some((w) => w.severity === 'harm') };
		})
	);
	let photoError = $state('');
</script>

<form method="POST" enctype="multipart/form-data" use:enhance class="grid gap-5 lg:grid-cols-[1fr_21rem]">
	<div class="slab p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
			<ChoiceField
				label="Made of"
				name="material"
				bind:value={$form.material}
				options={MASTER_MATERIALS.map((value) => ({ value, label: value }))}
				error={$errors.material}
				hint="decides sealing and what rubber cures on it" />
			<ChoiceField
				label="Its surface"
				name="surface"
				bind:value={$form.surface}
				options={SURFACES.map((value) => ({ value, label: value }))}
				hint="goes straight into every copy" />
			<ChoiceField
				label="Sealed with"
				name="sealing"
				bind:value={$form.sealing}
				options={SEALINGS.map((value) => ({ value, label: value }))}
				hint="thin and buffed" />
			<ChoiceField
				label="Release on it"
				name="releaseId"
				bind:value={$form.releaseId}
				options={[{ value: '', label: 'none' }, ...releases.map((r) => ({ value: r.id, label: r.record.name }))]}>
				{#snippet add()}<AddInPlace kind="release" {form} field="releaseId" />{/snippet}
			</ChoiceField>
		</div>
		<Island>
			<h2 class="mt-4 mb-2">Outer sizes, as it stands on the base board</h2>
			<Segments
				label="Footprint"
				name="footprint"
				bind:value={$form.footprint}
				options={[
					{ value: 'rectangular', label: 'Rectangular' },
					{ value: 'round', label: 'Round' }
				]} />
			<div class="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
				<QuantityField
					label={$form.footprint === 'round' ? 'Diameter' : 'Length'}
					kind="length"
					name="lengthMm"
					bind:value={$form.lengthMm}
					error={$errors.lengthMm} />
				{#if $form.footprint !== 'round'}
					<QuantityField label="Width" kind="length" name="widthMm" bind:value={$form.widthMm} error={$errors.widthMm} />
				{/if}
				<QuantityField label="Height" kind="length" name="heightMm" bind:value={$form.heightMm} error={$errors.heightMm} />
			</div>
		</Island><Island>
			<h2 class="mt-4 mb-2">Volume</h2>
			<ReadingList bind:readings={$form.readings} bind:used={$form.used} problem={($errors.used as string[] | undefined)?.[0]} />
			<ReadingFields bind:form={$form} {problem} {densities} />
			<div class="flex flex-wrap items-center gap-4">
				<Button color="alternative" onclick={addReading}>Add this reading to the list</Button>
				<span class="soft">{hasDraft($form) && drafted ? `${units.show(readVolume(drafted).volumeMl, 'volume')} by this one` : ''}</span>
			</div>
		</Island><Island>
			<h2 class="mt-5 mb-2">Sizes to measure copies against</h2>
			{#each $form.references as _, i (i)}
				<div class="grid grid-cols-[1fr_1fr_auto] items-start gap-x-4">
					<TextField
						label="What is measured"
						name="reference-{i}"
						bind:value={$form.references[i]!.name}
						error={problem('references', i, 'name')}
						hint="such as across the shoulders" />
					<QuantityField
						label="On the master"
						kind="length"
						name="referenceMm-{i}"
						bind:value={$form.references[i]!.lengthMm}
						error={problem('references', i, 'lengthMm')} />
					<Button
						color="alternative"
						class="mt-6 min-h-[2.75rem]"
						aria-label="Remove size {i + 1}"
						onclick={() => ($form.references = $form.references.filter((_, k) => k !== i))}>Remove</Button>
				</div>
			{/each}
			<Button color="alternative" onclick={() => ($form.references = [...$form.references, { name: '', lengthMm: undefined }])}
				>Add a size</Button>
			<div class="mt-3 grid gap-x-5 sm:grid-cols-2">
				<TextField label="Note" name="note" rows={3} bind:value={$form.note} error={$errors.note} />
				<PhotoInput label="Photo, if you like" bind:problem={photoError} />
			</div>
		</Island>
		<Save label={submit} submitting={$submitting} disabled={!!photoError} />
	</div>
	<AnswerPane label="Volume of one copy" value={volume ? units.show(volume.volumeMl, 'volume') : '–'} class="h-fit">
		<Island>
			<div>
				<p class="label">Volume of one copy</p>
				<p class="answer mt-2 text-[3.2rem] break-words">
					{volume ? units.show(volume.volumeMl, 'volume') : '–'}
				</p>
				{#if volume}
					<p class="soft mt-1">{units.other(volume.volumeMl, 'volume')}</p>
					<div class="mt-3"><Working lines={[volume.working]} open /></div>
				{:else}
					<p class="soft mt-2">
						It appears as soon as the fields beside it are filled. It may stay empty: a mould can be planned for the most rubber that it
						takes, and its water tells the volume. A shot waits for it.
					</p>
				{/if}
				{#if meets.length > 0}
					<h2 class="mt-5 mb-1">Under your rubbers</h2>
					<ul>
						{#each meets as m (m.id)}
							<li class="border-t border-(--line) py-1.5">
								{#if m.said.length === 0}<p>
										<strong>{m.name}:</strong> <span class="text-(--work)">nothing against it</span>
									</p>{:else}
									<details>
										<summary
											><strong>{m.name}:</strong>
											<span class={m.harm ? 'text-(--harm)' : 'text-(--hot)'}>{m.harm ? 'will not cure or bonds' : 'with care'}</span
											></summary>
										<Warnings warnings={m.said} />
									</details>{/if}
							</li>
						{/each}
					</ul>
					<p class="soft mt-1 text-[0.93rem]">Always a small trial patch first.</p>
				{/if}
			</div>
		</Island>
		{#snippet action()}<button type="submit" class="slim-action">{submit}</button>{/snippet}
	</AnswerPane>
</form>
