<script lang="ts">
	import { onMount, untrack, type ComponentProps } from 'svelte';
	import type { PlanWithSteps, PourEvent } from '$lib/core/bench';
	import { keepBench } from '../keepBench';
	import PourBench from '../PourBench.svelte';
	import { PourRun } from '../pourRun.svelte';

	/** One pour at its bench; another one is another bench. */
	interface Props extends Omit<ComponentProps<typeof PourBench>, 'run'> {
		pour: { id: string; plan: PlanWithSteps };
		known: { events: readonly PourEvent[]; lastSeq: number };
	}
	let { pour, known, ...rest }: Props = $props();
	const run = untrack(() => new PourRun(pour.id, pour.plan, known));
	onMount(() => {
		const [stop, letGo] = [run.start(), keepBench()];
		return () => {
			stop();
			letGo();
		};
	});
</script>

<PourBench {run} {...rest} />
