<script lang="ts">
	import type { Cavity, MasterSize } from '$lib/core/mould';
	import { useUnits } from './units.svelte';

	/** A block mould cut through the middle and seen from above, to one scale, with its sizes. */
	interface Props {
		cavity: Cavity;
		master: MasterSize;
		clearanceMm: number;
		coverMm: number;
		/** Two-part: parting line above the master's lowest point; the master then stands off the floor. */
		partingMm?: number | undefined;
	}
	let { cavity, master, clearanceMm, coverMm, partingMm }: Props = $props();
	const units = useUnits();
	const uid = $props.id();

	const across = $derived(cavity.shape === 'box' ? cavity.lengthMm : cavity.diameterMm);
	const deep = $derived(cavity.shape === 'box' ? cavity.widthMm : cavity.diameterMm);
	const masterAcross = $derived(master.lengthMm);
	const masterDeep = $derived(master.footprint === 'round' ? master.lengthMm : master.widthMm);
	/** Gap beside the master in this cut; in a tube it is wider than the clearance at the corners. */
	const side = $derived((across - masterAcross) / 2);

	// one scale for both views: the drawing is 640 × 330
	const scale = $derived(Math.min(225 / cavity.heightMm, 205 / deep, 380 / (across + Math.min(across, deep) * 0.75)));
	const w = $derived(across * scale);
	const h = $derived(cavity.heightMm * scale);
	const d = $derived(deep * scale);
	const x0 = 84;
	const base = 276;
	const planX = $derived(x0 + w + 86);
	const planY = $derived(base - Math.max(h, d) / 2 - d / 2 + (Math.max(h, d) - h) / 2);
	const mw = $derived(masterAcross * scale);
	const mh = $derived(master.heightMm * scale);
	const md = $derived(masterDeep * scale);
	/** Lowest point of the master in the drawing. */
	const foot = $derived(base - (partingMm === undefined ? 0 : coverMm * scale));
	const line = $derived(partingMm === undefined ? undefined : foot - partingMm * scale);
	const mm = (value: number) => units.show(value, 'length');
</script>

<svg
	viewBox="0 0 {Math.max(560, planX + w + 40)} 330"
	class="h-auto max-h-[24rem] w-full"
	role="img"
	aria-label="Section and plan of the mould: {cavity.shape}, {mm(across)} across, {mm(cavity.heightMm)} high">
	<defs>
		<pattern id="{uid}-rubber" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
			<rect width="9" height="9" fill="var(--rubber)" />
			<line x1="0" y1="0" x2="0" y2="9" stroke="var(--ink)" stroke-opacity=".18" stroke-width="2" />
		</pattern>
		<marker id="{uid}-tick" viewBox="0 0 10 10" refX="5" refY="5" markerWidth="7" markerHeight="7" orient="auto">
			<line x1="2" y1="8" x2="8" y2="2" stroke="var(--ink)" stroke-width="1.8" />
		</marker>
	</defs>
	<g font-size="15" fill="var(--ink)" font-weight="600">
		<!-- section -->
		<path d="M{x0 - 5} {base - h - 16} V{base} H{x0 + w + 5} V{base - h - 16}" fill="none" stroke="var(--line-strong)" stroke-width="5" />
		<rect x={x0} y={base - h} width={w} height={h} fill="url(#{uid}-rubber)" />
		<line x1={x0} x2={x0 + w} y1={base - h} y2={base - h} stroke="var(--work)" stroke-width="3" />
		<rect
			x={x0 + (w - mw) / 2}
			y={foot - mh}
			width={mw}
			height={mh}
			fill="var(--paper)"
			stroke="var(--ink)"
			stroke-width="2"
			stroke-dasharray="7 4" />
		<text x={x0 + w / 2} y={foot - mh * (line === undefined ? 0.5 : 0.75) + 5} text-anchor="middle" font-size="14"
			>{mw > 66 ? 'master' : ''}</text>
		<rect x={x0 - 26} y={base} width={w + 52} height="10" fill="var(--line-strong)" />
		{#if line !== undefined}
			<!-- the joint steps over two keys, so that the halves find each other -->
			<path
				d="M{x0} {line} h{(w - mw) / 4 - 5} q5 -9 10 0 H{x0 + (w - mw) / 2} M{x0 + (w + mw) / 2} {line} h{(w - mw) / 4 -
					5} q5 -9 10 0 H{x0 + w}"
				fill="none"
				stroke="var(--hot)"
				stroke-width="3" />
			<line x1={x0 + (w - mw) / 2} x2={x0 + (w + mw) / 2} y1={line} y2={line} stroke="var(--hot)" stroke-width="2" stroke-dasharray="4 4" />
		{/if}
		<!-- sizes -->
		<g stroke="var(--ink)" stroke-width="1.2" marker-start="url(#{uid}-tick)" marker-end="url(#{uid}-tick)">
			<line x1={x0} x2={x0 + w} y1={base + 26} y2={base + 26} />
			<line x1={x0 - 26} x2={x0 - 26} y1={base} y2={base - h} />
			<line x1={x0 + w / 2} x2={x0 + w / 2} y1={base - h} y2={foot - mh} />
			<line x1={x0} x2={x0 + (w - mw) / 2} y1={foot - mh * 0.28} y2={foot - mh * 0.28} />
		</g>
		<text x={x0 + w / 2} y={base + 46} text-anchor="middle">{mm(across)}</text>
		<text x={x0 - 34} y={base - h / 2} text-anchor="middle" transform="rotate(-90 {x0 - 34} {base - h / 2})">{mm(cavity.heightMm)}</text>
		<g stroke="var(--paper)" stroke-width="4" paint-order="stroke">
			<text x={x0 + w / 2 + 9} y={(base - h + foot - mh) / 2 + 5}>{mm(coverMm)}</text>
			<text x={x0 + 4} y={foot - mh * 0.28 - 7} font-size="13">{mm(side)}</text>
		</g>
		<text x={x0 + w / 2} y={base - h - 24} text-anchor="middle" font-size="13" fill="var(--work)">fill to here</text>
		<!-- plan -->
		{#if cavity.shape === 'box'}
			<rect x={planX} y={planY} width={w} height={d} fill="url(#{uid}-rubber)" stroke="var(--line-strong)" stroke-width="5" />
		{:else}
			<circle cx={planX + w / 2} cy={planY + d / 2} r={w / 2} fill="url(#{uid}-rubber)" stroke="var(--line-strong)" stroke-width="5" />
		{/if}
		{#if master.footprint === 'round'}
			<circle
				cx={planX + w / 2}
				cy={planY + d / 2}
				r={mw / 2}
				fill="var(--paper)"
				stroke="var(--ink)"
				stroke-width="2"
				stroke-dasharray="7 4" />
		{:else}
			<rect
				x={planX + (w - mw) / 2}
				y={planY + (d - md) / 2}
				width={mw}
				height={md}
				fill="var(--paper)"
				stroke="var(--ink)"
				stroke-width="2"
				stroke-dasharray="7 4" />
		{/if}
		<text x={planX + w / 2} y={planY - 12} text-anchor="middle" font-size="13">from above</text>
		<text x={planX + w / 2} y={planY + d + 22} text-anchor="middle"
			>{cavity.shape === 'box' ? `${mm(across)} × ${mm(deep)}` : `⌀ ${mm(across)}`}</text>
	</g>
	<title>Clearance {mm(clearanceMm)}, cover {mm(coverMm)}</title>
</svg>
