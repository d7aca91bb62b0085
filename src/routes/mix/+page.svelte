<script lang="ts">
	import { Button, Checkbox } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import { fieldErrors } from '$lib/core/fieldErrors';
	import { cautionsFor } from '$lib/core/cautions';
	import { cupLossMl, cupMarkErrorPercent, cupMarkHeightMm, mix, squareCupDiameterMm, type MixResult } from '$lib/core/mix';
	import {
		chemistryOf,
		colourLoad,
		colourSide,
		consistency,
		cureOf,
		dropsOf,
		isPowder,
		mixable,
		mixedDensityGPerMl,
		scaleRecipe,
		settlingMm,
		shadeAdvice,
		viscosityOf
	} from '$lib/core/shelf';
	import { cup } from '$lib/core/cure';
	import { digits } from '$lib/core/units';
	import Answer from '$lib/ui/Answer.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import OverPour from '$lib/ui/OverPour.svelte';
	import Parts from '$lib/ui/Parts.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';
	import Working from '$lib/ui/Working.svelte';

	let { data } = $props();
	const units = useUnits();
	type Per = 'total-mass-percent' | 'phr' | 'b-volume-share' | 'b-mass-percent';
	let resinId = $state(untrack(() => data.resins.find((r) => !r.record.family.endsWith('polyester'))?.id ?? data.resins[0]?.id ?? ''));
	let by = $state<'volume' | 'mass'>('volume');
	let volumeMl = $state<number | undefined>(120);
	let massG = $state<number | undefined>(120);
	let chosen = $state<{ id: string; amount: number | undefined; per: Per }[]>([]);
	let recipeId = $state(untrack(() => data.recipes.find((r) => r.id === data.chosenRecipe)?.id ?? ''));
	let addLoss = $state(false);
	let tempC = $state<number | undefined>(untrack(() => data.settings.roomTempC));

	const resin = $derived(data.resins.find((r) => r.id === resinId));
	const fillerOf = (id: string) => data.fillers.find((f) => f.id === id)?.record;
	const recipe = $derived(data.recipes.find((r) => r.id === recipeId)?.record);
	const colours = $derived(
		recipe
			? scaleRecipe(recipe, 100).flatMap((c) => {
					const record = data.colours.find((x) => x.id === c.colourId)?.record;
					return record ? [{ record, percent: c.percent }] : [];
				})
			: []
	);
	const load = $derived(colourLoad(colours));
	const freshMpaS = $derived(resin ? viscosityOf(resin.record, tempC ?? 23) : 0);
	/** What stays in the cup and on tools, added to the volume that has to leave the cup. */
	const lossMl = $derived(addLoss && by === 'volume' && volumeMl && volumeMl > 0 && freshMpaS > 0 ? cupLossMl(volumeMl, freshMpaS) : 0);
	interface Outcome {
		result?: MixResult;
		errors: { path: string; message: string }[];
	}
	const outcome = $derived.by((): Outcome => {
		if (!resin) return { errors: [] };
		const m = mixable(resin.record);
		try {
			const result = mix({
				resin: {
					densityAGPerMl: m.densityAGPerMl,
					...(m.ratio && m.densityBGPerMl ? { densityBGPerMl: m.densityBGPerMl, ratio: m.ratio } : {})
				},
				...(m.catalyst ? { catalyst: m.catalyst } : {}),
				target: by === 'volume' ? { volumeMl: (volumeMl as number) + lossMl } : { massG: massG as number },
				fillers: [
					...chosen.map((c) => {
						const f = fillerOf(c.id)!;
						return {
							name: f.name,
							densityGPerMl: f.densityGPerMl,
							bulkDensityGPerMl: f.bulkDensityGPerMl,
							amount: c.amount as number,
							per: c.per
						};
					}),
					// a colour takes up room like a filler; its recipe is counted to 100 of mixed resin
					...colours.map(({ record, percent }) => ({
						name: record.name,
						densityGPerMl: record.densityGPerMl,
						amount: percent,
						per: 'phr' as const
					}))
				],
				scaleResolutionG: data.settings.scaleResolutionG
			});
			return { result, errors: [] };
		} catch (error) {
			const errors = fieldErrors(error);
			if (!errors) throw error;
			return { errors };
		}
	});
	const result = $derived(outcome.result);
	const problem = (path: string) => {
		const found = outcome.errors.filter((e) => e.path === path || e.path.startsWith(`${path}.`)).map((e) => e.message);
		return found.length ? found : undefined;
	};
	const catalysed = $derived(resin !== undefined && resin.record.family.endsWith('polyester'));
	const cupDiameterMm = $derived(result ? squareCupDiameterMm(Math.max(result.a.volumeMl, result.b.volumeMl)) : 0);
	const markMm = (ml: number) => cupMarkHeightMm(ml, cupDiameterMm);
	const feel = $derived(
		result && resin
			? consistency(
					freshMpaS,
					result.viscosityFactor,
					chosen.flatMap((c, i) => {
						const record = fillerOf(c.id);
						const loose = result.fillers[i]?.looseVolumeMl;
						const base = result.b.volumeMl > 0 ? result.b.volumeMl : result.a.volumeMl;
						return record && loose !== undefined ? [{ record, scoopsPerB: loose / base }] : [];
					})
				)
			: undefined
	);
	/** How this cup cures with its colours in it; the fillers' own heat is left out, on the safe side. */
	const cured = $derived.by(() => {
		if (!resin || !result) return undefined;
		try {
			const t = tempC ?? data.settings.roomTempC;
			const lengthened = { ...resin.record, lengtheningPercent: (resin.record.lengtheningPercent ?? 0) + load.lengtheningPercent };
			return cup({
				resin: cureOf(lengthened),
				massG: Math.max(0.1, result.a.massG + result.b.massG),
				startTempC: t,
				roomTempC: t
			});
		} catch {
			return undefined; // without a forecast nothing is said about time or settling
		}
	});
	const gelS = $derived(cured?.gelTimeS);
	const slip = $derived.by(() => {
		const m = resin && mixable(resin.record);
		return m?.ratio && m.densityBGPerMl !== undefined
			? { ratio: m.ratio, densityAGPerMl: m.densityAGPerMl, densityBGPerMl: m.densityBGPerMl }
			: undefined;
	});
	const settling = $derived(
		resin && gelS !== undefined
			? chosen.flatMap((c) => {
					const record = fillerOf(c.id);
					const mm = record && settlingMm(record, mixedDensityGPerMl(resin.record), freshMpaS, gelS);
					return record && mm !== undefined && Math.abs(mm) > 0.5 ? [{ name: record.name, mm }] : [];
				})
			: []
	);
	/** Grams of water are not grams of resin: what the mistake would cost here. */
	const mistakeMl = $derived(result && by === 'volume' && volumeMl ? volumeMl - volumeMl / result.total.densityGPerMl : 0);

	const PERS: { value: Per; label: string }[] = [
		{ value: 'phr', label: 'to 100 of resin' },
		{ value: 'total-mass-percent', label: '% of the whole' },
		{ value: 'b-volume-share', label: 'scoops to one of B' },
		{ value: 'b-mass-percent', label: '% of B, by weight' }
	];
