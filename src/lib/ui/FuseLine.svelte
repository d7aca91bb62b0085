<script lang="ts">
	/** The fuse as one thin line, for the slim bar of a small screen: what the steps take of what may be used. */
	interface Props {
		batch: { steps: readonly { durationS: number }[]; potLifeS: number; budget: { usableS: number } };
	}
	let { batch }: Props = $props();
	const takenS = $derived(batch.steps.reduce((sum, s) => sum + s.durationS, 0));
	const spanS = $derived(Math.max(batch.potLifeS, takenS));
	const percent = (s: number) => `${(100 * s) / spanS}%`;
</script>

<span class="bar relative mt-1 block h-2 overflow-hidden rounded bg-white/20" aria-hidden="true">
	<span class={['absolute inset-y-0 left-0', takenS > batch.budget.usableS ? 'bg-[#ff9257]' : 'bg-[#6cc0aa]']} style:width={percent(takenS)}
	></span>
	<span class="absolute inset-y-0 w-[3px] bg-[#ff9257]" style:left={percent(batch.budget.usableS)}></span>
</span>
