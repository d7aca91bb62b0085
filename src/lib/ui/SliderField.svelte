<script lang="ts">
	import type { QuantityKind } from '$lib/core/units';
	import QuantityField from './QuantityField.svelte';

	/** A quantity that is typed or dragged. `log` spaces it by factors, as masses want. */
	interface Props {
		label: string;
		kind: QuantityKind;
		value: number | undefined;
		name: string;
		min: number;
		max: number;
		step?: number;
		log?: boolean;
		error?: string[] | undefined;
	}
	let { label, kind, value = $bindable(), name, min, max, step = 1, log = false, error }: Props = $props();

	const toSlider = (v: number) => (log ? Math.log(v / min) / Math.log(max / min) : (v - min) / (max - min));
	const fromSlider = (s: number) => {
		const raw = log ? min * (max / min) ** s : min + s * (max - min);
		return log ? Number(raw.toPrecision(2)) : Math.round(raw / step) * step;
	};
	const position = $derived(value !== undefined && Number.isFinite(value) ? toSlider(Math.min(max, Math.max(min, value))) : 0);
</script>

<div>
	<QuantityField {label} {kind} {name} bind:value {error} compact />
	<input
		type="range"
		min="0"
		max="1"
		step="any"
		class="h-7 w-full cursor-pointer accent-(--work)"
		aria-label="{label}, by dragging"
		value={position}
		oninput={(e) => (value = fromSlider(Number(e.currentTarget.value)))} />
</div>
