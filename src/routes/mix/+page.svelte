<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import { fieldErrors } from '$lib/core/calc';
	import { cautionsFor } from '$lib/core/cautions';
	import {
		correctPour,
		cupMarkErrorPercent,
		cupMarkHeightMm,
		mix,
		squareCupDiameterMm,
		type Correction,
		type MixResult
	} from '$lib/core/mix';
	import { chemistryOf, consistency, cureOf, mixable, mixedDensityGPerMl, settlingMm } from '$lib/core/shelf';
	import { cup } from '$lib/core/cure';
	import { digits } from '$lib/core/units';
	import Answer from '$lib/ui/Answer.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Parts from '$lib/ui/Parts.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';
	import Working from '$lib/ui/Working.svelte';

	let { data } = $props();
	const units = useUnits();
	type Per = 'total-mass-percent' | 'phr' | 'b-volume-share';
	let resinId = $state(untrack(() => data.resins.find((r) => !r.record.family.endsWith('polyester'))?.id ?? data.resins[0]?.id ?? ''));
	let by = $state<'volume' | 'mass'>('volume');
	let volumeMl = $state<number | undefined>(120);
	let massG = $state<number | undefined>(120);
	let chosen = $state<{ id: string; amount: number | undefined; per: Per }[]>([]);
	let pouredA = $state<number | undefined>();
	let pouredB = $state<number | undefined>();
	let capacity = $state<number | undefined>();

	const resin = $derived(data.resins.find((r) => r.id === resinId));
	const fillerOf = (id: string) => data.fillers.find((f) => f.id === id)?.record;
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
				target: by === 'volume' ? { volumeMl: volumeMl as number } : { massG: massG as number },
				fillers: chosen.map((c) => {
					const f = fillerOf(c.id)!;
					return {
						name: f.name,
						densityGPerMl: f.densityGPerMl,
						bulkDensityGPerMl: f.bulkDensityGPerMl,
						amount: c.amount as number,
						per: c.per
					};
				}),
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
					resin.record.viscosityMpaS,
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
	const gelS = $derived.by(() => {
		if (!resin || !result) return undefined;
		try {
			const t = data.settings.roomTempC;
			return cup({
				resin: cureOf(resin.record),
				massG: Math.max(0.1, result.a.massG + result.b.massG),
				startTempC: t,
				roomTempC: t
			}).gelTimeS;
		} catch {
			return undefined; // without a forecast nothing is said about settling
		}
	});
	const settling = $derived(
		resin && gelS !== undefined
			? chosen.flatMap((c) => {
					const record = fillerOf(c.id);
					const mm = record && settlingMm(record, mixedDensityGPerMl(resin.record), resin.record.viscosityMpaS, gelS);
					return record && mm !== undefined && Math.abs(mm) > 0.5 ? [{ name: record.name, mm }] : [];
				})
			: []
	);
	/** Grams of water are not grams of resin: what the mistake would cost here. */
	const mistakeMl = $derived(result && by === 'volume' && volumeMl ? volumeMl - volumeMl / result.total.densityGPerMl : 0);

	const correction = $derived.by((): Correction | string | undefined => {
		if (!resin || catalysed || (pouredA === undefined && pouredB === undefined)) return undefined;
		const { ratio, densityAGPerMl, densityBGPerMl } = mixable(resin.record);
		const weight = ratio!.by === 'weight' ? ratio! : { by: 'weight' as const, a: ratio!.a * densityAGPerMl, b: ratio!.b * densityBGPerMl! };
		try {
			return correctPour({
				ratio: weight,
				...(pouredA === undefined ? {} : { pouredAG: pouredA }),
				...(pouredB === undefined ? {} : { pouredBG: pouredB }),
				...(capacity === undefined ? {} : { capacityG: capacity })
			});
		} catch (error) {
			const first = fieldErrors(error)?.[0];
			if (!first) throw error;
			return first.message;
		}
	});
	const PERS: { value: Per; label: string }[] = [
		{ value: 'phr', label: 'to 100 of resin' },
		{ value: 'total-mass-percent', label: '% of the whole' },
		{ value: 'b-volume-share', label: 'scoops to one of B' }
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
			<h2 class="mt-2 mb-2">Fillers</h2>
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
		{#if !catalysed}
			<section class="slab p-5">
				<h2>Poured too much of one?</h2>
				<p class="soft mb-2">The other is raised to match. Nothing can be taken back once they have met.</p>
				<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
					<QuantityField label="A in the cup" kind="mass" name="pouredA" bind:value={pouredA} />
					<QuantityField label="B in the cup" kind="mass" name="pouredB" bind:value={pouredB} />
					<QuantityField label="The cup takes" kind="mass" name="capacity" bind:value={capacity} hint="if it is tight" />
				</div>
				{#if typeof correction === 'string'}
					<p class="font-semibold text-(--harm)">{correction}</p>
				{:else if correction}
					<p class="text-[1.3rem] font-bold" role="status">
						{#if correction.addA > 0.05}Add {units.show(correction.addA, 'mass')} of A.{:else if correction.addB > 0.05}Add
							{units.show(correction.addB, 'mass')} of B.{:else}They match.{/if}
						<span class="soft font-normal">{units.show(correction.total, 'mass')} in all.</span>
					</p>
					{#if correction.discard > 0}
						<p class="text-(--hot)">
							That is {units.show(correction.discard, 'mass')} more than the cup takes: first take out
							{correction.takeOutA > 0
								? `${units.show(correction.takeOutA, 'mass')} of A`
								: `${units.show(correction.takeOutB, 'mass')} of B`}.
						</p>
					{/if}
				{/if}
			</section>
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
					<thead><tr><th>Filler</th><th class="num">Weigh</th><th class="num">Scoop, loose</th></tr></thead>
					<tbody>
						{#each result.fillers as f, i (i)}
							<tr
								><td>{f.name}</td><td class="num font-bold">{units.show(f.massG, 'mass')}</td><td class="num"
									>{units.show(f.looseVolumeMl, 'volume')}</td
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
