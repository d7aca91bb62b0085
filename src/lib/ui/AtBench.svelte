<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Clock } from '$lib/core/bench';
	import type { PourPlan } from '$lib/core/plan';
	import { countdown } from './clockText';
	import { useUnits } from './units.svelte';

	/** The open pours, what the clock drives first: each with the step that it waits for. */
	interface Props {
		pours: readonly ({ id: string; massG: number; wants: string } & Pick<
			PourPlan,
			'masterName' | 'moulds' | 'resinName' | 'batchIndex' | 'batchCount'
		>)[];
		clocks: readonly Clock[];
		nowMs: number;
		/** Only so many; the rest is one press away. */
		most?: number;
	}
	let { pours, clocks, nowMs, most = Infinity }: Props = $props();
	const units = useUnits();
	/** The soonest clock of each; what has none waits for hands alone. */
	const listed = $derived(
		pours
			.map((p) => ({ ...p, clock: clocks.find((c) => !c.quiet && c.href === `/pour/${p.id}`) }))
			.sort((a, b) => (a.clock?.endsAtMs ?? Infinity) - (b.clock?.endsAtMs ?? Infinity) || 0)
	);
	const more = $derived(pours.length - most);
</script>

<ul class="slab divide-y divide-(--line)">
	{#each listed.slice(0, most) as pour (pour.id)}
		<li class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-5 gap-y-1 px-5 py-3 sm:grid-cols-[7rem_minmax(0,1fr)_auto]">
			<span
				class={[
					'col-start-1 text-[1.4rem] leading-none font-bold tabular-nums',
					pour.clock && pour.clock.endsAtMs <= nowMs && 'text-(--hot)',
					!pour.clock && 'max-sm:hidden'
				]}
				>{#if pour.clock}{countdown((pour.clock.endsAtMs - nowMs) / 1000)}{:else}<span class="soft text-[0.93rem] font-normal"
						>no clock runs</span
					>{/if}</span>
			<span class="min-w-0 max-sm:col-start-1"
				><strong class="text-[1.15rem]">{pour.wants}</strong>
				<span class="block break-words"
					>{pour.masterName}
					<span class="soft"
						>{pour.moulds.map((m) => `M${m.number}`).join(' ')} · {units.weighed(pour.massG)}
						{pour.resinName}{pour.batchCount > 1 ? ` · cup ${pour.batchIndex + 1} of ${pour.batchCount}` : ''}</span
					></span
				></span>
			<Button href="/pour/{pour.id}" class="max-sm:col-start-2 max-sm:row-span-2 max-sm:row-start-1">Go to it</Button>
		</li>
	{/each}
	{#if more > 0}<li class="px-5 py-2.5"><a class="plain" href="/pour">{more} more at the bench</a></li>{/if}
</ul>
