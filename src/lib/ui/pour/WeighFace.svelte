<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Devices } from '../devices.svelte';
	import { useUnits } from '../units.svelte';
	import type { Scale } from './scale.svelte';

	/** One amount to be in a cup: what is still to pour, the band in which it is right, and the scale itself. */
	interface Props {
		part: 'A' | 'B' | undefined;
		scale: Scale;
		devices: Devices;
		/** Where it is typed what is in the cup. */
		typed?: Snippet | undefined;
	}
	let { part, scale, devices, typed }: Props = $props();
	const units = useUnits();
	const g = (massG: number) => units.weighed(massG);
	const live = $derived(devices.live('scale') !== undefined);
	const now = $derived(scale.now);
	const tone = $derived(now?.state === 'over' ? 'var(--hot)' : now?.state === 'right' ? 'var(--work)' : 'var(--ink)');
	/** The bar runs past the target so that an over-pour is seen. */
	const span = $derived(scale.targetG * 1.25);
	const percent = (value: number) => `${Math.min(100, Math.max(0, (100 * value) / span))}%`;
	const holds = [
		{ label: 'Pour', key: 'P', slow: false },
		{ label: 'Trickle', key: 'T', slow: true }
	] as const;
</script>

<!-- with a scale there is more to show: on a low screen all of it is a little smaller, so that the caution stays in sight -->
<div class={['flex flex-col items-center gap-3', live && '[@media(max-height:860px)]:gap-2']}>
	<p class="flex items-center justify-center gap-6" style:color={live ? tone : 'inherit'}>
		{#if part}<span
				class={[
					'grid place-items-center rounded-2xl leading-none font-extrabold',
					live
						? 'size-28 text-[4.6rem] [@media(max-height:860px)]:size-20 [@media(max-height:860px)]:text-[3.2rem]'
						: 'size-28 text-[4.6rem]',
					part === 'A' ? 'bg-(--part-a) text-(--paper)' : 'hatch-b text-(--ink)'
				]}><span class={part === 'B' ? 'rounded-lg bg-(--paper) px-3' : ''}>{part}</span></span
			>{/if}
		<span
			class={['answer whitespace-nowrap', live ? 'text-[clamp(2.2rem,min(13vh,16vw),8rem)]' : 'text-[clamp(2.2rem,min(16vh,16vw),8rem)]']}
			data-testid="weigh">
			{#if live && now}{now.state === 'right' ? g(scale.netG) : now.state === 'over' ? `+${g(-now.toGoG)}` : g(now.toGoG)}
			{:else if scale.markMm !== undefined}{units.show(scale.markMm, 'length')}
			{:else}{g(scale.targetG)}{/if}
		</span>
	</p>
	{#if live && now}
		<!-- a screen reader hears when what to do changes, not each gram on the way -->
		<p class="sr-only" role="status">
			{scale.zeroing
				? 'Zeroing'
				: now.state === 'right'
					? 'Right'
					: now.state === 'over'
						? 'Too much'
						: now.state === 'slow'
							? 'Trickle now'
							: ''}
		</p>
		<p class="text-[1.4rem] font-semibold" data-testid="scale-words">
			{#if scale.zeroing}The scale is being zeroed: wait a moment
			{:else if now.state === 'right'}Right: {g(scale.targetG)} wanted
			{:else if now.state === 'over'}too much of {g(scale.targetG)}; the other side follows
			{:else}to go of {g(scale.targetG)}{now.state === 'slow' ? ': trickle' : ''}{/if}
			<span class="soft font-normal">· the scale shows {g(scale.netG)}{devices.live('scale')?.settled ? '' : ', still moving'}</span>
		</p>
		<div class="relative h-9 w-full max-w-[52rem] rounded-md bg-(--sunk)" aria-hidden="true">
			<div class="absolute inset-y-0 left-0 rounded-l-md" style:background={tone} style:width={percent(scale.netG)}></div>
			<div
				class="absolute -inset-y-1 border-x-[3px] border-(--work) bg-(--work-soft) opacity-70"
				style:left={percent(scale.targetG - now.bandG)}
				style:width="max(10px, {(100 * 2 * now.bandG) / span}%)">
			</div>
		</div>
		<div class="flex flex-wrap justify-center gap-3">
			{#if devices.simulated}{#each holds as hold (hold.key)}
					<button
						type="button"
						class="min-h-[3.6rem] min-w-[9rem] touch-none rounded-xl border-2 border-(--line-strong) bg-(--paper) px-5 text-[1.15rem] font-bold select-none active:bg-(--work-soft)"
						onpointerdown={(e) => {
							e.currentTarget.setPointerCapture(e.pointerId);
							scale.stream(true, hold.slow);
						}}
						onpointerup={() => scale.stream(false)}
						onpointercancel={() => scale.stream(false)}>
						{hold.label} <kbd class="ml-1 rounded border border-current px-2 text-[0.93rem]">hold {hold.key}</kbd>
					</button>
				{/each}{/if}
			<button
				type="button"
				class="min-h-[3.6rem] rounded-xl border-2 border-(--line-strong) bg-(--paper) px-5 text-[1.15rem] font-semibold"
				onclick={() => scale.zero()}>Zero the scale</button>
		</div>
		{#if devices.simulated}<p class="soft text-[0.93rem] [@media(max-height:860px)]:hidden">
				The scale here is a simulated one: hold to pour. Trickle near the end; what is in the air still falls.
			</p>{/if}
	{:else}
		{#if scale.markMm !== undefined}<p class="text-[1.4rem] font-semibold">{g(scale.targetG)} on a scale</p>{/if}
		<!-- its room is kept until it is here -->
		<div class="min-h-[6.4rem] w-80">{@render typed?.()}</div>
	{/if}
	{#if scale.factor > 1.0005 || scale.factor < 0.9995}
		<p class="text-[1.15rem] font-semibold text-(--hot)" role="status">
			Corrected × {scale.factor.toFixed(3)}, because the part before came out otherwise than planned.
		</p>
	{/if}
	{#if scale.said}<p class="text-[1.15rem] font-bold text-(--harm)" role="alert">{scale.said}</p>{/if}
</div>
