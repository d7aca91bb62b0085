<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { bPerAByVolume, bPerAByWeight } from '$lib/core/mix';
	import { mixable, resinRecord } from '$lib/core/shelf';
	import { digits } from '$lib/core/units';
	import Caution from '$lib/ui/Caution.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(resinRecord)
	});
	const FAMILIES = [
		'fast urethane',
		'slow urethane',
		'gradual urethane',
		'water-clear urethane',
		'flexible urethane',
		'epoxy'
	] as const;
	/** The third of the three figures that are tied, as soon as two are there. */
	const tied = $derived.by(() => {
		const { densityAGPerMl: a, densityBGPerMl: b, weightA, weightB, volumeA, volumeB } = $form;
		const checked = resinRecord.safeParse({
			...$form,
			name: 'x',
			family: 'fast urethane',
			potLifeS: 60,
			demouldS: 600,
			character: 'quick',
			viscosityMpaS: 100,
			note: ''
		});
		if (
			!checked.success ||
			!(a > 0) ||
			(weightA === undefined &&
				volumeA === undefined &&
				b === undefined &&
				weightB === undefined &&
				volumeB === undefined)
		)
			return undefined;
		const m = mixable(checked.data);
		return {
			weight: 100 * bPerAByWeight(m.ratio, m.densityAGPerMl, m.densityBGPerMl),
			volume: 100 * bPerAByVolume(m.ratio, m.densityAGPerMl, m.densityBGPerMl),
			densityB: m.densityBGPerMl
		};
	});
</script>

<PageHead title={data.resin?.record.name ?? 'New resin'} about="As its data sheet describes it." />
<form
	method="POST"
	action={data.resin ? `?version=${data.resin.version}` : undefined}
	use:enhance
	class="grid gap-5 lg:grid-cols-[1fr_20rem]"
>
	<div class="slab p-5">
		<FormErrors errors={$errors._errors} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
			<ChoiceField
				label="Family"
				name="family"
				bind:value={$form.family}
				options={FAMILIES.map((value) => ({ value, label: value }))}
				error={$errors.family}
			/>
		</div>
		<h2 class="mt-4 mb-1">Ratio</h2>
		<p class="soft mb-2">
			Give it by weight, by volume or both. With both densities the third figure is worked out; a
			contradiction is refused.
		</p>
		<div class="grid grid-cols-2 gap-x-5 gap-y-1 sm:grid-cols-4">
			<QuantityField
				label="A, weight"
				kind="number"
				name="weightA"
				bind:value={$form.weightA}
				error={$errors.weightA}
			/>
			<QuantityField
				label="B, weight"
				kind="number"
				name="weightB"
				bind:value={$form.weightB}
				error={$errors.weightB}
			/>
			<QuantityField
				label="A, volume"
				kind="number"
				name="volumeA"
				bind:value={$form.volumeA}
				error={$errors.volumeA}
			/>
			<QuantityField
				label="B, volume"
				kind="number"
				name="volumeB"
				bind:value={$form.volumeB}
				error={$errors.volumeB}
			/>
		</div>
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<QuantityField
				label="Density of A"
				kind="density"
				name="densityAGPerMl"
				bind:value={$form.densityAGPerMl}
				error={$errors.densityAGPerMl}
				hint="or in³/lb"
			/>
			<QuantityField
				label="Density of B"
				kind="density"
				name="densityBGPerMl"
				bind:value={$form.densityBGPerMl}
				error={$errors.densityBGPerMl}
				hint="may be left out when both ratios are given"
			/>
		</div>
		<h2 class="mt-4 mb-2">Cure</h2>
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField
				label="Pot life"
				kind="time"
				name="potLifeS"
				bind:value={$form.potLifeS}
				error={$errors.potLifeS}
			/>
			<QuantityField
				label="for a mass of"
				kind="mass"
				name="potLifeMassG"
				bind:value={$form.potLifeMassG}
				error={$errors.potLifeMassG}
			/>
			<QuantityField
				label="at"
				kind="temperature"
				name="potLifeTempC"
				bind:value={$form.potLifeTempC}
				error={$errors.potLifeTempC}
			/>
			<QuantityField
				label="Demould"
				kind="time"
				name="demouldS"
				bind:value={$form.demouldS}
				error={$errors.demouldS}
			/>
			<QuantityField
				label="for a section of"
				kind="length"
				name="demouldSectionMm"
				bind:value={$form.demouldSectionMm}
				error={$errors.demouldSectionMm}
				hint="6 mm is a default"
			/>
			<QuantityField
				label="Viscosity, mixed"
				kind="viscosity"
				name="viscosityMpaS"
				bind:value={$form.viscosityMpaS}
				error={$errors.viscosityMpaS}
			/>
		</div>
		<Segments
			label="It sets"
			name="character"
			bind:value={$form.character}
			options={[
				{ value: 'snap', label: 'Snap: liquid, then all at once' },
				{ value: 'quick', label: 'Quick' },
				{ value: 'gradual', label: 'Gradual' }
			]}
		/>
		<div class="mt-3">
			<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
		</div>
		<div class="flex items-center gap-4">
			<Button type="submit" size="lg" disabled={$submitting}
				>{$submitting ? 'Saving' : 'Keep this resin'}</Button
			>
			<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
		</div>
	</div>
	<aside class="slab flex h-fit flex-col gap-4 p-5" aria-live="polite">
		{#if tied}
			<div>
				<p class="label">A : B by weight</p>
				<p class="answer mt-1 text-[2.2rem]">100 : {digits(tied.weight, 1)}</p>
			</div>
			<div>
				<p class="label">A : B by volume</p>
				<p class="answer mt-1 text-[2.2rem]">100 : {digits(tied.volume, 1)}</p>
			</div>
			<p class="soft">B at {digits(tied.densityB, 3)} g/ml. a/b = (va/vb)·(ρA/ρB)</p>
		{:else}<p class="soft">Both ratios appear here once the ratio and the densities agree.</p>{/if}
		<Caution topics={[$form.family === 'epoxy' ? 'epoxy' : 'isocyanate']} />
	</aside>
</form>
