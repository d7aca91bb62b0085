<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';

	/** A reading set with two large targets, for gloves. */
	interface Props {
		label: string;
		value: number;
		step: number;
		min: number;
		max: number;
		show: (value: number) => string;
	}
	let { label, value = $bindable(), step, min, max, show }: Props = $props();
	const move = (by: number) => (value = Math.min(max, Math.max(min, Math.round((value + by) / step) * step)));
	const button =
		'grid size-16 shrink-0 cursor-pointer place-items-center rounded-xl border-2 border-(--line-strong) bg-(--paper) active:bg-(--work-soft)';
</script>

<div role="group" aria-label={label}>
	<p class="label mb-1 text-center">{label}</p>
	<div class="flex items-center justify-center gap-3">
		<button type="button" class={button} aria-label="{label}: less" onclick={() => move(-step)}><Minus class="size-8" /></button>
		<output class="answer min-w-[6.2rem] text-center text-[2.3rem] whitespace-nowrap">{show(value)}</output>
		<button type="button" class={button} aria-label="{label}: more" onclick={() => move(step)}><Plus class="size-8" /></button>
	</div>
</div>
