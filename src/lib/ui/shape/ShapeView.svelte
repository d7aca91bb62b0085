<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { frameFor } from '$lib/core/mesh/frame';
	import type { Trap } from '$lib/core/mesh/traps';
	import type { Opening } from '$lib/core/master';
	import type { Palette, ShapeScene } from './scene';
	import type { Drawn } from './studio.svelte';

	type V3 = readonly [number, number, number];
	interface Props {
		mesh: Drawn;
		up: V3;
		traps: readonly Trap[];
		cellMm: number;
		heights: [number, number];
		chosen: number | undefined;
		openings: readonly Opening[];
		highlighted: { triangles: Uint32Array; colour: keyof Palette }[];
		parting: Float32Array | undefined;
		cut: number | undefined;
		fill: number | undefined;
		seeThrough: boolean;
		label: string;
		/** A press on the piece: the ray through it, in the mesh's own space. */
		onpick?: (ray: { origin: V3; direction: V3; clip?: { normal: V3; offset: number } }) => void;
		scene?: ShapeScene | undefined;
	}
	let {
		mesh,
		up,
		traps,
		cellMm,
		heights,
		chosen,
		openings,
		highlighted,
		parting,
		cut,
		fill,
		seeThrough,
		label,
		onpick,
		scene = $bindable()
	}: Props = $props();

	let canvas: HTMLCanvasElement;
	let box: HTMLDivElement;
	let failed = $state(false);

	function palette(): Palette {
		const css = getComputedStyle(document.documentElement);
		const colour = (name: string) => css.getPropertyValue(name).trim();
		return {
			ground: colour('--paper'),
			plaster: document.documentElement.classList.contains('dark') ? '#cfc5b2' : '#b3a388',
			ink: colour('--ink'),
			work: colour('--work'),
			hot: colour('--hot'),
			harm: colour('--harm')
		};
	}

	onMount(() => {
		let gone = false;
		let stop: (() => void) | undefined;
		void import('./scene').then(async ({ ShapeScene }) => {
			if (gone) return;
			const started = await ShapeScene.start(canvas, palette()).catch(() => undefined);
			if (gone || !started) {
				started?.dispose();
				failed = !gone;
				return;
			}
			scene = started;
			const watch = new ResizeObserver(() => scene?.resize(box.clientWidth, box.clientHeight));
			watch.observe(box);
			const theme = new MutationObserver(() => scene?.setPalette(palette()));
			theme.observe(document.documentElement, { attributeFilter: ['class'] });
			stop = () => {
				watch.disconnect();
				theme.disconnect();
			};
		});
		return () => {
			gone = true;
			stop?.();
			scene?.dispose();
			scene = undefined;
		};
	});

	$effect(() => {
		const { load, min, max } = mesh;
		const s = scene;
		if (!s) return;
		let overtaken = false;
		void untrack(load).then(({ positions, indices }) => {
			if (!overtaken) s.setMesh(positions, indices, min, max);
		});
		return () => (overtaken = true);
	});
	$effect(() => {
		const view = { up: [...up] as const, cut, fill, seeThrough, openings: $state.snapshot(openings) as Opening[] };
		const findings = {
			frame: frameFor(up),
			traps,
			cellMm,
			heights: $state.snapshot(heights) as [number, number],
			chosen,
			highlighted,
			parting
		};
		void mesh;
		scene?.setView(view);
		scene?.setFindings(findings);
	});

	let down: { x: number; y: number } | undefined;
	function release(event: PointerEvent) {
		if (!down || !scene || !onpick || Math.hypot(event.clientX - down.x, event.clientY - down.y) > 5) return;
		const r = canvas.getBoundingClientRect();
		onpick(scene.ray((2 * (event.clientX - r.left)) / r.width - 1, 1 - (2 * (event.clientY - r.top)) / r.height));
	}
	function key(event: KeyboardEvent) {
		const moves: Record<string, () => void> = {
			ArrowLeft: () => scene?.orbit(-1, 0),
			ArrowRight: () => scene?.orbit(1, 0),
			ArrowUp: () => scene?.orbit(0, 1),
			ArrowDown: () => scene?.orbit(0, -1),
			'+': () => scene?.zoom(0.88),
			'-': () => scene?.zoom(1.14),
			Home: () => scene?.home(),
			Enter: () => scene && onpick?.(scene.ray(0, 0))
		};
		const move = moves[event.key];
		if (!move || event.ctrlKey || event.metaKey || event.altKey) return;
		event.preventDefault();
		event.stopPropagation();
		move();
	}
</script>

<div bind:this={box} class="relative h-full min-h-[22rem] w-full overflow-hidden rounded-lg bg-(--sunk)">
	<!-- a picture that is turned by its own keys -->
	<!-- svelte-ignore a11y_no_interactive_element_to_noninteractive_role -->
	<canvas
		bind:this={canvas}
		class="absolute inset-0 h-full w-full touch-none focus-visible:outline-3 focus-visible:-outline-offset-3 focus-visible:outline-(--ink)"
		tabindex="0"
		role="application"
		aria-label={label}
		onpointerdown={(e) => (down = { x: e.clientX, y: e.clientY })}
		onpointerup={release}
		onkeydowncapture={key}></canvas>
	{#if failed}<p class="absolute inset-0 m-auto h-fit w-fit p-6 text-center">
			This browser gives no 3D view. Volume, pockets and undercuts are worked out all the same.
		</p>{/if}
</div>
