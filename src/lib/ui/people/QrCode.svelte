<script lang="ts">
	/** A QR code, dark on light in every theme: a camera reads nothing else. */
	interface Props {
		size: number;
		/** Row by row, 1 where it is dark. */
		dark: readonly number[];
		label: string;
	}
	let { size, dark, label }: Props = $props();
	/** Empty modules round it: ISO/IEC 18004 wants four. */
	const QUIET = 4;
	const path = $derived(dark.map((d, i) => (d ? `M${(i % size) + QUIET} ${Math.floor(i / size) + QUIET}h1v1h-1z` : '')).join(''));
</script>

<svg
	viewBox="0 0 {size + 2 * QUIET} {size + 2 * QUIET}"
	class="w-full max-w-[16rem] rounded-lg"
	role="img"
	aria-label={label}
	shape-rendering="crispEdges">
	<rect width="100%" height="100%" fill="#fff" /><path d={path} fill="#000" />
</svg>
