<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { Spot } from '$lib/core/wear';

	/** Known bad places, marked on a plain sketch of the cavity: by a press, or by numbers. */
	let { spots = $bindable() }: { spots: Spot[] } = $props();
	const W = 100;
	function press(event: MouseEvent) {
		const box = (event.currentTarget as SVGElement).getBoundingClientRect();
		const at = (v: number, from: number, size: number) => Math.round(Math.min(100, Math.max(0, (100 * (v - from)) / size)));
		add(at(event.clientX, box.left, box.width), at(event.clientY, box.top, box.height));
	}
	const add = (x: number, y: number) => {
		if (spots.length < 40) spots = [...spots, { x, y, what: '' }];
	};
	const change = (i: number, part: Partial<Spot>) => (spots = spots.map((s, k) => (k === i ? { ...s, ...part } : s)));
</script>

<fieldset class="mt-4">
	<legend class="label">Known bad places: press where they are</legend>
	<svg
		viewBox="0 0 {W} 60"
		class="mt-1 h-auto w-full cursor-crosshair rounded-md bg-(--sunk)"
		preserveAspectRatio="none"
		role="button"
		tabindex="0"
		aria-label="Sketch of the mould with {spots.length} places: Enter adds one in the middle"
		onkeydown={(e) => {
			if (e.key === 'Enter') add(50, 50);
		}}
		onclick={press}>
		<rect x="3" y="3" width="94" height="54" rx="2" fill="none" stroke="var(--line-strong)" stroke-width="0.8" />
		<path
			d="M14 46 Q14 18 50 14 Q86 18 86 46 Z"
			fill="var(--paper)"
			stroke="var(--line-strong)"
			stroke-width="0.6"
			stroke-dasharray="2 1.5" />
		{#each spots as s, i (i)}
			<circle cx={s.x} cy={s.y * 0.6} r="2.6" fill="var(--ink)" />
			<text x={s.x} y={s.y * 0.6 + 1.3} font-size="3.6" font-weight="700" text-anchor="middle" fill="var(--paper)">{i + 1}</text>
		{/each}
	</svg>
	<ul class="mt-2 flex flex-col gap-2">
		{#each spots as s, i (i)}
			<li class="flex items-center gap-2">
				<strong class="w-5 text-right">{i + 1}</strong>
				<input
					class="min-h-[2.5rem] flex-1 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3"
					aria-label="What is at place {i + 1}"
					placeholder="bubbles under the rim"
					maxlength="80"
					value={s.what}
					oninput={(e) => change(i, { what: e.currentTarget.value })} />
				<Button
					color="alternative"
					size="sm"
					class="min-h-[2.5rem]"
					aria-label="Remove place {i + 1}"
					onclick={() => (spots = spots.filter((_, k) => k !== i))}>Remove</Button>
			</li>
		{/each}
	</ul>
	<Button color="alternative" size="sm" class="mt-2 min-h-[2.5rem]" onclick={() => add(50, 50)}>Add a place in the middle</Button>
</fieldset>
