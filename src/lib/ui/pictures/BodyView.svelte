<script lang="ts">
	import ShapeView from '../shape/ShapeView.svelte';
	import type { Drawing } from '$lib/workers/pictures.worker';

	/** The body as it stands on the mat; where a hollow would not be seen is coloured. */
	let { body, label }: { body: Drawing; label: string } = $props();
	const mesh = $derived({
		load: () => Promise.resolve({ positions: body.positions.slice(), indices: body.indices.slice() }),
		min: [...body.min] as [number, number, number],
		max: [...body.max] as [number, number, number]
	});
	const highlighted = $derived([{ triangles: body.unsure, colour: 'hot' as const }]);
</script>

<ShapeView
	{mesh}
	up={[0, 0, 1]}
	traps={[]}
	cellMm={1}
	heights={[body.min[2], body.max[2]]}
	chosen={undefined}
	openings={[]}
	{highlighted}
	parting={undefined}
	cut={undefined}
	fill={undefined}
	seeThrough={false}
	{label} />
