<script lang="ts">
	import { onMount } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import type { Stroke } from '$lib/photo/strokes';
	import Segments from '../Segments.svelte';
	import { faultWords, type Picture, type PictureSitting } from './sitting.svelte';

	/** One picture with its outline over it: painted with brush and eraser, by touch, mouse or keys. */
	interface Props {
		sitting: PictureSitting;
		picture: Picture;
		number: number;
		onclose: () => void;
	}
	let { sitting, picture, number, onclose }: Props = $props();
	let dialog: HTMLDialogElement;
	let canvas: HTMLCanvasElement;
	let photo: HTMLImageElement;
	let says = $state<Stroke['says']>('piece');
	let wide = $state(0.03);
	let strokes = $state.raw<Stroke[]>([]);
	let undone = $state.raw<Stroke[]>([]);
	let drawing: Stroke | undefined;
	let outline = $state.raw<{ widthPx: number; heightPx: number; piece: Uint8Array } | undefined>();
	let working = $state(false);
	let said = $state('');
	/** Where the keys' brush is, shares of the width. */
	let cursor = $state<[number, number]>([0.5, 0.37]);
	let byKeys = $state(false);
	const { widthPx, heightPx } = $derived(picture.sight);

	onMount(() => {
		strokes = [...picture.strokes];
		dialog.showModal();
		void cut();
	});

	async function cut() {
		working = true;
		outline = await sitting.outline(picture.id);
		working = false;
	}
	async function settle(next: Stroke[], why: string) {
		strokes = next;
		said = why;
		await sitting.paint(picture.id, next);
		await cut();
	}

	/** The picture with its outline as a tint over it; made once for each outline. */
	let ground: OffscreenCanvas | undefined;
	function lay() {
		if (!photo?.complete) return;
		ground = new OffscreenCanvas(widthPx, heightPx);
		const context = ground.getContext('2d', { willReadFrequently: true })!;
		context.drawImage(photo, 0, 0, widthPx, heightPx);
		if (outline) {
			const image = context.getImageData(0, 0, widthPx, heightPx);
			const { piece } = outline;
			for (let i = 0, o = 0; i < piece.length; i++, o += 4) {
				const rim = i > 2 * widthPx && (piece[i] !== piece[i - 2] || piece[i] !== piece[i - 2 * widthPx]);
				if (rim) image.data.set([255, 120, 0, 255], o);
				else if (!piece[i]) for (let c = 0; c < 3; c++) image.data[o + c] = image.data[o + c]! * 0.6;
			}
			context.putImageData(image, 0, 0);
		}
		canvas.width = widthPx;
		canvas.height = heightPx;
		show();
	}
	/** The picture, and the stroke that is being drawn. */
	function show() {
		const context = canvas?.getContext('2d');
		if (!context || !ground) return;
		context.drawImage(ground, 0, 0);
		for (const s of drawing ? [drawing] : []) draw(context, s);
		if (byKeys) {
			context.strokeStyle = '#ffffff';
			context.lineWidth = 3;
			context.beginPath();
			context.arc(cursor[0] * widthPx, cursor[1] * widthPx, (wide * widthPx) / 2, 0, 2 * Math.PI);
			context.stroke();
		}
	}
	function draw(context: CanvasRenderingContext2D, { points, wide: w, says: s }: Stroke) {
		context.strokeStyle = s === 'piece' ? 'rgb(47 160 130 / 0.75)' : 'rgb(190 40 40 / 0.75)';
		context.lineWidth = w * widthPx;
		context.lineCap = context.lineJoin = 'round';
		context.beginPath();
		for (let i = 0; i + 1 < points.length; i += 2) {
			const [x, y] = [points[i]! * widthPx, points[i + 1]! * widthPx];
			if (i === 0) context.moveTo(x, y);
			context.lineTo(x, y);
		}
		context.stroke();
	}
	$effect(() => {
		void outline;
		lay();
	});
	$effect(() => {
		void [cursor, byKeys, wide];
		show();
	});

	const placeOf = (e: PointerEvent): [number, number] => {
		const box = canvas.getBoundingClientRect();
		return [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.width];
	};
	function down(e: PointerEvent) {
		if (working || (e.pointerType === 'mouse' && e.button !== 0)) return;
		canvas.setPointerCapture(e.pointerId);
		byKeys = false;
		drawing = { says, wide, points: placeOf(e) };
		show();
	}
	function move(e: PointerEvent) {
		if (!drawing) return;
		drawing.points.push(...placeOf(e));
		show();
	}
	function up() {
		if (!drawing) return;
		const stroke = drawing;
		drawing = undefined;
		undone = [];
		void settle([...strokes, stroke], stroke.says === 'piece' ? 'Painted as the piece.' : 'Painted as none of it.');
	}
	function undo() {
		const last = strokes.at(-1);
		if (!last || working) return;
		undone = [...undone, last];
		void settle(strokes.slice(0, -1), 'The last stroke is undone.');
	}
	function redo() {
		const back = undone.at(-1);
		if (!back || working) return;
		undone = undone.slice(0, -1);
		void settle([...strokes, back], 'The stroke is back.');
	}
	const WAYS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
	function key(e: KeyboardEvent) {
		const way = WAYS[e.key];
		if (way) {
			byKeys = true;
			const step = wide / (e.shiftKey ? 1 : 2);
			cursor = [Math.min(1, Math.max(0, cursor[0] + way[0] * step)), Math.min(heightPx / widthPx, Math.max(0, cursor[1] + way[1] * step))];
		} else if (e.key === ' ' || e.key === 'Enter') {
			byKeys = true;
			if (!working) {
				undone = [];
				void settle(
					[...strokes, { says, wide, points: [...cursor] }],
					says === 'piece' ? 'Painted as the piece.' : 'Painted as none of it.'
				);
			}
		} else if (e.key === 'z' && (e.ctrlKey || e.metaKey)) undo();
		else return;
		e.preventDefault();
	}
