<script lang="ts">
	import type { Writable } from 'svelte/store';
	import { layeredWay } from '$lib/core/shot/leftOver';
	import type { ShotBatch, ShotInputs, Taken } from '$lib/core/shot';
	import { useUnits } from '../units.svelte';

	/** The shot that corrects itself: what earlier pours of these moulds left or were short of, heeded until it is unticked. */
	interface Props {
		form: Writable<ShotInputs>;
		/** What earlier pours took; nothing where nobody noted it. */
		told: Taken | undefined;
		batch: Pick<ShotBatch, 'massG' | 'volumeMl' | 'pouredMl'> | undefined;
	}
	let { form, told: taken, batch }: Props = $props();
	const units = useUnits();
	const last = $derived(
		!taken
			? ''
			: taken.lastLeftG === 0
				? 'nothing was left last time'
				: `last time ${units.weighed(Math.abs(taken.lastLeftG))} of ${units.weighed(taken.lastMixedG)} were ${taken.lastLeftG > 0 ? 'left' : 'missing'}`
	);
	/** What the pours took for one batch as it is sized now, g. */
	const netG = $derived(batch && (batch.pouredMl * batch.massG) / batch.volumeMl);
</script>

{#if taken}
	<div class="mt-2 mb-3 rounded-xl border-[1.5px] border-(--line-strong) p-3">
		<label class="flex w-fit cursor-pointer items-center gap-2 font-semibold">
			<input type="checkbox" class="size-5 rounded text-(--work)" bind:checked={$form.heedLeft} />
			<span>Mix what the last {taken.pours === 1 ? 'pour' : `${taken.pours} pours`} took: {last}</span>
		</label>
		<p class="soft mt-1">
			{#if layeredWay($form) === 'layers'}In layers it moves the share that is lost, and no layer is mixed thinner than asked for.{:else if netG}{taken.pours ===
				1
					? `It took ${units.weighed(taken.lowShare * netG)}; how much that varies is not known from one pour.`
					: `They took ${units.weighed(taken.lowShare * netG)} to ${units.weighed(taken.highShare * netG)}; mixed so that it is enough nine times in ten.`}
				{#if taken.share < 0.97}That is less than the piece by its volume: weigh a cast, or measure the volume anew.{/if}{/if}
		</p>
	</div>
{/if}
