<script lang="ts">
	import { reasonOf, valueOf, type Outcome } from '$lib/core/outcome';
	import { outcomeOf } from '$lib/core/outcomeOf';
	import { InputError } from '$lib/core/working';
	import { bPerAByVolume, bPerAByWeight, correctPour, cupMarkHeightMm, markVolumeMl, type Correction, type Ratio } from '$lib/core/mix';
	import QuantityField from './QuantityField.svelte';
	import Segments from './Segments.svelte';
	import { useUnits } from './units.svelte';

	/** After a slip: what to add to the other part, by the scale or by the marks on the cups. */
	interface Props {
		ratio: Ratio;
		densityAGPerMl: number;
		densityBGPerMl: number;
		/** Inner width of the cups that the marks are drawn on, mm. */
		cupDiameterMm: number;
	}
	let { ratio, densityAGPerMl, densityBGPerMl, cupDiameterMm }: Props = $props();
	const units = useUnits();
	let by = $state<'weight' | 'mark'>('weight');
	let pouredA = $state<number | undefined>();
	let pouredB = $state<number | undefined>();
	let capacity = $state<number | undefined>();
	let markA = $state<number | undefined>();
	let markB = $state<number | undefined>();
	let capacityMl = $state<number | undefined>();
	let wideMm = $state<number | undefined>();
	const diameter = $derived(wideMm ?? cupDiameterMm);

	const outcome = $derived.by((): Outcome<Correction> | undefined => {
		const [a, b] = by === 'weight' ? [pouredA, pouredB] : [markA, markB];
		if (a === undefined && b === undefined) return undefined;
		const given = <K extends string>(key: K, value: number | undefined) =>
			(value === undefined ? {} : { [key]: value }) as { [P in K]?: number };
		return outcomeOf(() => {
			if (by === 'weight')
				return correctPour({
					ratio: { by: 'weight', a: 1, b: bPerAByWeight(ratio, densityAGPerMl, densityBGPerMl) },
					...given('pouredAG', pouredA),
					...given('pouredBG', pouredB),
					...given('capacityG', capacity)
				});
			if (!(diameter > 0)) throw new InputError(['diameter'], 'Type the inner width of the cup.');
			const ml = (mark: number | undefined) => (mark === undefined ? undefined : markVolumeMl(mark, diameter));
			return correctPour({
				ratio: { by: 'volume', a: 1, b: bPerAByVolume(ratio, densityAGPerMl, densityBGPerMl) },
				...given('pouredAMl', ml(markA)),
				...given('pouredBMl', ml(markB)),
				...given('capacityMl', capacityMl)
			});
		});
	});
	const correction = $derived(outcome && valueOf(outcome));
	const problem = $derived(outcome && reasonOf(outcome));
	const amount = (value: number) => units.show(value, by === 'weight' ? 'mass' : 'volume');
	/** The mark to which a cup is filled up, mm from its floor. */
	const upTo = (poured: number | undefined, add: number) => units.show((poured ?? 0) + cupMarkHeightMm(add, diameter), 'length');
	const least = $derived(by === 'weight' ? 0.05 : 0.02);
</script>

<section class="slab p-5">
	<h2>Poured too much of one?</h2>
	<p class="soft mb-2">The other is raised to match. Nothing can be taken back once they have met.</p>
	<div class="mb-3">
		<Segments
			label="Measured by"
			name="slipBy"
			bind:value={by}
			options={[
				{ value: 'weight', label: 'The scale' },
				{ value: 'mark', label: 'Marks on two cups' }
			]} />
	</div>
	{#if by === 'weight'}
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField label="A in the cup" kind="mass" name="pouredA" bind:value={pouredA} />
			<QuantityField label="B in the cup" kind="mass" name="pouredB" bind:value={pouredB} />
			<QuantityField label="The cup takes" kind="mass" name="capacity" bind:value={capacity} hint="if it is tight" />
		</div>
	{:else}
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-4">
			<QuantityField label="A stands at" kind="length" name="markA" bind:value={markA} hint="above the cup’s floor" />
			<QuantityField label="B stands at" kind="length" name="markB" bind:value={markB} />
			<QuantityField
				label="Cups are wide"
				kind="length"
				name="slipWide"
				bind:value={wideMm}
				hint={wideMm === undefined ? `${units.show(cupDiameterMm, 'length')} unless you measure` : 'inside, straight walls'} />
			<QuantityField label="The mixing cup takes" kind="volume" name="capacityMl" bind:value={capacityMl} hint="if it is tight" />
		</div>
	{/if}
	{#if problem}
		<p class="font-semibold text-(--harm)">{problem}</p>
	{:else if correction}
		<p class="text-[1.4rem] font-bold" role="status">
			{#if correction.addA > least}Add {amount(correction.addA)} of A{#if by === 'mark'}, up to {upTo(markA, correction.addA)}{/if}.
			{:else if correction.addB > least}Add {amount(correction.addB)} of B{#if by === 'mark'}, up to {upTo(markB, correction.addB)}{/if}.
			{:else}They match.{/if}
			<span class="soft font-normal">{amount(correction.total)} in all.</span>
		</p>
		{#if correction.discard > 0}
			<p class="text-(--hot)">
				That is {amount(correction.discard)} more than the cup takes: first take out
				{correction.takeOutA > 0 ? `${amount(correction.takeOutA)} of A` : `${amount(correction.takeOutB)} of B`}.
			</p>
		{/if}
	{/if}
</section>
