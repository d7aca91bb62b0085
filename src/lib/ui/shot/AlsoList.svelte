<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { rankSpares, type AlsoInput, type OtherPiece } from '$lib/core/shot';
	import ChoiceField from '../ChoiceField.svelte';
	import QuantityField from '../QuantityField.svelte';
	import { useUnits } from '../units.svelte';

	/** Moulds of other pieces that are filled from the same cup: what would be left over is planned before it is mixed. */
	interface Props {
		also: AlsoInput[];
		/** Moulds that stand ready, of other pieces. */
		others: readonly OtherPiece[];
		/** What such a cup usually leaves, ml; nothing before it is known. */
		leftMl?: number | undefined;
		problem: (index: number, field: string) => string[] | undefined;
	}
	let { also = $bindable(), others, leftMl, problem }: Props = $props();
	const units = useUnits();
	const free = $derived(others.filter((o) => !also.some((a) => a.mouldId === o.mouldId)));
	/** What would take what is usually left of such a cup; what it holds is then mixed for it. */
	const fitting = $derived(leftMl === undefined ? undefined : rankSpares(leftMl, free).find((o) => o.missingMl === 0));
	/** Each change makes a new list, so that the form sees it. */
	const change = (i: number, part: Partial<AlsoInput>) => (also = also.map((a, k) => (k === i ? { ...a, ...part } : a)));
	const wordsOf = (o: OtherPiece) => `${o.name}, ${units.show(o.volumeMl + o.sprueMl, 'volume')}`;
</script>

{#each also as row, i (i)}
	{@const piece = others.find((o) => o.mouldId === row.mouldId)}
	<div class="grid grid-cols-2 items-start gap-x-4 border-t border-(--line) pt-2 sm:grid-cols-[2fr_1fr_auto]">
		<ChoiceField
			label="From the same cup"
			name="also-{i}"
			bind:value={() => row.mouldId, (mouldId) => change(i, { mouldId: mouldId ?? '' })}
			placeholder="Choose a mould"
			options={others.filter((o) => o.mouldId === row.mouldId || free.includes(o)).map((o) => ({ value: o.mouldId, label: wordsOf(o) }))}
			error={problem(i, 'mouldId')}
			hint={piece ? piece.masterName : ''} />
		<QuantityField
			label="Of it"
			kind="number"
			name="also-copies-{i}"
			bind:value={() => row.copies, (v) => change(i, { copies: v as number })}
			error={problem(i, 'copies')} />
		<Button
			color="alternative"
			size="sm"
			class="mt-6 min-h-[2.75rem] justify-self-start"
			aria-label="Remove what is filled as well {i + 1}"
			onclick={() => (also = also.filter((_, k) => k !== i))}>Remove</Button>
	</div>
{/each}
{#if others.length > 0}
	{#if fitting && also.length === 0}<p class="soft mb-1 text-[0.93rem]">
			About {units.show(leftMl, 'volume')} usually stay in such a cup: {wordsOf(fitting)} takes that.
		</p>{/if}
	<Button
		color="alternative"
		class="min-h-[2.6rem]"
		disabled={also.length >= 8 || free.length === 0}
		onclick={() => (also = [...also, { mouldId: (fitting ?? free[0]!).mouldId, copies: 1 }])}>Fill another piece from the same cup</Button>
{/if}
