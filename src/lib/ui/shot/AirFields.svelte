<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { dewPointC } from '$lib/core/humidity';
	import type { ShotInputs } from '$lib/core/shot';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';

	/** How warm resin, mould and room are, and how damp the air. */
	let { form, problemAt }: { form: Writable<ShotInputs>; problemAt: (field: string) => string[] | undefined } = $props();
	const units = useUnits();
	const dew = $derived(
		$form.relativeHumidity > 0 && $form.relativeHumidity <= 100 && Number.isFinite($form.roomTempC)
			? dewPointC({ tempC: $form.roomTempC, relativeHumidity: $form.relativeHumidity })
			: undefined
	);
</script>

<h2 class="mt-2 mb-2">Temperatures and air</h2>
<div class="grid grid-cols-2 gap-x-5 gap-y-1 sm:grid-cols-4">
	<QuantityField label="Resin" kind="temperature" name="startTempC" bind:value={$form.startTempC} error={problemAt('startTempC')} />
	<QuantityField label="Mould" kind="temperature" name="mouldTempC" bind:value={$form.mouldTempC} error={problemAt('mouldTempC')} />
	<QuantityField label="Room" kind="temperature" name="roomTempC" bind:value={$form.roomTempC} error={problemAt('roomTempC')} />
	<QuantityField
		label="Humidity"
		kind="percent"
		name="relativeHumidity"
		bind:value={$form.relativeHumidity}
		error={problemAt('relativeHumidity')}
		hint={dew === undefined ? '' : `dew point ${units.show(dew, 'temperature')}`} />
</div>
