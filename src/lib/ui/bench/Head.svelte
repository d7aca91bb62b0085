<script lang="ts">
	import type { Snippet } from 'svelte';
	import CloudOff from '@lucide/svelte/icons/cloud-off';
	import Hand from '@lucide/svelte/icons/hand';
	import Undo from '@lucide/svelte/icons/undo-2';
	import Volume2 from '@lucide/svelte/icons/volume-2';
	import VolumeX from '@lucide/svelte/icons/volume-x';
	import { countdown } from '../clockText';
	import GiveUp from '../GiveUp.svelte';
	import { gloves } from '../gloves.svelte';
	import type { HandLayout } from '../hand.svelte';
	import { nextSignalWay } from '../signals';
	import { sound } from '../sound.svelte';
	import { SMALL_BUTTON } from './smallButton';

	/** What is worked on, what is not yet sent, and the few switches of the bench. */
	interface Props {
		open: boolean;
		unsent: number;
		/** Why the server did not take something. */
		refused: string;
		/** What this device's clock lacks against the workshop's, ms. */
		clockOffMs?: number;
		/** Takes the last step back; nothing while there is none to take back. */
		onundo: (() => void) | undefined;
		layout: HandLayout;
		/** Where leaving leads. */
		leave: string;
		giveUp: { giveUp: string; goOn: string; example: string };
		onend: (reason: string) => void;
		/** What it is of. */
		title: Snippet;
		/** More switches. */
		extra?: Snippet;
	}
	let { open, unsent, refused, clockOffMs = 0, onundo, layout, leave, giveUp, onend, title, extra }: Props = $props();
	let givingUp = $state(false);
	/** From here on a clock is wrong, and not merely late with its answer, ms. */
	const WRONG_MS = 30_000;
</script>

<header class="flex flex-wrap items-center gap-x-1.5 gap-y-2 py-2 sm:gap-x-3">
	<p class="min-w-0 flex-1 basis-full truncate text-[1rem] lg:basis-0">{@render title()}</p>
	{#if unsent > 0}<span class="inline-flex items-center gap-2 font-semibold text-(--hot)" role="status"
			><CloudOff class="size-5" aria-hidden="true" />{unsent} kept here, not yet on the server</span
		>{/if}
	{#if onundo && open}<button type="button" class={SMALL_BUTTON} onclick={onundo}
			><Undo class="size-5" aria-hidden="true" /><span class="max-sm:sr-only">Back</span></button
		>{/if}
	{#if open && gloves.marks.length > 1}
		<span class="inline-flex gap-1.5" role="group" aria-label="Who has the gloves on">
			{#each gloves.marks as { name, mark } (mark)}
				<button
					type="button"
					aria-pressed={gloves.mark === mark}
					aria-label="{mark}: {name} has the gloves on"
					class={[
						'grid size-[2.9rem] cursor-pointer place-items-center rounded-full border-2 text-[0.85rem] font-bold',
						gloves.mark === mark ? 'here border-(--work) bg-(--work) text-(--work-ink)' : 'border-(--line-strong) bg-(--paper)'
					]}
					onclick={() => gloves.choose(mark)}>{mark}</button>
			{/each}
		</span>
	{/if}
	{@render extra?.()}
	<button
		type="button"
		class={SMALL_BUTTON}
		onclick={() => (sound.way = nextSignalWay(sound.way))}
		aria-label={sound.blocked && sound.way !== 'muted'
			? 'Sound: blocked here until something is pressed'
			: `Sound: ${sound.way}. Deadlines are told by it: change it`}
		>{#if sound.way === 'muted' || sound.blocked}<VolumeX class="size-5" aria-hidden="true" /><span class="max-sm:sr-only"
				>Sound: {sound.way === 'muted' ? 'muted' : 'blocked'}</span
			>{:else}<Volume2 class="size-5" aria-hidden="true" /><span class="max-sm:sr-only"
				>Sound: {sound.way === 'voice' ? 'voice' : 'tones'}</span
			>{/if}</button>
	{#if open}<button
			type="button"
			class={SMALL_BUTTON}
			onclick={() => layout.next()}
			aria-label="Button: {layout.hand === 'both' ? 'both hands' : `${layout.hand} hand`}: change it"
			><Hand class="size-5" aria-hidden="true" /><span class="max-sm:sr-only"
				>Button: {layout.hand === 'both' ? 'both hands' : `${layout.hand} hand`}</span
			></button
		>{/if}
	{#if open}<button type="button" class={SMALL_BUTTON} onclick={() => (givingUp = !givingUp)}>Give up</button>{/if}
	<a class={SMALL_BUTTON} href={leave}>Leave</a>
</header>
{#if refused}<p class="mb-2 font-semibold text-(--harm)" role="alert">{refused}</p>{/if}
{#if Math.abs(clockOffMs) >= WRONG_MS}<p class="mb-2 font-semibold text-(--harm)" role="status">
		The clock of this device is {countdown(Math.abs(clockOffMs) / 1000)}
		{clockOffMs > 0 ? 'slow' : 'fast'} against the workshop’s: set it, or its times do not fit those of others. How much it is off is kept with
		what is noted here.
	</p>{/if}
{#if givingUp && open}
	<GiveUp {...giveUp} {onend} onback={() => (givingUp = false)} />
{/if}
