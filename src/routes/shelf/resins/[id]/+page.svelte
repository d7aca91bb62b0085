<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { CURE_DEFAULTS, RECOAT_CONVERSION } from '$lib/core/cure';
	import {
		catalystAmount,
		catalystInput,
		DEFAULT_CATALYST_DENSITY,
		DEFAULT_DROPS_PER_ML,
		MOST_DROPS_PER_ML,
		DEFAULT_FLOW_KJ_PER_MOL,
		flowEnergyKjPerMol,
		RATIO_TOLERANCE_PERCENT,
		viscosityAt
	} from '$lib/core/mix';
	import { cautionsFor } from '$lib/core/cautions';
	import { chemistryOf, isCatalysed, ratiosOf, resinRecord, resinSheet, USUAL_WORDS, usualOf, withUsual } from '$lib/core/shelf';
	import { digits, formatDrops } from '$lib/core/units';
	import Save from '$lib/ui/Save.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import ConstantFields, { CONSTANTS } from '$lib/ui/shelf/ConstantFields.svelte';
	import SurerFields from '$lib/ui/shelf/SurerFields.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import TypicalNote from '$lib/ui/shelf/TypicalNote.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(resinSheet)
	});
	const FAMILIES = resinSheet.shape.family.options;
	const catalysed = $derived(isCatalysed($form.family));
	const usual = $derived(usualOf('resin', $form));
	/** What is left empty and stands at what is usual for the family. */
	const taken = $derived(
		Object.keys(usual)
			.filter((field) => $form[field as keyof typeof $form] === undefined)
			.map((field) => USUAL_WORDS[field])
	);
	/** Both ratios, as soon as what is typed settles them; whatever else is still missing does not matter. */
	const ratios = $derived.by(() => {
		if (catalysed) return undefined;
		const stand = { name: 'x', potLifeS: 60, demouldS: 600, note: '' };
		const checked = resinRecord.safeParse(withUsual('resin', { ...$form, ...stand }));
		return checked.success ? ratiosOf(checked.data) : undefined;
	});
	/** The catalyst for 100 g of resin, once its figures are in range. */
	const catalyst = $derived.by(() => {
		const checked = catalystInput.safeParse({
			percent: $form.catalystPercent,
			densityGPerMl: $form.catalystDensityGPerMl,
			dropsPerMl: $form.dropsPerMl
		});
		return checked.success ? catalystAmount(100, $form.densityAGPerMl ?? usual.densityAGPerMl ?? 1, checked.data) : undefined;
	});
	const defaults = $derived({ ...CURE_DEFAULTS[chemistryOf($form.family)], recoatConversion: RECOAT_CONVERSION });
	/** What the cure engine still takes from its own defaults, said beside the sheet. */
	const stillDefault = $derived(
		CONSTANTS.filter(([field]) => $form[field] === undefined).map(([, label]) => label.split(',')[0]!.toLowerCase())
	);
	const flow = $derived.by(() => {
		const { viscosityMpaS, viscosity2MpaS, viscosity2TempC } = $form;
		const firstTempC = $form.viscosityTempC ?? $form.potLifeTempC ?? 23;
		if (viscosity2MpaS === undefined || viscosity2TempC === undefined) return undefined;
		const points = [
			{ tempC: firstTempC, viscosityMpaS: viscosityMpaS ?? usual.viscosityMpaS ?? NaN },
			{ tempC: viscosity2TempC, viscosityMpaS: viscosity2MpaS }
		];
		const energy = flowEnergyKjPerMol(points);
		return energy > 0 ? { energy, atRoom: viscosityAt(points, data.settings.roomTempC) } : undefined;
	});
</script>