</script>

<PageHead title="Mix" about="Any amount with its fillers, by scale, by mark and by scoop; and what to do after a slip." />
<div class="grid items-start gap-5 lg:grid-cols-[1fr_25rem]">
	<div class="flex flex-col gap-5">
		<section class="slab p-5">
			<div class="grid gap-x-5 gap-y-1 sm:grid-cols-2">
				<ChoiceField
					label="Resin"
					name="mixResin"
					bind:value={resinId}
					options={data.resins.map((r) => ({ value: r.id, label: r.record.name }))}
					hint={resin?.record.family ?? ''} />
				<Segments
					label="Wanted"
					name="mixBy"
					bind:value={by}
					options={[
						{ value: 'volume', label: 'A volume' },
						{ value: 'mass', label: 'A mass' }
					]} />
				{#if by === 'volume'}
					<QuantityField label="Volume" kind="volume" name="mixVolume" bind:value={volumeMl} error={problem('target')} />
				{:else}
					<QuantityField label="Mass" kind="mass" name="mixMass" bind:value={massG} error={problem('target')} />
				{/if}
			</div>
			<div class="grid items-start gap-x-5 gap-y-1 sm:grid-cols-2">
				<QuantityField
					label="Resin and room"
					kind="temperature"
					name="mixTemp"
					bind:value={tempC}
					hint={freshMpaS ? `${units.show(freshMpaS, 'viscosity')} when fresh` : ''} />
				{#if by === 'volume'}
					<label class="mt-[1.62rem] flex min-h-[2.75rem] cursor-pointer items-center gap-2 font-semibold">
						<Checkbox bind:checked={addLoss} /> Add what stays in the cup and on tools
					</label>
				{/if}
			</div>
			<h2 class="mt-2 mb-2">Colour</h2>
			{#if data.recipes.length > 0}
				<div class="grid items-start gap-x-5 sm:grid-cols-2">
					<ChoiceField
						label="Recipe"
						name="mixRecipe"
						bind:value={recipeId}
						options={[{ value: '', label: 'No colour' }, ...data.recipes.map((r) => ({ value: r.id, label: r.record.name }))]}
						hint={recipe && recipe.resinId !== resinId
							? `judged in ${data.resins.find((r) => r.id === recipe.resinId)?.record.name ?? 'another resin'}: try a small cup`
							: ''} />
					<p class="soft sm:mt-[1.62rem]">{recipe && resin ? shadeAdvice(resin.record.curedShade, 1) : ''}</p>
				</div>
			{:else}<p class="soft mb-2">
					No recipe is kept yet. <a class="plain" href="/shelf/recipes/new">Build one up in doses</a>.
				</p>{/if}
			<h2 class="mt-2 mb-2">Fillers and thickeners</h2>
			{#each chosen as row, i (i)}
				<div class="grid items-start gap-x-4 sm:grid-cols-[1.3fr_1fr_1.3fr_auto]">
					<ChoiceField
						label="Filler"
						name="filler-{i}"
						bind:value={row.id}
						options={data.fillers.map((f) => ({ value: f.id, label: f.record.name }))} />
					<QuantityField label="How much" kind="number" name="amount-{i}" bind:value={row.amount} error={problem(`fillers.${i}`)} />
					<ChoiceField label="Counted as" name="per-{i}" bind:value={row.per} options={PERS} />
					<Button color="alternative" class="mt-[1.62rem] min-h-[2.75rem]" onclick={() => (chosen = chosen.filter((_, k) => k !== i))}
						>Remove</Button>
				</div>
			{/each}
			{#if data.fillers.length > 0}
				<Button color="alternative" onclick={() => (chosen = [...chosen, { id: data.fillers[0]!.id, amount: 10, per: 'phr' }])}
					>Add a filler</Button>
			{:else}
				<p class="soft">
					The shelf holds no filler. <a class="plain" href="/shelf/fillers/new">Enter one</a>.
				</p>
			{/if}
			{#if problem('fillers')}<p class="mt-2 font-semibold text-(--harm)">{problem('fillers')![0]}</p>{/if}
		</section>
		{#if resin && slip}
			<OverPour {...slip} {cupDiameterMm} />
		{/if}
	</div>
	<aside class="slab flex flex-col gap-4 p-5" aria-live="polite">
		{#if result && resin}
			<Answer
				label="In the cup"
				value={units.show(result.total.massG, 'mass')}
				note="{units.show(result.total.volumeMl, 'volume')} · {units.show(result.total.densityGPerMl, 'density')}" />
			{#if result.catalyst}
				<Answer
					label="Catalyst into {units.show(result.a.massG, 'mass')} of resin"
					value="{result.catalyst.drops} drops"
					note="{digits(result.catalyst.volumeMl)} ml · {digits(result.catalyst.mlPer100G)} ml to 100 g · {digits(
						result.catalyst.dropsPerFlOz,
						0
					)} drops to a fl oz" />
			{:else}
				<Parts a={result.a} b={result.b} resolutionG={data.settings.scaleResolutionG} />
				<p class="soft text-[0.93rem]">
					By marks in two cups ⌀ {units.show(cupDiameterMm, 'length')}: A {units.show(markMm(result.a.volumeMl), 'length')}, B {units.show(
						markMm(result.b.volumeMl),
						'length'
					)} high; a millimetre off is {digits(cupMarkErrorPercent(result.a.volumeMl, result.b.volumeMl, cupDiameterMm), 1)} %. The scale is at
					worst {digits(result.ratioErrorPercent, 1)} % out.
				</p>
			{/if}
			{#if result.fillers.length > 0}
				<table class="bench">
					<thead><tr><th>Goes in</th><th class="num">Weigh</th><th class="num">Scoop or drops</th></tr></thead>
					<tbody>
						{#each result.fillers as f, i (i)}
							{@const colour = colours[i - chosen.length]?.record}
							<tr
								><td
									>{f.name}{#if colour && resin && !catalysed}<span class="soft block text-[0.87rem]"
											>into {colourSide(colour, resin.record)}</span
										>{/if}</td
								><td class="num font-bold">{units.show(f.massG, 'mass')}</td><td class="num"
									>{colour
										? isPowder(colour.kind)
											? '–'
											: `${dropsOf(colour, f.massG)} drops`
										: units.show(f.looseVolumeMl, 'volume')}</td
								></tr>
						{/each}
					</tbody>
				</table>
				<p>
					<strong
						>{feel?.consistency === 'pours'
							? 'It still pours'
							: feel?.consistency === 'creamy'
								? 'Creamy: brush or spoon it'
								: 'A paste: it will not pour'}</strong>
					<span class="soft"
						>fillers are {digits(result.fillerVolumeFraction * 100, 0)} % of the volume{feel?.viscosityMpaS
							? `, about ${units.show(feel.viscosityMpaS, 'viscosity')}`
							: ''}</span>
				</p>
				{#each settling as s (s.name)}
					<p class="text-(--hot)">
						{s.name}
						{s.mm > 0 ? 'sinks' : 'floats'} about {units.show(Math.abs(s.mm), 'length')} before gel, if nothing thickens it: {s.mm > 0
							? 'a pale top and a rich face'
							: 'a rich top and a pale face'}.
					</p>
				{/each}
			{/if}
			{#if cured}
				<p>
					<strong>{units.show(cured.potLifeS, 'time')}</strong> until it is too thick to pour{load.lengtheningPercent > 1
						? `, colour lengthening it by ${digits(load.lengtheningPercent, 0)} %`
						: ''}.
				</p>
			{/if}
			{#if lossMl > 0}<p class="soft">
					{units.show(lossMl, 'volume')} of it stays in the cup and on tools: wetted area times film.
				</p>{/if}
			<Warnings warnings={load.warnings} />
			{#if Math.abs(mistakeMl) > 0.5 && volumeMl}
				<p class="soft">
					Grams of water are not grams of resin: weighing out {digits(volumeMl)} g of this mix would leave it {units.show(
						Math.abs(mistakeMl),
						'volume'
					)}
					{mistakeMl > 0 ? 'short' : 'over'}.
				</p>
			{/if}
			<Warnings warnings={result.warnings} />
			<Working lines={result.working} />
			<Caution topics={cautionsFor(chemistryOf(resin.record.family))} />
			{#if chosen.length > 0}<p class="soft">Powders: dust mask or respirator as the safety sheet says; metal dust burns.</p>{/if}
		{:else if outcome.errors.length > 0}
			<p class="font-semibold text-(--harm)">{outcome.errors[0]!.message}</p>
		{:else}
			<p class="soft">
				The shelf holds no resin yet. <a class="plain" href="/shelf/resins/new">Enter a data sheet</a> first.
			</p>
		{/if}
	</aside>
</div>
