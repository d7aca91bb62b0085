<script lang="ts">
	import { mixedMassG } from '$lib/core/bench';
	import { leftPresses } from '$lib/core/shot/leftOver';
	import type { Devices } from '../devices.svelte';
	import QuantityField from '../QuantityField.svelte';
	import type { PourRun } from '../pourRun.svelte';
	import { useUnits } from '../units.svelte';

	/** What was left of what was mixed, or short: one press, what the scale reads, or typed. The next pour opens with it. */
	let { run, devices }: { run: PourRun; devices?: Devices | undefined } = $props();
	const units = useUnits();
	const mixedG = $derived(mixedMassG(run.plan, run.steps, run.state));
	let short = $state(false);
	let typedG = $state<number>();
	const noted = $derived(run.state.leftG);
	const onScale = $derived(devices?.live('scale')?.value);
	const problem = $derived(
		typedG === undefined
			? undefined
			: !Number.isFinite(typedG) || typedG < 0
				? ['Type how much, such as 14 g.']
				: !short && typedG >= mixedG
					? [`No more than ${units.weighed(mixedG)} were mixed.`]
					: short && typedG > 2 * mixedG
						? [`Over twice the ${units.weighed(mixedG)} that were mixed: check it.`]
						: undefined
	);
	function note(massG: number, mark: { source: 'typed' } | ReturnType<Devices['mark']> = { source: 'typed' }) {
		run.record({ kind: 'left', massG: short ? -massG : massG, ...mark });
		typedG = undefined;
	}
	const PRESS = 'min-h-[3.2rem] cursor-pointer rounded-xl border-2 px-4 text-[1rem] font-semibold';
	const look = (on: boolean) => (on ? 'border-(--work) bg-(--work-soft)' : 'border-(--line-strong) bg-(--paper) active:bg-(--work-soft)');
	const is = (massG: number) => noted !== undefined && noted === (short && massG > 0 ? -massG : massG);
</script>

<section class="mx-auto w-full max-w-[60rem] text-left" aria-label="What was left in the cup">
	<p class="label mb-1">{short ? 'How much was missing?' : 'What was left of it?'}</p>
	<div class="flex flex-wrap items-start gap-2">
		{#if !short}<button type="button" aria-pressed={is(0)} class={[PRESS, look(is(0))]} onclick={() => note(0)}>Nothing</button>{/if}
		{#each leftPresses(mixedG) as massG (massG)}
			<button type="button" aria-pressed={is(massG)} class={[PRESS, look(is(massG))]} onclick={() => note(massG)}
				>{units.weighed(massG)}{short ? ' short' : ''}</button>
		{/each}
		{#if onScale !== undefined && onScale > 0 && onScale < mixedG && !short}<button
				type="button"
				class={[PRESS, look(false)]}
				onclick={() => note(onScale, devices!.mark('scale'))}>The scale says {units.weighed(onScale)}</button
			>{/if}
		<button type="button" aria-pressed={short} class={[PRESS, look(short)]} onclick={() => (short = !short)}
			>{short ? 'It was enough' : 'It was short'}</button>
		<form
			class="flex items-start gap-2"
			onsubmit={(event) => {
				event.preventDefault();
				if (typedG !== undefined && !problem) note(typedG);
			}}>
			<div class="w-48">
				<QuantityField label={short ? 'Missing' : 'Weighed'} kind="mass" name="left" bind:value={typedG} error={problem} compact />
			</div>
			{#if typedG !== undefined && !problem}<button type="submit" class={[PRESS, look(false)]}>Note it</button>{/if}
		</form>
	</div>
	<p class="min-h-[1.6rem] font-semibold text-(--work)" role="status">
		{#if noted !== undefined}{noted === 0
				? 'Noted: nothing left, nothing short.'
				: `Noted: ${units.weighed(Math.abs(noted))} ${noted > 0 ? 'left' : 'short'}.`}
			The next shot of {run.plan.moulds.length === 1 ? 'this mould' : 'these moulds'} opens with it.{/if}
	</p>
</section>
