<script lang="ts">
	import { untrack } from 'svelte';
	import { useUnits } from '../units.svelte';

	/** A temperature to a tenth in two presses: its degree, then its tenth. */
	interface Props {
		label: string;
		/** About what is to be expected, °C. */
		nearC: number;
		onread: (tempC: number) => void;
	}
	let { label, nearC, onread }: Props = $props();
	const units = useUnits();
	const SHOWN = 6;
	const fahrenheit = $derived(units.system === 'us');
	const toShown = (c: number) => (fahrenheit ? (c * 9) / 5 + 32 : c);
	const toC = (shown: number) => (fahrenheit ? ((shown - 32) * 5) / 9 : shown);
	const [LEAST_C, MOST_C] = [-20, 300];
	/** The lowest degree on the pad; it follows what was read, a little below it. */
	let from = $state(untrack(() => Math.floor(toShown(nearC)) - 1));
	let degree = $state<number>();
	const shift = (by: number) => {
		from = Math.round(Math.min(toShown(MOST_C) - SHOWN, Math.max(toShown(LEAST_C), from + by)));
		degree = undefined;
	};
	const key =
		'min-h-[3rem] min-w-[3rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-2 text-[1.15rem] font-semibold tnum active:bg-(--work-soft)';
	function read(tenth: number) {
		if (degree === undefined) return;
		onread(toC(degree + tenth / 10));
		from = degree - 1;
		degree = undefined;
	}
</script>

<fieldset class="flex flex-col items-center gap-1.5">
	<legend class="label mx-auto mb-1 text-center"
		>{label}, {fahrenheit ? '°F' : '°C'}: {degree === undefined ? 'the degree' : `${degree} and how many tenths`}</legend>
	<div class="flex flex-wrap justify-center gap-1.5">
		{#if degree === undefined}
			<button type="button" class={key} aria-label="{label}: lower degrees" onclick={() => shift(-SHOWN)}>‹</button>
			{#each { length: SHOWN }, i (i)}
				<button type="button" class={key} onclick={() => (degree = from + i)}>{from + i}</button>
			{/each}
			<button type="button" class={key} aria-label="{label}: higher degrees" onclick={() => shift(SHOWN)}>›</button>
		{:else}
			{#each { length: 10 }, i (i)}
				<button type="button" class={key} onclick={() => read(i)}>.{i}</button>
			{/each}
			<button type="button" class={key} aria-label="{label}: another degree" onclick={() => (degree = undefined)}>‹</button>
		{/if}
	</div>
</fieldset>
