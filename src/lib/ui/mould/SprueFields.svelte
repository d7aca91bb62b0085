<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { valueOf, type Outcome } from '$lib/core/outcome';
	import { outcomeOf } from '$lib/core/outcomeOf';
	import { cup } from '$lib/core/cure';
	import { sprue as fillThrough, type SprueResult } from '$lib/core/flow';
	import { masterVolumeMl, type MasterRecord } from '$lib/core/master';
	import { MOULD_WORDS, type MouldInputs } from '$lib/core/mould';
	import { cureOf, mixedDensityGPerMl, viscosityOf, type ResinRecord } from '$lib/core/shelf';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import Segments from '../Segments.svelte';
	import { useUnits } from '../units.svelte';
	import Warnings from '../Warnings.svelte';
	import Working from '../Working.svelte';

	/** Whether the resin runs in before it is too thick, and where vents go. */
	interface Props {
		form: Writable<MouldInputs>;
		said: (field: keyof MouldInputs) => string[] | undefined;
		master: { id: string; record: MasterRecord } | undefined;
		resins: readonly { id: string; record: ResinRecord }[];
	}
	let { form, said, master, resins }: Props = $props();
	const units = useUnits();
	/** Seconds that mixing takes before the pour can begin (common practice, no source). */
	const MIX_S = 45;
	const vents = $derived(master?.record.traps.filter((t) => t.cure === 'vent') ?? []);
	const resin = $derived(resins.find((r) => r.id === $form.pourResinId));
	const open = $derived(MOULD_WORDS[$form.kind].open);
	const filled = $derived.by((): Outcome<SprueResult> | undefined => {
		const volumeMl = master && masterVolumeMl(master.record);
		if (volumeMl === undefined || !resin || open || $form.sprue === 'none') return undefined;
		return outcomeOf(() => {
			const tempC = $form.roomTempC;
			const massG = volumeMl * mixedDensityGPerMl(resin.record);
			const { potLifeS } = cup({ resin: cureOf(resin.record), massG, startTempC: tempC, roomTempC: tempC });
			return fillThrough({
				volumeMl,
				diameterMm: $form.sprueDiameterMm,
				lengthMm: $form.sprueLengthMm,
				viscosityMpaS: viscosityOf(resin.record, tempC),
				densityGPerMl: mixedDensityGPerMl(resin.record),
				remainingS: Math.max(1, potLifeS - MIX_S)
			});
		});
	});
	const through = $derived(filled && valueOf(filled));
	const problem = (path: 'diameterMm' | 'lengthMm', field: 'sprueDiameterMm' | 'sprueLengthMm') => {
		const live = filled?.ok === false ? filled.errors.find((p) => p.path === path)?.message : undefined;
		return live ? [live] : said(field);
	};
</script>

<h2 class="mt-2 mb-2">{open ? 'Poured with' : 'Sprue and vents'}</h2>
<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
	<ChoiceField
		label="Mostly poured with"
		name="pourResinId"
		bind:value={$form.pourResinId}
		options={[{ value: '', label: 'Not known yet' }, ...resins.map((r) => ({ value: r.id, label: r.record.name }))]}
		error={said('pourResinId')} />
	{#if !open && $form.sprue !== 'none'}
		<QuantityField
			label="Sprue, wide"
			kind="length"
			name="sprueDiameterMm"
			bind:value={$form.sprueDiameterMm}
			error={problem('diameterMm', 'sprueDiameterMm')} />
		<QuantityField
			label="Sprue, long"
			kind="length"
			name="sprueLengthMm"
			bind:value={$form.sprueLengthMm}
			error={problem('lengthMm', 'sprueLengthMm')}
			hint="through the cover to the cavity" />
	{/if}
</div>
{#if !open}
	<div class="mb-2">
		<Segments
			label="Poured through"
			name="sprue"
			bind:value={$form.sprue}
			options={[
				{ value: 'channel', label: 'a sprue' },
				{ value: 'none', label: 'its opening: no sprue' }
			]} />
	</div>
{/if}
{#if through}
	<p class="text-[1.15rem]" role="status">
		<strong>Fills in {units.show(through.fillS, 'time')}</strong>
		<span class="soft">through this sprue, {units.show(through.sprueVolumeMl, 'volume')} in it</span>
	</p>
	<Warnings warnings={through.warnings} />
	<Working lines={through.working} />
{/if}
{#if master && !open}
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
