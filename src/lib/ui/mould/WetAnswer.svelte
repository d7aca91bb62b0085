<script lang="ts">
	import type { MouldPlan } from '$lib/core/mould';
	import { useUnits } from '../units.svelte';

	/** Powder and water of a wet mould, and what one cast in it takes. */
	let { wet }: { wet: NonNullable<MouldPlan['wet']> } = $props();
	const units = useUnits();
	const figure = 'num font-bold text-[1.15rem]';
</script>

<table class="bench">
	<tbody>
		<tr><td>Powder</td><td class={figure}>{units.weighed(wet.powder.massG)}</td></tr>
		<tr><td>Water</td><td class={figure}>{units.weighed(wet.water.massG)}</td></tr>
	</tbody>
</table>
<h2>Into it, for one cast</h2>
<table class="bench">
	<tbody>
		{#if wet.cast.powderG !== undefined && wet.cast.waterG !== undefined}
			<tr><td>Plaster</td><td class={figure}>{units.weighed(wet.cast.powderG)}</td></tr>
			<tr><td>Water</td><td class={figure}>{units.weighed(wet.cast.waterG)}</td></tr>
		{:else}
			<tr><td>Wax</td><td class={figure}>{units.weighed(wet.cast.massG)}</td></tr>
		{/if}
	</tbody>
</table>
<p class="soft">
	{units.show(wet.cast.volumeMl, 'volume')} as its master has, nothing over. Cast within {units.show(wet.usableS, 'time')}.
</p>