<PageHead title={data.resin?.record.name ?? 'New resin'} about="As its data sheet describes it." />
<form
	method="POST"
	action={data.resin ? `?version=${data.resin.version}` : undefined}
	use:enhance
	class="grid gap-5 lg:grid-cols-[1fr_20rem]">
	<div class="slab p-5">
		<FormErrors errors={$errors._errors} />
		<TypicalNote bind:typical={$form.typical} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
			<ChoiceField
				label="Family"
				name="family"
				bind:value={$form.family}
				options={FAMILIES.map((value) => ({ value, label: value }))}
				error={$errors.family} />
		</div>
		<Island>
			{#if catalysed}
				<h2 class="mt-4 mb-2">Catalyst</h2>
				<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
					<QuantityField label="Gel time" kind="time" name="referenceGelS" bind:value={$form.referenceGelS} error={$errors.referenceGelS} />
					<QuantityField
						label="with catalyst of"
						kind="percent"
						name="referencePercent"
						bind:value={$form.referencePercent}
						error={$errors.referencePercent} />
					<QuantityField
						label="at"
						kind="temperature"
						name="referenceTempC"
						bind:value={$form.referenceTempC}
						error={$errors.referenceTempC}
						hint="25 °C unless said" />
					<QuantityField
						label="You use"
						kind="percent"
						name="catalystPercent"
						bind:value={$form.catalystPercent}
						error={$errors.catalystPercent}
						hint="of the resin, by weight" />
					<QuantityField
						label="Density of the catalyst"
						kind="density"
						name="catalystDensityGPerMl"
						bind:value={$form.catalystDensityGPerMl}
						error={$errors.catalystDensityGPerMl}
						inForce={DEFAULT_CATALYST_DENSITY}
						hint={$form.catalystDensityGPerMl === undefined ? 'a default, not from its sheet' : ''} />
					<QuantityField
						label="Drops in a millilitre"
						kind="number"
						name="dropsPerMl"
						bind:value={$form.dropsPerMl}
						error={$errors.dropsPerMl}
						hint="count with your dropper; droppers give {DEFAULT_DROPS_PER_ML} to {MOST_DROPS_PER_ML}" />
				</div>
				<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
					<QuantityField
						label="Density of the resin"
						kind="density"
						name="densityAGPerMl"
						bind:value={$form.densityAGPerMl}
						error={$errors.densityAGPerMl}
						usual={usual.densityAGPerMl} />
					<QuantityField
						label="Demould"
						kind="time"
						name="demouldS"
						bind:value={$form.demouldS}
						error={$errors.demouldS}
						onRange={(ends) => ([$form.demouldLowS, $form.demouldHighS] = [ends?.low, ends?.high])}
						hint="a range as it is printed, such as 3–4 h" />
					<QuantityField
						label="Viscosity"
						kind="viscosity"
						name="viscosityMpaS"
						bind:value={$form.viscosityMpaS}
						error={$errors.viscosityMpaS}
						usual={usual.viscosityMpaS} />
				</div>
			{:else}
				<h2 class="mt-4 mb-1">Ratio</h2>
				<p class="soft mb-2">
					Give it by weight, by volume or both. With both densities the third figure is worked out; a contradiction is refused.
				</p>
				<div class="grid grid-cols-2 gap-x-5 gap-y-1 sm:grid-cols-4">
					<QuantityField label="A, weight" kind="number" name="weightA" bind:value={$form.weightA} error={$errors.weightA} />
					<QuantityField label="B, weight" kind="number" name="weightB" bind:value={$form.weightB} error={$errors.weightB} />
					<QuantityField label="A, volume" kind="number" name="volumeA" bind:value={$form.volumeA} error={$errors.volumeA} />
					<QuantityField label="B, volume" kind="number" name="volumeB" bind:value={$form.volumeB} error={$errors.volumeB} />
				</div>
				<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
					<QuantityField
						label="Density of A"
						kind="density"
						name="densityAGPerMl"
						bind:value={$form.densityAGPerMl}
						error={$errors.densityAGPerMl}
						usual={usual.densityAGPerMl}
						hint="or in³/lb" />
					<QuantityField
						label="Density of B"
						kind="density"
						name="densityBGPerMl"
						bind:value={$form.densityBGPerMl}
						error={$errors.densityBGPerMl}
						usual={usual.densityBGPerMl}
						hint={usual.densityBGPerMl === undefined ? 'follows from both ratios' : ''} />
					<QuantityField
						label="Price of a kilogram"
						kind="number"
						name="pricePerKg"
						bind:value={$form.pricePerKg}
						error={$errors.pricePerKg}
						hint="if you want costs" />
				</div>
				<h2 class="mt-4 mb-2">Cure</h2>
				<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
					<QuantityField
						label="Pot life"
						kind="time"
						name="potLifeS"
						bind:value={$form.potLifeS}
						error={$errors.potLifeS}
						onRange={(ends) => ([$form.potLifeLowS, $form.potLifeHighS] = [ends?.low, ends?.high])}
						hint="a range as it is printed, such as 2–3 min" />
					<QuantityField
						label="for a mass of"
						kind="mass"
						name="potLifeMassG"
						bind:value={$form.potLifeMassG}
						error={$errors.potLifeMassG} />
					<QuantityField
						label="at"
						kind="temperature"
						name="potLifeTempC"
						bind:value={$form.potLifeTempC}
						error={$errors.potLifeTempC}
						onRange={() => {}} />
					<QuantityField
						label="Demould"
						kind="time"
						name="demouldS"
						bind:value={$form.demouldS}
						error={$errors.demouldS}
						onRange={(ends) => ([$form.demouldLowS, $form.demouldHighS] = [ends?.low, ends?.high])}
						hint="a range as it is printed, such as 3–4 h" />
					<QuantityField
						label="for a section of"
						kind="length"
						name="demouldSectionMm"
						bind:value={$form.demouldSectionMm}
						error={$errors.demouldSectionMm}
						hint="6 mm is a default" />
					<QuantityField
						label="Viscosity, mixed"
						kind="viscosity"
						name="viscosityMpaS"
						bind:value={$form.viscosityMpaS}
						error={$errors.viscosityMpaS}
						usual={usual.viscosityMpaS} />
				</div>
			{/if}
		</Island><Island>
			<Segments
				label="It sets"
				name="character"
				bind:value={$form.character}
				options={[
					{ value: 'snap', label: 'Snap: liquid, then all at once' },
					{ value: 'quick', label: 'Quick' },
					{ value: 'gradual', label: 'Gradual' }
				]} />
			<details class="mt-4">
				<summary class="font-semibold text-(--work)">Viscosity at a second temperature, colour and cured shade</summary>
				<div class="mt-2 grid gap-x-5 gap-y-1 sm:grid-cols-3">
					<QuantityField
						label="The viscosity is at"
						kind="temperature"
						name="viscosityTempC"
						bind:value={$form.viscosityTempC}
						error={$errors.viscosityTempC}
						inForce={$form.potLifeTempC}
						hint={$form.viscosityTempC === undefined ? 'the temperature of the pot life' : ''} />
					<QuantityField
						label="A second viscosity"
						kind="viscosity"
						name="viscosity2MpaS"
						bind:value={$form.viscosity2MpaS}
						error={$errors.viscosity2MpaS}
						hint={flow
							? `${digits(flow.atRoom, 0)} mPa·s at your room’s temperature`
							: `default ${DEFAULT_FLOW_KJ_PER_MOL} kJ/mol, not from your sheet`} />
					<QuantityField
						label="at"
						kind="temperature"
						name="viscosity2TempC"
						bind:value={$form.viscosity2TempC}
						error={$errors.viscosity2TempC} />
					<ChoiceField
						label="Cured without colour it is"
						name="curedShade"
						bind:value={$form.curedShade}
						options={(['not said', 'white', 'off-white', 'amber', 'clear', 'dark'] as const).map((value) => ({ value, label: value }))}
						error={$errors.curedShade} />
					{#if !catalysed}
						<QuantityField
							label="The ratio may be off by"
							kind="percent"
							name="ratioTolerancePercent"
							bind:value={$form.ratioTolerancePercent}
							error={$errors.ratioTolerancePercent}
							inForce={RATIO_TOLERANCE_PERCENT}
							hint={$form.ratioTolerancePercent === undefined ? '2 % is the usual, not from its sheet' : ''} />
						<ChoiceField
							label="Colour goes into"
							name="colourSide"
							bind:value={$form.colourSide}
							options={[
								{ value: 'B', label: 'B, as in most systems' },
								{ value: 'A', label: 'A' }
							]}
							error={$errors.colourSide} />
						<ChoiceField
							label="Mica goes into"
							name="micaSide"
							bind:value={$form.micaSide}
							options={[
								{ value: 'where colour goes', label: 'where colour goes' },
								{ value: 'A', label: 'A' },
								{ value: 'B', label: 'B' }
							]}
							error={$errors.micaSide} />
					{/if}
				</div>
			</details>
		</Island><Island>
			<SurerFields {form} errors={$errors} {catalysed} />
			<ConstantFields {form} errors={$errors} {defaults} />
		</Island>
		<div class="mt-3">
			<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
		</div>
		<div class="flex items-center gap-4">
			<Save label="Keep this resin" submitting={$submitting} />
			<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
		</div>
	</div>
	<aside class="slab flex h-fit flex-col gap-4 p-5 lg:sticky lg:top-0 lg:max-h-[calc(100dvh-4.6rem)] lg:overflow-y-auto">
		{#if ratios}
			<div>
				<p class="label">A : B by weight</p>
				<p class="answer mt-1 text-[2rem]">100 : {digits(ratios.weightB, 1)}</p>
			</div>
			<div>
				<p class="label">A : B by volume</p>
				<p class="answer mt-1 text-[2rem]">100 : {digits(ratios.volumeB, 1)}</p>
			</div>
			<p class="soft">B at {digits(ratios.densityBGPerMl, 3)} g/ml. a/b = (va/vb)·(ρA/ρB)</p>
		{:else if catalysed && $form.catalystPercent}
			<div>
				<p class="label">To 100 g of resin</p>
				<p class="answer mt-1 text-[2rem]">
					{catalyst ? formatDrops(catalyst.drops, catalyst.dropsMost) : '– drops'}
				</p>
			</div>
			<p class="soft">
				{digits($form.catalystPercent ?? 0)} % by weight is {catalyst ? digits(catalyst.mlPer100G) : '–'} ml to 100 g.
			</p>
		{:else}<p class="soft">Both ratios appear here once the ratio and the densities agree.</p>{/if}
		{#if taken.length > 0}<p>
				<strong>Usual for its kind, not from your sheet:</strong>
				{taken.join(', ')}.
			</p>{/if}
		{#if stillDefault.length > 0}<p class="soft">
				<strong>Still defaults, not from your sheet:</strong>
				{stillDefault.join(', ')}.
			</p>{/if}
		<Caution topics={cautionsFor(chemistryOf($form.family))} />
	</aside>
</form>
{#if data.taught}
	<section class="slab mt-5 p-5" aria-label="Learnt at demould">
		<h2 class="mb-1">Learnt at demould</h2>
		<p>
			{data.taught.presses === 1 ? 'One press' : `${data.taught.presses} presses`} at demould: after gel its parts want
			<strong>{digits(data.taught.maturityFactor)} times</strong> what the sheet says, and may be bent from
			<strong>{digits(100 * data.taught.flexibleShare, 0)} %</strong> of that on. In a mould of which there are presses those count for more.
		</p>
		<form method="POST" action="/shelf/resins/{data.resin?.id}/forget" class="mt-3">
			<Button type="submit" color="alternative">Forget it, and go by the sheet</Button>
		</form>
	</section>
{/if}
