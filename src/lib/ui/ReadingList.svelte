<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { METHOD_NAMES, readVolume, SPREAD_LIMIT, spreadOf, type VolumeReading } from '$lib/core/master';
	import { digits } from '$lib/core/units';
	import { useUnits } from './units.svelte';

	/** Readings of one piece side by side; the maker says which one the shots go by. */
	interface Props {
		readings: VolumeReading[];
		used: number;
		problem?: string | undefined;
	}
	let { readings = $bindable(), used = $bindable(), problem = '' }: Props = $props();
	const units = useUnits();
	const volumes = $derived(readings.map((r) => readVolume(r).volumeMl));
	const spread = $derived(spreadOf(readings));
	const low = $derived(Math.min(...volumes));
	const high = $derived(Math.max(...volumes));
	/** Where a reading stands between the lowest and the highest, %. */
	const at = (ml: number) => (high > low ? (100 * (ml - low)) / (high - low) : 50);
	function remove(i: number) {
		readings = readings.filter((_, k) => k !== i);
		if (used >= i && used > 0) used -= 1;
	}
</script>

{#if readings.length > 0}
	<fieldset class="mb-4">
		<legend class="label mb-1">Readings so far; the shots go by the chosen one</legend>
		<ul>
			{#each readings as reading, i (i)}
				<li
					class={[
						'grid grid-cols-[auto_1fr_auto] items-center gap-x-3 border-t border-(--line) py-1.5 sm:grid-cols-[auto_1fr_8rem_6.5rem_auto]',
						used === i && 'font-semibold'
					]}>
					<input
						id="used-{i}"
						type="radio"
						class="size-5 accent-(--work)"
						checked={used === i}
						onchange={() => (used = i)}
						name="usedReading"
						value={i} />
					<label for="used-{i}" class="cursor-pointer"
						>{METHOD_NAMES[reading.method]}{#if reading.remark}<span class="soft font-normal">: {reading.remark}</span>{/if}</label>
					<span class="relative hidden h-3 rounded-full bg-(--sunk) sm:block" aria-hidden="true"
						><span
							class={['absolute top-0 size-3 -translate-x-1/2 rounded-full', used === i ? 'bg-(--work)' : 'bg-(--line-strong)']}
							style:left="{6 + 0.88 * at(volumes[i]!)}%">
						</span></span>
					<span class="text-right text-[1.15rem] font-bold whitespace-nowrap">{units.show(volumes[i]!, 'volume')}</span>
					<Button size="sm" color="alternative" aria-label="Remove reading {i + 1}" onclick={() => remove(i)}>Remove</Button>
				</li>
			{/each}
		</ul>
		{#if spread}
			<p class={['mt-1', spread.halfShare > SPREAD_LIMIT ? 'font-semibold' : 'soft']}>
				{units.show(spread.lowMl, 'volume')} to {units.show(spread.highMl, 'volume')}, within ± {digits(100 * spread.halfShare, 1)} % of their
				mean.{spread.halfShare > SPREAD_LIMIT ? ' That is wide for a small shot: measure once more and drop the odd one.' : ''}
			</p>
		{/if}
		{#if problem}<p class="font-semibold text-(--harm)" role="alert">{problem}</p>{/if}
	</fieldset>
{/if}
