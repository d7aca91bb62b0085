<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import { MOULD_WORDS } from '$lib/core/mould';
	import { wallTime } from '../clockText';
	import MouldForm from '../MouldForm.svelte';
	import { useUnits } from '../units.svelte';

	type Form = ComponentProps<typeof MouldForm>;
	/** How a mould is made, or was: its plan, and what was really weighed. */
	interface Props extends Pick<Form, 'shelf' | 'others' | 'settings' | 'nowMs'> {
		mould: {
			id: string;
			version: number;
			inputs: Form['data']['data'];
			pouredAt: Date | null;
			readyAt: Date | null;
			making: unknown;
		};
		form: Form['data'];
		weighed: readonly { title: string; weighedG: number; plannedG: number; ratioOffPercent?: number | undefined }[];
	}
	let { mould, form, weighed, shelf, others, settings, nowMs }: Props = $props();
	const units = useUnits();
</script>

{#if mould.pouredAt && mould.readyAt}
	<p class="mb-3">
		{MOULD_WORDS[mould.inputs.kind].made}
		{wallTime(mould.pouredAt.getTime(), nowMs)}, ready {wallTime(mould.readyAt.getTime(), nowMs)}.
	</p>
{/if}
{#if weighed.length > 0}
	<section class="slab mb-4 p-4" aria-label="Really weighed">
		<h2 class="mb-1">Really weighed</h2>
		<ul>
			{#each weighed as w, i (i)}
				<li class="text-[1.15rem]">
					{w.title}: <strong>{units.show(w.weighedG, 'mass')}</strong> of {units.weighed(w.plannedG)} planned{w.ratioOffPercent !==
						undefined && Math.abs(w.ratioOffPercent) > 1
						? `, its ratio ${Math.abs(w.ratioOffPercent).toFixed(0)} % off`
						: ''}.
				</li>
			{/each}
		</ul>
	</section>
{/if}
{#key `${mould.id}-${mould.version}`}
	<MouldForm
		action="?/save&version={mould.version}"
		data={form}
		{shelf}
		{others}
		{settings}
		{nowMs}
		fixed={mould.pouredAt !== null || mould.making !== null}
		own={mould.id}
		submit="Keep the changes" />
{/key}
