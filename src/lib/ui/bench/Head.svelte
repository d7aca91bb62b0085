<script lang="ts">
	import GiveUp from '../GiveUp.svelte';
	import CloudOff from '@lucide/svelte/icons/cloud-off';
	import Gauge from '@lucide/svelte/icons/gauge';
	import Hand from '@lucide/svelte/icons/hand';
	import Undo from '@lucide/svelte/icons/undo-2';
	import Volume2 from '@lucide/svelte/icons/volume-2';
	import VolumeX from '@lucide/svelte/icons/volume-x';
	import type { PourPlan } from '$lib/core/plan';
	import type { Devices } from '../devices.svelte';
	import type { HandLayout } from '../hand.svelte';
	import type { PourRun } from '../pourRun.svelte';
	import { sound } from '../sound.svelte';
	import type { Desk } from './desk.svelte';

	/** What is poured, what is not yet sent, and the few switches of the bench. */
	interface Props {
		run: PourRun;
		plan: PourPlan;
		desk: Desk;
		devices: Devices;
		layout: HandLayout;
		/** Nothing is kept; its devices are always on. */
		practice: boolean;
		/** The workshop has instruments that can be listened to. */
		instruments: boolean;
		onway: () => void;
	}
	let { run, plan, desk, devices, layout, practice, instruments, onway }: Props = $props();
	const open = $derived(run.state.status === 'open');
	let givingUp = $state(false);
	const small =
		'inline-flex min-h-[2.9rem] cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-semibold sm:px-4';
</script>

<header class="flex flex-wrap items-center gap-x-1.5 gap-y-2 py-2 sm:gap-x-3">
	<p class="min-w-0 flex-1 basis-full truncate text-[1.05rem] lg:basis-0">
		{#if practice}<span class="mr-1 rounded-md border-2 border-(--hot) bg-(--hot-soft) px-2 py-0.5 font-bold text-(--ink)">Practice</span
			>{/if}
		<strong>{plan.masterName}</strong>
		<span class="soft"
			>{plan.moulds.map((m) => `M${m.number}`).join(' ')} · {plan.resinName} · cup {plan.batchIndex + 1} of {plan.batchCount}</span>
	</p>
	{#if run.unsent > 0}<span class="inline-flex items-center gap-2 font-semibold text-(--hot)" role="status"
			><CloudOff class="size-5" aria-hidden="true" />{run.unsent} kept here, not yet on the server</span
		>{/if}
	{#if run.state.lastUndoable && open}<button type="button" class={small} onclick={() => desk.back()}
			><Undo class="size-5" aria-hidden="true" /><span class="max-sm:sr-only">Back</span></button
		>{/if}
	{#if open && !practice && instruments}<button type="button" class={small} aria-pressed={devices.on} onclick={() => devices.toggle()}
			><Gauge class="size-5" aria-hidden="true" /><span class="max-sm:sr-only">{devices.on ? 'Instruments on' : 'Instruments off'}</span
			></button
		>{/if}
	<button
		type="button"
		class={small}
		onclick={onway}
		aria-label={sound.blocked && sound.way !== 'muted'
			? 'Sound is blocked here until something is pressed'
			: `Deadlines are told by ${sound.way}: change it`}
		>{#if sound.way === 'muted' || sound.blocked}<VolumeX class="size-5" aria-hidden="true" /><span class="max-sm:sr-only"
				>{sound.way === 'muted' ? 'Muted' : 'Blocked'}</span
			>{:else}<Volume2 class="size-5" aria-hidden="true" /><span class="max-sm:sr-only">{sound.way === 'voice' ? 'Voice' : 'Tones'}</span
			>{/if}</button>
	{#if open}<button
			type="button"
			class={small}
			onclick={() => layout.next()}
			aria-label="The large button is for {layout.hand === 'both' ? 'both hands' : `the ${layout.hand} hand`}: change it"
			><Hand class="size-5" aria-hidden="true" /><span class="max-sm:sr-only">{layout.hand}</span></button
		>{/if}
	{#if open}<button type="button" class={small} onclick={() => (givingUp = !givingUp)}>Give up</button>{/if}
	<a class={small} href={practice ? '/practice' : '/'}>Leave</a>
</header>
{#if run.refused}<p class="mb-2 font-semibold text-(--harm)" role="alert">{run.refused}</p>{/if}
{#if givingUp && open}
	<GiveUp
		giveUp="Give this pour up"
		goOn="Go on pouring"
		example="kicked in the cup"
		onend={(reason) => run.record({ kind: 'abandoned', reason })}
		onback={() => (givingUp = false)} />
{/if}
