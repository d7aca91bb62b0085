<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { wholeShares, type ShotInputs } from '$lib/core/shot';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import TextField from '../TextField.svelte';

	/** Colours that are poured together: a cup each, with its share, recipe and start of its own. */
	interface Props {
		cups: ShotInputs['cups'];
		recipes: readonly { value: string; label: string }[];
		problem: (index: number, field: string) => string[] | undefined;
	}
	let { cups = $bindable(), recipes, problem }: Props = $props();
	type Cup = ShotInputs['cups'][number];
	const change = (i: number, part: Partial<Cup>) => (cups = cups.map((x, k) => (k === i ? { ...x, ...part } : x)));
	function whole(list: Cup[]): Cup[] {
		const shares = wholeShares(list.map((c) => c.sharePercent));
		return list.map((c, i) => ({ ...c, sharePercent: shares[i]! }));
	}
	const fresh = (sharePercent: number): Cup => ({ name: '', recipeId: '', sharePercent });
	function add() {
		cups = cups.length === 0 ? [fresh(50), fresh(50)] : whole([...cups, fresh(100 / cups.length)]);
	}
	function remove(i: number) {
		cups = cups.length === 2 ? [] : whole(cups.filter((_, k) => k !== i));
	}
</script>

{#each cups as cup, i (i)}
	<div class="grid grid-cols-6 items-start gap-x-4 border-t border-(--line) pt-2 *:col-span-2 *:nth-[-n+2]:col-span-3">
		<TextField
			label="Colour {i + 1}"
			name="cup-name-{i}"
			bind:value={() => cup.name, (name) => change(i, { name: name ?? '' })}
			error={problem(i, 'name')}
			placeholder="sea green" />
		<ChoiceField
			label="Recipe"
			name="cup-recipe-{i}"
			bind:value={() => cup.recipeId ?? '', (v) => change(i, { recipeId: v ?? '' })}
			options={[{ value: '', label: 'Its own shade' }, ...recipes]} />
		<QuantityField
			label="Amount"
			kind="volume"
			name="cup-amount-{i}"
			bind:value={() => cup.volumeMl, (v) => change(i, { volumeMl: v as number })}
			error={problem(i, 'volumeMl')}
			hint={cup.volumeMl === undefined ? 'empty: its share' : 'whatever the mould'} />
		<QuantityField
			label="Share"
			kind="percent"
			name="cup-share-{i}"
			bind:value={() => cup.sharePercent, (v) => change(i, { sharePercent: v as number })}
			error={problem(i, 'sharePercent')} />
		<QuantityField
			label="Starts at"
			kind="temperature"
			name="cup-temp-{i}"
			bind:value={() => cup.startTempC, (v) => change(i, { startTempC: v as number })}
			error={problem(i, 'startTempC')}
			hint={cup.startTempC === undefined ? 'as the resin' : ''} />
		<Button
			color="alternative"
			size="sm"
			class="mb-2 min-h-[2.6rem] justify-self-start"
			aria-label="Remove colour {i + 1}"
			onclick={() => remove(i)}>Remove</Button>
	</div>
{/each}
<Button color="alternative" class="min-h-[2.6rem]" disabled={cups.length >= 6} onclick={add}
	>{cups.length === 0 ? 'Pour several colours together' : 'One more colour'}</Button>
