<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { Checkbox } from 'flowbite-svelte';
	import { firstSettings } from '$lib/core/workshop';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Save from '$lib/ui/Save.svelte';
	import UnitsChoice from '$lib/ui/UnitsChoice.svelte';

	let { data } = $props();
	const { form, errors, enhance, submitting } = benchForm(() => data.form, { validators: zod4Client(firstSettings) });
</script>

<PageHead title="Your workshop" about="Three things, and a shelf to begin with. All of it can be changed later under Settings." />
<form method="POST" use:enhance class="slab flex max-w-[52rem] flex-col gap-6 p-5">
	<FormErrors errors={$errors._errors} />
	<section>
		<h2 class="mb-2">1. Units</h2>
		<UnitsChoice bind:value={$form.units} />
		<p class="soft mt-1">Typed in either, whatever is shown: 2 3/8 in, 60 mm, 3 oz, 95 F.</p>
	</section>
	<section>
		<h2 class="mb-2">2. Usual room</h2>
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<QuantityField label="Temperature" kind="temperature" name="roomTempC" bind:value={$form.roomTempC} error={$errors.roomTempC} />
			<QuantityField
				label="Humidity"
				kind="percent"
				name="relativeHumidity"
				bind:value={$form.relativeHumidity}
				error={$errors.relativeHumidity} />
		</div>
	</section>
	<section>
		<h2 class="mb-2">3. Scale and cups</h2>
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
			<QuantityField
				label="Smallest step of the scale"
				kind="mass"
				name="scaleResolutionG"
				bind:value={$form.scaleResolutionG}
				error={$errors.scaleResolutionG} />
			<QuantityField
				label="Largest mixing cup"
				kind="volume"
				name="mixingCupMl"
				bind:value={$form.mixingCupMl}
				error={$errors.mixingCupMl} />
		</div>
	</section>
	<section>
		<h2 class="mb-2">A shelf to begin with</h2>
		<label class="flex min-h-[2.75rem] cursor-pointer items-center gap-3 text-[1rem] font-semibold">
			<Checkbox bind:checked={$form.starterShelf} /> Put one material of each kind on the shelf
		</label>
		<p class="soft">
			Nine resins, four rubbers, fillers, colours and releases under plain names. Their figures are typical of their kind and nobody’s
			sheet: each says so until you replace it by yours.
		</p>
	</section>
	<div><Save label="To the bench" submitting={$submitting} /></div>
</form>
