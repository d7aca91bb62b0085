<script lang="ts">
	import { goto } from '$app/navigation';
	import { search, type Findable } from '$lib/core/search';
	import { latest } from '$lib/workers/latest';
	import { PAGES } from './pages';

	/** Finds anything: arrows choose, Enter goes there, Escape closes. */
	let dialog: HTMLDialogElement;
	let open = $state(false);
	let text = $state('');
	let at = $state(0);
	let found = $state.raw<readonly Findable[]>([]);
	/** The server did not answer; pages are found all the same. */
	let alone = $state(false);
	const uid = $props.id();
	const shown = $derived([...search(PAGES, text, 4), ...found].slice(0, 14));
	const KIND_WORDS: Readonly<Record<Findable['kind'], string>> = {
		mould: 'mould',
		master: 'piece',
		shot: 'shot',
		material: 'shelf',
		tin: 'tin',
		pull: 'pull',
		page: 'page'
	};

	const ask = latest(
		async (q: string): Promise<readonly Findable[] | undefined> => {
			if (q.trim() === '') return [];
			const answer = await fetch(`/api/find?q=${encodeURIComponent(q)}`).catch(() => undefined);
			return answer?.ok ? ((await answer.json()) as { found: Findable[] }).found : undefined;
		},
		(answer) => {
			alone = answer === undefined;
			found = answer ?? [];
			at = 0;
		}
	);
	$effect(() => ask(text));

	/** @param typed what is looked for already */
	export function show(typed = ''): void {
		if (open) return;
		[text, at, open] = [typed, 0, true];
		dialog.showModal();
	}
	function go(to: Findable | undefined): void {
		if (!to) return;
		dialog.close();
		void goto(to.href);
	}
	function key(event: KeyboardEvent) {
		const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
		if (step !== undefined && shown.length > 0) {
			event.preventDefault();
			at = (at + step + shown.length) % shown.length;
			document.getElementById(`${uid}-${at}`)?.scrollIntoView({ block: 'nearest' });
		} else if (event.key === 'Enter') {
			event.preventDefault();
			go(shown[at]);
		}
	}
</script>

<!-- Escape closes a dialog by itself -->
<!-- svelte-ignore a11y_click_events_have_key_events -->
<dialog
	bind:this={dialog}
	aria-label="Find anything"
	class="mx-auto mt-[12vh] w-[min(42rem,94vw)] rounded-xl border-[1.5px] border-(--line-strong) bg-(--paper) p-0 text-(--ink) backdrop:bg-black/40"
	onclose={() => (open = false)}
	onclick={(e) => e.target === dialog && dialog.close()}>
	<input
		type="text"
		role="combobox"
		aria-label="Find anything"
		aria-expanded={shown.length > 0}
		aria-controls="{uid}-list"
		aria-activedescendant={shown.length > 0 ? `${uid}-${at}` : undefined}
		autocomplete="off"
		maxlength="200"
		placeholder="M12, a piece, a resin, a lot, a page …"
		class="w-full rounded-t-xl border-0 border-b border-(--line) bg-(--paper) px-5 py-4 text-[1.15rem] focus:border-(--line-strong) focus:ring-0"
		bind:value={text}
		onkeydown={key} />
	<ul id="{uid}-list" role="listbox" aria-label="Found" class="max-h-[60vh] overflow-y-auto py-1">
		{#each shown as f, i (`${f.kind}${f.href}`)}
			<!-- the field above has the keys -->
			<!-- svelte-ignore a11y_click_events_have_key_events -->
			<li
				id="{uid}-{i}"
				role="option"
				aria-selected={i === at}
				class={['flex cursor-pointer items-baseline gap-3 px-5 py-2.5', i === at && 'bg-(--work) text-(--work-ink)']}
				onclick={() => go(f)}
				onmousemove={() => (at = i)}>
				<span class="w-[4rem] shrink-0 text-[0.85rem] opacity-80">{KIND_WORDS[f.kind]}</span>
				<span class="min-w-0 flex-1 truncate"><strong>{f.title}</strong> <span class="opacity-80">{f.detail}</span></span>
			</li>
		{/each}
	</ul>
	<p class="soft px-5 py-2 text-[0.93rem]" role="status">
		{#if text.trim() === ''}Type what you look for. Arrows choose, Enter goes there, Escape closes.{:else if alone}The server does not
			answer: only pages are found.{:else if shown.length === 0}Nothing fits that.{:else}{shown.length} found{/if}
	</p>
</dialog>
