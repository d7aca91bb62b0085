<script lang="ts">
	import { onMount, untrack, type ComponentProps } from 'svelte';
	import type { PourPlan } from '$lib/core/plan';
	import type { PourEvent } from '$lib/core/bench';
	import { keepBench } from '../keepBench';
	import PourBench from '../PourBench.svelte';
	import { PourRun } from '../pourRun.svelte';
	import { useUnits } from '../units.svelte';

	/** One pour at its bench; another one is another bench. */
	interface Props extends Omit<ComponentProps<typeof PourBench>, 'run'> {
		pour: { id: string; plan: PourPlan };
		known: { events: readonly PourEvent[]; lastSeq: number };
	}
	let { pour, known, ...rest }: Props = $props();
	const units = useUnits();
	const run = untrack(() => new PourRun(pour.id, pour.plan, known, () => units.system));
	onMount(() => {
		const [stop, letGo] = [run.start(), keepBench()];
		return () => {
			stop();
			letGo();
		};
	});
</script>

<PourBench {run} {...rest} />
