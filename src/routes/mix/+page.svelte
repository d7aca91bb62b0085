<script lang="ts">
	import { Button, Checkbox } from 'flowbite-svelte';
	import { untrack } from 'svelte';
	import { squareCupDiameterMm } from '$lib/core/mix';
	import { coloursOf, mixable, mixSheet, shadeAdvice, type FillerPer } from '$lib/core/shelf';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import MixAnswer from '$lib/ui/MixAnswer.svelte';
	import OverPour from '$lib/ui/OverPour.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import AnswerPane from '$lib/ui/AnswerPane.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	let resinId = $state(untrack(() => data.first.resinId));
	let by = $state<'volume' | 'mass'>('volume');
	let volumeMl = $state<number | undefined>(untrack(() => data.first.volumeMl));
	let massG = $state<number | undefined>(120);
	let chosen = $state<{ id: string; amount: number | undefined; per: FillerPer }[]>([]);
	let recipeId = $state(untrack(() => data.first.recipeId));
	let addLoss = $state(false);
	let tempC = $state<number | undefined>(untrack(() => data.first.tempC));

	const resin = $derived(data.resins.find((r) => r.id === resinId));
	const recipe = $derived(data.recipes.find((r) => r.id === recipeId)?.record);
	const colours = $derived(coloursOf(recipe, data.colours));
	const isFirst = $derived(
		resinId === data.first.resinId &&
			by === 'volume' &&
			volumeMl === data.first.volumeMl &&
			chosen.length === 0 &&
			recipeId === data.first.recipeId &&
			!addLoss &&
			tempC === data.first.tempC
	);
	const sheet = $derived(
		isFirst
			? data.first.sheet
			: resin &&
					mixSheet({
						resin: resin.record,
						target: by === 'volume' ? { volumeMl } : { massG },
						fillers: chosen.map(({ id, amount, per }) => ({ record: data.fillers.find((f) => f.id === id)!.record, amount, per })),
						colours,
						addLoss: addLoss && by === 'volume',
						tempC: tempC ?? data.settings.roomTempC,
						scaleResolutionG: data.settings.scaleResolutionG
					})
	);
	/** A wrong field leaves the answer before it. */
	let last:
		| {
				resin: NonNullable<typeof resin>['record'];
				sheet: NonNullable<typeof sheet>;
				result: NonNullable<NonNullable<typeof sheet>['result']>;
		  }
		| undefined;
	const shown = $derived.by(() => {
		if (resin && sheet?.result) last = { resin: resin.record, sheet, result: sheet.result };
		return last;
	});
	const result = $derived(shown?.result);
	const cupDiameterMm = $derived(result ? squareCupDiameterMm(Math.max(result.a.volumeMl, result.b.volumeMl)) : 0);
	const problem = (path: string) => {
		const found = (sheet?.errors ?? []).filter((e) => e.path === path || e.path.startsWith(`${path}.`)).map((e) => e.message);
		return found.length ? found : undefined;
	};
	const slip = $derived.by(() => {
		const m = resin && mixable(resin.record);
		return m?.ratio && m.densityBGPerMl !== undefined
			? { ratio: m.ratio, densityAGPerMl: m.densityAGPerMl, densityBGPerMl: m.densityBGPerMl }
			: undefined;
	});
	const PERS: { value: FillerPer; label: string }[] = [
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
			<Island>
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
						hint={sheet?.freshMpaS ? `${units.show(sheet.freshMpaS, 'viscosity')} when fresh` : ''} />
					{#if by === 'volume'}
						<label class="mt-6 flex min-h-[2.75rem] cursor-pointer items-center gap-2 font-semibold">
							<Checkbox bind:checked={addLoss} /> Add what stays in the cup and on tools
						</label>
					{/if}
				</div>
			</Island><Island>
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
						<p class="soft sm:mt-6">{recipe && resin ? shadeAdvice(resin.record.curedShade, 1) : ''}</p>
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
						<Button color="alternative" class="mt-6 min-h-[2.75rem]" onclick={() => (chosen = chosen.filter((_, k) => k !== i))}
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
			</Island>
		</section>
		<Island
			>{#if resin && slip}
				<OverPour {...slip} {cupDiameterMm} />
			{/if}</Island>
	</div>
	<AnswerPane
		label="To mix"
		value={shown && units.inCup({ ...shown.result, massG: shown.result.total.massG })}
		note={shown && `A ${units.weighed(shown.result.a.massG)}, B ${units.weighed(shown.result.b.massG)}`}
		problem={sheet?.errors[0]?.message}>
		<Island
			>{#if shown}
				<MixAnswer
					resin={shown.resin}
					sheet={shown.sheet}
					result={shown.result}
					{colours}
					{cupDiameterMm}
					wantedMl={by === 'volume' ? volumeMl : undefined} />
			{/if}</Island>
		{#snippet empty()}
			<p class="soft">
				The shelf holds no resin yet. <a class="plain" href="/shelf/resins/new">Enter a data sheet</a> first.
			</p>
		{/snippet}
	</AnswerPane>
</div>
