<script lang="ts">
	import { METHOD_NAMES, TYPED_METHODS, type MasterForm } from '$lib/core/master';
	import ChoiceField from './ChoiceField.svelte';
	import QuantityField from './QuantityField.svelte';
	import Segments from './Segments.svelte';
	import SolidPieces from './SolidPieces.svelte';
	import TextField from './TextField.svelte';

	/** One reading of a master's volume, typed in whichever way it was measured. */
	interface Props {
		form: MasterForm;
		problem: (...path: (string | number)[]) => string[] | undefined;
		/** Mixed densities of the resins on the shelf, to weigh an earlier cast by. */
		densities: readonly { name: string; densityGPerMl: number }[];
	}
	let { form = $bindable(), problem, densities }: Props = $props();
	let resin = $state('');
</script>

<Segments
	label="How you measure it"
	name="method"
	bind:value={form.method}
	options={TYPED_METHODS.map((value) => ({ value, label: METHOD_NAMES[value] }))} />
<div class="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
	{#if form.method === 'overflow'}
		<QuantityField
			label="Spilled water"
			kind="mass"
			name="overflowMassG"
			bind:value={form.overflowMassG}
			error={problem('overflowMassG')}
			hint="on the scale" />
		<QuantityField
			label="Water temperature"
			kind="temperature"
			name="waterTempC"
			bind:value={form.waterTempC}
			error={problem('waterTempC')} />
		<p class="soft text-[0.93rem] sm:pt-7">
			Fill a vessel to the brim, plunge the part, weigh what spilled. Dry the part well before rubber goes on.
		</p>
	{:else if form.method === 'rise'}
		<QuantityField label="Level before" kind="volume" name="beforeMl" bind:value={form.beforeMl} error={problem('beforeMl')} />
		<QuantityField label="Level with the part under" kind="volume" name="afterMl" bind:value={form.afterMl} error={problem('afterMl')} />
		<p class="soft text-[0.93rem] sm:pt-7">The part is wholly under and no bubble clings to it. Read at the middle of the water.</p>
	{:else if form.method === 'mould-water'}
		<QuantityField
			label="Water out of the mould"
			kind="mass"
			name="waterMassG"
			bind:value={form.waterMassG}
			error={problem('waterMassG')}
			hint="poured into a cup, on the scale" />
		<QuantityField
			label="Water temperature"
			kind="temperature"
			name="waterTempC"
			bind:value={form.waterTempC}
			error={problem('waterTempC')} />
		<p class="text-[0.93rem] font-semibold sm:pt-7">
			Dry the mould out fully, every corner, and warm it before urethane goes in: water makes it foam.
		</p>
	{:else if form.method === 'cast'}
		<QuantityField
			label="The cast weighs"
			kind="mass"
			name="castMassG"
			bind:value={form.castMassG}
			error={problem('castMassG')}
			hint="sprue off" />
		<QuantityField
			label="Density of its resin"
			kind="density"
			name="castDensityGPerMl"
			bind:value={form.castDensityGPerMl}
			error={problem('castDensityGPerMl')} />
		<ChoiceField
			label="Take it from the shelf"
			name="castResin"
			bind:value={
				() => resin,
				(v) => {
					resin = v ?? '';
					const known = densities.find((d) => d.name === v);
					if (known) form.castDensityGPerMl = known.densityGPerMl;
				}
			}
			placeholder="Choose a resin"
			options={densities.map((d) => ({ value: d.name, label: d.name }))}
			hint="cast without filler" />
	{:else if form.method === 'solids'}
		<div class="sm:col-span-3">
			<SolidPieces bind:pieces={form.pieces} problem={(i, field) => problem('pieces', i, field)} />
			{#if problem('pieces')}<p class="mt-2 font-semibold text-(--harm)">{problem('pieces')![0]}</p>{/if}
		</div>
	{:else}
		<QuantityField label="Volume of the master" kind="volume" name="volumeMl" bind:value={form.volumeMl} error={problem('volumeMl')} />
	{/if}
</div>
<div class="mt-1">
	<TextField label="Remark" name="remark" bind:value={form.remark} error={problem('remark')} hint="such as second try, fine scale" />
</div>
