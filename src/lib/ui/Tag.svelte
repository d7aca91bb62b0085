<script lang="ts">
	import { GRADE_WORDS } from '$lib/core/bench/grades';
	import { ORDER_STATE_WORDS } from '$lib/core/orders/states';
	import { STATE_WORDS } from '$lib/core/mould/state';

	/** A word of state, told by its word and its mark, never by colour alone. */
	const MARKS: Record<string, { mark: string; tone: string }> = {
		good: { mark: '●', tone: 'text-(--work)' },
		active: { mark: '●', tone: 'text-(--work)' },
		new: { mark: '○', tone: 'text-(--ink)' },
		'being-made': { mark: '◔', tone: 'text-(--ink)' },
		resting: { mark: '◌', tone: 'text-(--ink-soft)' },
		worn: { mark: '◑', tone: 'text-(--ink)' },
		'needs-work': { mark: '◐', tone: 'text-(--ink)' },
		scrap: { mark: '✕', tone: 'text-(--harm)' },
		retired: { mark: '–', tone: 'text-(--ink-soft)' },
		open: { mark: '▶', tone: 'text-(--hot)' },
		finished: { mark: '●', tone: 'text-(--work)' },
		asked: { mark: '○', tone: 'text-(--ink)' },
		promised: { mark: '◉', tone: 'text-(--ink)' },
		running: { mark: '▶', tone: 'text-(--work)' },
		done: { mark: '●', tone: 'text-(--work)' },
		'called-off': { mark: '–', tone: 'text-(--ink-soft)' },
		abandoned: { mark: '✕', tone: 'text-(--ink-soft)' }
	};
	let { word }: { word: string } = $props();
	const WORDS: Record<string, string> = { ...STATE_WORDS, ...GRADE_WORDS, ...ORDER_STATE_WORDS };
	const look = $derived(MARKS[word] ?? { mark: '·', tone: 'text-(--ink)' });
</script>

<span class={['tag', look.tone]}><span aria-hidden="true">{look.mark}</span>{WORDS[word] ?? word}</span>
