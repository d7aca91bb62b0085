<script lang="ts">
	import { GRADE_WORDS } from '$lib/core/bench/grades';
	import { ORDER_STATE_WORDS } from '$lib/core/orders/states';
	import { STATE_WORDS } from '$lib/core/mould/state';
	import Mark, { type Outline } from './Mark.svelte';

	/** A word of state, told by its word and its mark, never by colour alone. */
	const MARKS: Record<string, { mark: Outline; tone: string }> = {
		good: { mark: 'full', tone: 'text-(--work)' },
		active: { mark: 'full', tone: 'text-(--work)' },
		new: { mark: 'ring', tone: 'text-(--ink)' },
		'being-made': { mark: 'quarter', tone: 'text-(--ink)' },
		resting: { mark: 'spots', tone: 'text-(--ink-soft)' },
		worn: { mark: 'right', tone: 'text-(--ink)' },
		'needs-work': { mark: 'left', tone: 'text-(--ink)' },
		scrap: { mark: 'cross', tone: 'text-(--harm)' },
		retired: { mark: 'dash', tone: 'text-(--ink-soft)' },
		open: { mark: 'run', tone: 'text-(--hot)' },
		finished: { mark: 'full', tone: 'text-(--work)' },
		asked: { mark: 'ring', tone: 'text-(--ink)' },
		promised: { mark: 'core', tone: 'text-(--ink)' },
		running: { mark: 'run', tone: 'text-(--work)' },
		done: { mark: 'full', tone: 'text-(--work)' },
		'called-off': { mark: 'dash', tone: 'text-(--ink-soft)' },
		abandoned: { mark: 'cross', tone: 'text-(--ink-soft)' }
	};
	let { word }: { word: string } = $props();
	const WORDS: Record<string, string> = { ...STATE_WORDS, ...GRADE_WORDS, ...ORDER_STATE_WORDS };
	const look = $derived(MARKS[word] ?? ({ mark: 'dot', tone: 'text-(--ink)' } as const));
</script>

<span class={['tag', look.tone]}><Mark outline={look.mark} />{WORDS[word] ?? word}</span>
