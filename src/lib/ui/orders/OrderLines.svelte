<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import type { OrderForm } from '$lib/core/orders';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import { newId } from '$lib/ui/newId';

	/** The lines of an order: what it is cast by, how many, and what each still wants when it is out of its mould. */
	type Line = OrderForm['lines'][number];
	type LineErrors = Partial<Record<keyof Line, string[]>>;
	interface Props {
		lines: Line[];
		errors: Record<number, LineErrors> | undefined;
		shots: readonly { value: string; label: string }[];
		counts: Readonly<Record<string, { good: number; scrap: number; casting: number }>>;
	}
	let { lines = $bindable(), errors, shots, counts }: Props = $props();
	/** The list is replaced, so that the form hears of it. */
	const set = <K extends keyof Line>(at: number, key: K, value: Line[K]) =>
		(lines = lines.map((l, i) => (i === at ? { ...l, [key]: value } : l)));
	const add = () =>
		(lines = [...lines, { id: newId(), shotId: '', copies: undefined as unknown as number, finishMinutes: 0, hardenHours: 24 }]);
</script>

<fieldset class="mt-2 min-w-0">
	<legend class="label mb-1">What is cast</legend>
	{#each lines as line, i (line.id)}
		{@const count = counts[line.id]}
		<div class="mb-3 rounded-lg border border-(--line) bg-(--ground) p-3">
			<div class="grid grid-cols-3 gap-x-4 gap-y-1">
				<div class="col-span-3">
					<ChoiceField
						label="Cast by"
						name="lines.{i}.shotId"
						placeholder="Choose a shot"
						options={shots}
						bind:value={() => line.shotId, (v) => set(i, 'shotId', v as Line['shotId'])}
						error={errors?.[i]?.shotId} />
				</div>
				<QuantityField
					kind="number"
					label="Copies"
					name="lines.{i}.copies"
					bind:value={() => line.copies, (v) => set(i, 'copies', v as Line['copies'])}
					error={errors?.[i]?.copies} />
				<QuantityField
					kind="number"
					label="Finishing, min"
					name="lines.{i}.finishMinutes"
					bind:value={() => line.finishMinutes, (v) => set(i, 'finishMinutes', v as Line['finishMinutes'])}
					error={errors?.[i]?.finishMinutes}
					hint="of each copy" />
				<QuantityField
					kind="number"
					label="Hardens, h"
					name="lines.{i}.hardenHours"
					bind:value={() => line.hardenHours, (v) => set(i, 'hardenHours', v as Line['hardenHours'])}
					error={errors?.[i]?.hardenHours}
					hint="from pour to post" />
			</div>
			<div class="flex flex-wrap items-center justify-between gap-3">
				<p class="soft">
					{#if count && (count.good || count.scrap || count.casting)}{count.good} good{#if count.casting}, {count.casting} in the moulds{/if}{#if line.finished && line.finishMinutes > 0},
							{line.finished} finished{/if}{#if count.scrap},
							{count.scrap} scrap{/if}{/if}
				</p>
				{#if lines.length > 1}<Button
						size="sm"
						color="alternative"
						onclick={() => (lines = lines.filter((l) => l.id !== line.id))}
						aria-label="Take it out: line {i + 1}">Take it out</Button
					>{/if}
			</div>
		</div>
	{/each}
	<Button color="alternative" onclick={add}>Add a line</Button>
</fieldset>
