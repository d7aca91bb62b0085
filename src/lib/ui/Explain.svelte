<script lang="ts">
	import { tick } from 'svelte';
	import { GLOSSARY } from './glossary';
	import { useUnits } from './units.svelte';

	/** A word that makes a newcomer stop is explained where it stands; nothing for a word that explains itself. */
	let { word }: { word: string } = $props();
	const units = useUnits();
	const words = $derived(GLOSSARY[word]);
	const uid = $props.id();
	let button: HTMLButtonElement | undefined = $state();
	let box: HTMLElement | undefined = $state();
	let open = $state(false);
	/** Room that the box keeps to the edge of the window, px. */
	const EDGE_PX = 12;

	async function toggle() {
		open = !open;
		await tick();
		if (!open || !box || !button) return;
		box.showPopover();
		const { left, bottom, top } = button.getBoundingClientRect();
		const { width, height } = box.getBoundingClientRect();
		box.style.left = `${Math.max(EDGE_PX, Math.min(left - 16, innerWidth - width - EDGE_PX))}px`;
		box.style.top = `${bottom + height + EDGE_PX > innerHeight ? Math.max(EDGE_PX, top - height - 6) : bottom + 6}px`;
	}
</script>

{#if words}
	<button
		bind:this={button}
		type="button"
		class="explain -my-1 ml-1 inline-grid size-[1.35rem] shrink-0 cursor-pointer place-items-center rounded-full border-[1.5px] border-(--line-strong) text-[0.85rem] leading-none font-bold text-(--ink-soft) hover:text-(--work)"
		title="What is that: {word}?"
		aria-expanded={open}
		aria-controls={open ? uid : undefined}
		onclick={toggle}><span aria-hidden="true">?</span></button>
	{#if open}
		<!-- closed by Escape or by a press anywhere else -->
		<div
			bind:this={box}
			id={uid}
			popover="auto"
			role="note"
			class="fixed m-0 max-w-[24rem] rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) p-4 text-[1rem] leading-snug font-normal text-(--ink) shadow-lg"
			ontoggle={(e) => {
				if (e.newState === 'closed') open = false;
			}}>
			<strong>{word}.</strong>
			{units.text(words)}
		</div>
	{/if}
{/if}