</script>

<dialog
	bind:this={dialog}
	{onclose}
	aria-labelledby="outline-head"
	class="m-auto max-h-[96dvh] w-[min(96vw,70rem)] overflow-y-auto rounded-xl bg-(--paper) p-4 text-(--ink) backdrop:bg-black/60">
	<div class="mb-3 flex flex-wrap items-center gap-3">
		<h2 id="outline-head" class="mr-auto">Outline of picture {number}</h2>
		<Segments
			label="Brush"
			name="brush"
			bind:value={says}
			options={[
				{ value: 'piece', label: 'Piece' },
				{ value: 'ground', label: 'Not the piece' }
			]} />
		<label class="flex items-center gap-2 font-semibold"
			>Width <input
				type="range"
				min="0.005"
				max="0.1"
				step="0.005"
				bind:value={wide}
				class="accent-(--work)"
				aria-label="Width of the brush" /></label>
		<Button color="alternative" onclick={undo} disabled={strokes.length === 0 || working}>Undo</Button>
		<Button color="alternative" onclick={redo} disabled={undone.length === 0 || working}>Redo</Button>
		<Button onclick={() => dialog.close()}>Done</Button>
	</div>
	{#if faultWords(picture.sight)}<p class="mb-2 font-semibold text-(--harm)">{faultWords(picture.sight)}</p>{/if}
	<img bind:this={photo} src={picture.url} alt="" class="hidden" onload={lay} />
	<!-- a picture that is painted by its own keys -->
	<!-- svelte-ignore a11y_no_interactive_element_to_noninteractive_role -->
	<canvas
		bind:this={canvas}
		tabindex="0"
		role="application"
		aria-label="Picture {number} with its outline. Arrow keys move the brush, space paints, Control Z undoes."
		class="mx-auto block max-h-[calc(96dvh-10rem)] max-w-full cursor-crosshair touch-none rounded-lg focus-visible:outline-3 focus-visible:outline-(--ink)"
		onpointerdown={down}
		onpointermove={move}
		onpointerup={up}
		onpointercancel={up}
		onkeydown={key}></canvas>
	<p class="soft mt-2 min-h-[1.6rem]" role="status">
		{working
			? 'Cutting it anew.'
			: outline
				? said || 'The rim is orange, what is none of the piece is dark.'
				: 'This picture has no place yet, so it has no outline.'}
	</p>
</dialog>
