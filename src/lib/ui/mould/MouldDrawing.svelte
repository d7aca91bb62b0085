<script lang="ts">
	import type { Drawing, Tone } from '$lib/core/drawing';

	/** A drawing to scale in the page's own colours; the same marks go to the paper and the file. */
	let { drawing, label }: { drawing: Drawing; label: string } = $props();
	const uid = $props.id();
	const FILLS: Record<Tone, string> = {
		rubber: `url(#${uid}-rubber)`,
		master: 'var(--paper)',
		clay: 'var(--clay)',
		board: 'var(--sunk)',
		shell: 'var(--work-soft)',
		ink: 'var(--ink)',
		seam: 'var(--hot)',
		sprue: 'var(--work)',
		vent: 'var(--work)',
		key: 'var(--paper)',
		level: 'var(--work)',
		dim: 'var(--ink-soft)',
		none: 'none'
	};
	const stroke = (m: { line?: Tone }) => FILLS[m.line ?? 'ink'];
	const width = (m: { line?: Tone; heavy?: boolean }) =>
		drawing.letterMm * (m.heavy || m.line === 'seam' || m.line === 'vent' || m.line === 'level' ? 0.17 : 0.09);
	const dash = (m: { dash?: boolean }) => (m.dash ? `${drawing.letterMm * 0.5} ${drawing.letterMm * 0.32}` : undefined);
	const step = $derived(drawing.letterMm * 0.6);
</script>

<svg
	viewBox="{drawing.x} {drawing.y} {drawing.widthMm} {drawing.heightMm}"
	class="h-auto max-h-[27rem] w-full"
	role="img"
	aria-label={label}>
	<defs>
		<pattern id="{uid}-rubber" width={step} height={step} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<rect width={step} height={step} fill="var(--rubber)" />
			<line x1="0" y1="0" x2="0" y2={step} stroke="var(--ink)" stroke-opacity=".16" stroke-width={step / 5} />
		</pattern>
	</defs>
	{#each drawing.marks as m, i (i)}
		{#if m.kind === 'rect'}
			<rect
				x={m.x}
				y={m.y}
				width={m.w}
				height={m.h}
				fill={FILLS[m.tone]}
				stroke={stroke(m)}
				stroke-width={width(m)}
				stroke-dasharray={dash(m)} />
		{:else if m.kind === 'circle'}
			<circle cx={m.cx} cy={m.cy} r={m.r} fill={FILLS[m.tone]} stroke={stroke(m)} stroke-width={width(m)} stroke-dasharray={dash(m)} />
		{:else if m.kind === 'path'}
			<path d={m.d} fill={FILLS[m.tone]} stroke={stroke(m)} stroke-width={width(m)} stroke-dasharray={dash(m)} stroke-linejoin="round" />
		{:else}
			<text x={m.x} y={m.y} text-anchor={m.anchor} font-size={drawing.letterMm} font-weight={m.bold ? 700 : 600} fill="var(--ink)"
				>{m.text}</text>
		{/if}
	{/each}
</svg>
