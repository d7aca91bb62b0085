<script lang="ts" module>
	const DISC = 'M5 .8a4.2 4.2 0 1 1 0 8.4a4.2 4.2 0 1 1 0-8.4z';
	const RING = `${DISC}M5 1.9a3.1 3.1 0 1 1 0 6.2a3.1 3.1 0 1 1 0-6.2z`;
	const spot = (x: number, y: number) => `M${x - 0.9} ${y}a.9 .9 0 1 0 1.8 0a.9 .9 0 1 0-1.8 0z`;
	/** Outlines in a square of ten by ten; where two lie over each other it is empty. */
	const OUTLINES = {
		full: DISC,
		ring: RING,
		left: `${RING}M5 1.9a3.1 3.1 0 0 0 0 6.2z`,
		right: `${RING}M5 1.9a3.1 3.1 0 0 1 0 6.2z`,
		quarter: `${RING}M5 1.9a3.1 3.1 0 0 1 3.1 3.1h-3.1z`,
		core: `${RING}M5 3.1a1.9 1.9 0 1 1 0 3.8a1.9 1.9 0 1 1 0-3.8z`,
		spots: spot(8.5, 5) + spot(6.8, 8.1) + spot(3.2, 8.1) + spot(1.5, 5) + spot(3.2, 1.9) + spot(6.8, 1.9),
		cross: 'M1.2 2.5 2.5 1.2 5 3.7 7.5 1.2 8.8 2.5 6.3 5 8.8 7.5 7.5 8.8 5 6.3 2.5 8.8 1.2 7.5 3.7 5z',
		run: 'M2 1l7 4-7 4z',
		dash: 'M1 4.3h8v1.4H1z',
		dot: 'M5 3.9a1.1 1.1 0 1 1 0 2.2a1.1 1.1 0 1 1 0-2.2z',
		flag: 'M2 .5h1.3v9H2zM3.3 1h6L7.5 3.2 9.3 5.4h-6z'
	} as const;
	/** What a mark looks like. */
	export type Outline = keyof typeof OUTLINES;
</script>

<script lang="ts">
	/** The sign beside a word of state. Drawn, since as a letter it would be another typeface's on every device. */
	let { outline }: { outline: Outline } = $props();
</script>

<svg viewBox="0 0 10 10" class="inline size-[0.72em] flex-none align-[-0.04em]" fill="currentColor" fill-rule="evenodd" aria-hidden="true"
	><path d={OUTLINES[outline]} /></svg>
