<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import ChoiceField from '../ChoiceField.svelte';
	import { newId } from '../newId';
	import QuantityField from '../QuantityField.svelte';
	import type { Happening, PourRun } from '../pourRun.svelte';
	import TextField from '../TextField.svelte';

	/** What was not noted as it happened: added afterwards, with its time, and marked so for good. */
	let { run }: { run: PourRun } = $props();
	type What = 'remark' | 'temp-read' | 'pressure-read' | 'step-done';
	let open = $state(false);
	let what = $state<What>('remark');
	let afterS = $state<number | undefined>();
	let text = $state('');
	let tempC = $state<number | undefined>();
	let gaugeKpa = $state<number | undefined>();
	let stepId = $state('');
	let cup = $state('0');
	let problem = $state<Record<string, string>>({});
	let said = $state('');

	const missing = $derived(run.steps.filter((s) => run.state.doneAtMs[s.id] === undefined));
	function happening(): Happening {
		switch (what) {
			case 'remark':
				return { kind: 'remark', text: text.trim() };
			case 'temp-read':
				return { kind: 'temp-read', tempC: tempC!, source: 'typed', ...(Number(cup) > 0 ? { cup: Number(cup) } : {}) };
			case 'pressure-read':
				return { kind: 'pressure-read', stepId: 'hold', gaugeKpa: gaugeKpa!, source: 'typed' };
			case 'step-done':
				return { kind: 'step-done', stepId };
		}
	}
	async function keep() {
		problem = {};
		said = '';
		if (afterS === undefined || !Number.isFinite(afterS)) problem.afterS = 'Type when it was, such as 2:30 after combining.';
		const start = run.state.combinedAtMs!;
		const atMs = Math.round(start + (afterS ?? 0) * 1000);
		if (atMs > run.nowMs()) problem.afterS = 'That is still to come.';
		const { pourEvent } = await import('$lib/core/bench/events');
		const parsed = pourEvent.safeParse({ ...happening(), id: newId(), atMs: Math.max(atMs, 1.5e12) });
		if (!parsed.success) for (const i of parsed.error.issues) problem[String(i.path.at(-1))] ??= i.message;
		if (Object.keys(problem).length > 0) return;
		run.recordLate(atMs, happening());
		said = 'Added, and marked as written down afterwards.';
		[text, tempC, gaugeKpa, stepId] = ['', undefined, undefined, ''];
	}
	const at = (field: string) => (problem[field] ? [problem[field]] : undefined);
</script>

<div class="mt-8 text-left">
	{#if !open}
		<p class="text-center">
			<Button color="alternative" onclick={() => (open = true)}>Add what was not noted</Button>
		</p>
	{:else}
		<section class="slab p-4" aria-label="Late entry">
			<div class="grid gap-x-4 gap-y-1 sm:grid-cols-2">
				<ChoiceField
					label="What was it"
					name="lateWhat"
					bind:value={what}
					options={[
						{ value: 'remark', label: 'Something seen' },
						{ value: 'temp-read', label: 'A cup temperature' },
						{ value: 'pressure-read', label: 'A gauge reading in the hold' },
						...(missing.length > 0 ? [{ value: 'step-done' as const, label: 'A step that was done' }] : [])
					]} />
				<QuantityField label="How long after combining" kind="time" name="lateAfter" bind:value={afterS} error={at('afterS')} />
				{#if what === 'remark'}
					<div class="sm:col-span-2"><TextField label="What you saw" name="lateText" bind:value={text} error={at('text')} /></div>
				{:else if what === 'temp-read'}
					<QuantityField label="The cup read" kind="temperature" name="lateTemp" bind:value={tempC} error={at('tempC')} />
					{#if run.plan.cups}<ChoiceField
							label="Which cup"
							name="lateCup"
							bind:value={cup}
							options={run.plan.cups.map((c, i) => ({ value: `${i}`, label: c.name }))} />{/if}
				{:else if what === 'pressure-read'}
					<QuantityField label="The gauge read" kind="pressure" name="lateGauge" bind:value={gaugeKpa} error={at('gaugeKpa')} />
				{:else}
					<ChoiceField
						label="Which step"
						name="lateStep"
						bind:value={stepId}
						placeholder="Choose a step"
						options={missing.map((s) => ({ value: s.id, label: s.title }))}
						error={at('stepId')} />
				{/if}
			</div>
			<div class="flex items-center gap-3">
				<Button onclick={keep}>Add it</Button>
				<span role="status" class="font-semibold text-(--work)">{said}</span>
			</div>
		</section>
	{/if}
</div>
