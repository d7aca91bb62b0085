<script lang="ts">
	import { cautionsFor } from '$lib/core/cautions';
	import { cupMarkErrorPercent, cupMarkHeightMm, type MixResult } from '$lib/core/mix';
	import {
		chemistryOf,
		colourSide,
		dropsOf,
		isCatalysed,
		isPowder,
		type MixColour,
		type MixSheet,
		type ResinRecord
	} from '$lib/core/shelf';
	import { digits, formatDrops } from '$lib/core/units';
	import Answer from './Answer.svelte';
	import Caution from './Caution.svelte';
	import Parts from './Parts.svelte';
	import { useUnits } from './units.svelte';
	import Warnings from './Warnings.svelte';
	import Working from './Working.svelte';

	/** What one mix comes to: amounts by scale, mark and scoop, whether it pours, how long, what settles. */
	interface Props {
		resin: ResinRecord;
		sheet: MixSheet;
		result: MixResult;
		colours: readonly MixColour[];
		cupDiameterMm: number;
		/** The volume that was asked for, if it was one. */
		wantedMl?: number | undefined;
	}
	let { resin, sheet, result, colours, cupDiameterMm, wantedMl }: Props = $props();
	const units = useUnits();
	const catalysed = $derived(isCatalysed(resin.family));
	/** Fillers stand before the colours. */
	const fillers = $derived(result.fillers.length - colours.length);
	const counted = $derived(result.catalyst?.dropsMost === undefined);
	const markMm = (ml: number) => cupMarkHeightMm(ml, cupDiameterMm);
</script>

<Answer
	label="In the cup"
	value={units.inCup({ ...result, massG: result.total.massG })}
	note="{units.show(result.total.volumeMl, 'volume')} · {units.show(result.total.densityGPerMl, 'density')}" />
{#if result.catalyst}
	<Answer
		label="Catalyst into {units.weighed(result.a.massG)} of resin"
		value={counted ? formatDrops(result.catalyst.drops) : `${digits(result.catalyst.volumeMl)} ml`}
		note={counted
			? `${digits(result.catalyst.volumeMl)} ml · ${digits(result.catalyst.mlPer100G)} ml to 100 g · ${digits(result.catalyst.dropsPerFlOz, 0)} drops to a fl oz`
			: `${digits(result.catalyst.mlPer100G)} ml to 100 g · ${formatDrops(result.catalyst.drops, result.catalyst.dropsMost)}: count your dropper once, on the resin’s page`} />
{:else}
	<Parts a={result.a} b={result.b} />
	<p class="soft text-[0.93rem]">
		By marks in two cups ⌀ {units.show(cupDiameterMm, 'length')}: A {units.show(markMm(result.a.volumeMl), 'length')}, B {units.show(
			markMm(result.b.volumeMl),
			'length'
		)} high; a millimetre off is {digits(cupMarkErrorPercent(result.a.volumeMl, result.b.volumeMl, cupDiameterMm), 1)} %. The scale is at worst
		{digits(result.ratioErrorPercent, 1)} % out.
	</p>
{/if}
{#if result.fillers.length > 0}
	<table class="bench">
		<thead><tr><th>Goes in</th><th class="num">Weigh</th><th class="num">Scoop or drops</th></tr></thead>
		<tbody>
			{#each result.fillers as f, i (i)}
				{@const colour = colours[i - fillers]?.record}
				<tr
					><td
						>{f.name}{#if colour && !catalysed}<span class="soft block text-[0.85rem]">into {colourSide(colour, resin)}</span>{/if}</td
					><td class="num font-bold">{units.weighed(f.massG)}</td><td class="num"
						>{colour ? (isPowder(colour.kind) ? '–' : `${dropsOf(colour, f.massG)} drops`) : units.show(f.looseVolumeMl, 'volume')}</td
					></tr>
			{/each}
		</tbody>
	</table>
	<p>
		<strong
			>{sheet.feel?.consistency === 'pours'
				? 'It still pours'
				: sheet.feel?.consistency === 'creamy'
					? 'Creamy: brush or spoon it'
					: 'A paste: it will not pour'}</strong>
		<span class="soft"
			>fillers are {digits(result.fillerVolumeFraction * 100, 0)} % of the volume{sheet.feel?.viscosityMpaS
				? `, about ${units.show(sheet.feel.viscosityMpaS, 'viscosity')}`
				: ''}</span>
	</p>
	{#each sheet.settling as s, i (i)}
		<p class="text-(--hot)">
			{s.name}
			{s.mm > 0 ? 'sinks' : 'floats'} about {units.show(Math.abs(s.mm), 'length')} before gel, if nothing thickens it: {s.mm > 0
				? 'a pale top and a rich face'
				: 'a rich top and a pale face'}.
		</p>
	{/each}
{/if}
{#if sheet.cured}
	<p>
		<strong>{units.show(sheet.cured.potLifeS, 'time')}</strong> until it is too thick to pour, {units.band(sheet.cured.potLifeBand)}{sheet
			.load.lengtheningPercent > 1
			? `, colour lengthening it by ${digits(sheet.load.lengtheningPercent, 0)} %`
			: ''}.
	</p>
{/if}
{#if sheet.lossMl > 0}<p class="soft">
		{units.show(sheet.lossMl, 'volume')} of it stays in the cup and on tools: wetted area times film.
	</p>{/if}
<Warnings warnings={sheet.load.warnings} />
{#if Math.abs(sheet.mistakeMl) > 0.5 && wantedMl}
	<p class="soft">
		Grams of water are not grams of resin: weighing out {digits(wantedMl)} g of this mix would leave it {units.show(
			Math.abs(sheet.mistakeMl),
			'volume'
		)}
		{sheet.mistakeMl > 0 ? 'short' : 'over'}.
	</p>
{/if}
<Warnings warnings={result.warnings} />
<Working lines={result.working} />
<Caution topics={[...cautionsFor(chemistryOf(resin.family)), 'heat']} />
{#if fillers > 0}<p class="soft">Powders: dust mask or respirator as the safety sheet says; metal dust burns.</p>{/if}
