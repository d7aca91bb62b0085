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
		/** Beside something more important. */
		small?: boolean;
	}
	let { label, value = $bindable(), step, min, max, show, small = false }: Props = $props();
	const move = (by: number) => (value = Math.min(max, Math.max(min, Math.round((value + by) / step) * step)));
	const button = $derived(
		`grid ${small ? 'size-12' : 'size-16'} shrink-0 cursor-pointer place-items-center rounded-xl border-2 border-(--line-strong) bg-(--paper) active:bg-(--work-soft)`
	);
</script>

<div role="group" aria-label={label}>
	<p class={small ? 'sr-only' : 'label mb-1 text-center'}>{label}</p>
	<div class="flex items-center justify-center gap-3">
		<button type="button" class={button} aria-label="{label}: less" onclick={() => move(-step)}><Minus class="size-8" /></button>
		{#if small}<span class="label" aria-hidden="true">{label}</span>{/if}
		<output class={['answer min-w-[6.2rem] text-center whitespace-nowrap', small ? 'text-[2rem]' : 'text-[2rem]']}>{show(value)}</output>
		<button type="button" class={button} aria-label="{label}: more" onclick={() => move(step)}><Plus class="size-8" /></button>
	</div>
</div>
