<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { wallTime } from '../clockText';
	import { drafts } from './drafts.svelte';

	/** What was left unfinished of the form on this page: gone on with, or thrown away. */
	let { nowMs }: { nowMs: number } = $props();
	/** A field as the page calls it. */
	const labelOf = (field: string) => {
		const input = document.querySelector<HTMLElement>(`[name="${CSS.escape(field)}"]`);
		const label = input?.id ? document.querySelector<HTMLElement>(`label[for="${CSS.escape(input.id)}"]`) : input?.closest('label');
		return label?.innerText.trim() || field;
	};
	const plain = (value: unknown) =>
		value === undefined || value === null || value === ''
			? 'empty'
			: typeof value === 'object'
				? 'a list'
				: String(value as string | number);
</script>

{#each drafts.offers as offer (offer.draft.key)}
	<section class="no-print mb-4 rounded-lg border-[1.5px] border-(--line-strong) bg-(--work-soft) px-4 py-3" aria-label="Unfinished">
		<div class="flex flex-wrap items-center gap-x-4 gap-y-2">
			<p class="min-w-[14rem] flex-1">
				<strong>{offer.draft.title}</strong> was left unfinished at {wallTime(offer.draft.savedAtMs, nowMs)}{offer.conflicts.length > 0
					? ', and it was changed since.'
					: '.'}
			</p>
			<Button onclick={offer.goOn}>{offer.conflicts.length > 0 ? 'Go on with mine' : 'Go on'}</Button>
			<Button color="alternative" onclick={offer.throwAway}>{offer.conflicts.length > 0 ? 'Keep what is saved' : 'Throw away'}</Button>
		</div>
		{#if offer.conflicts.length > 0}
			<table class="bench mt-2">
				<thead><tr><th>Field</th><th>Kept since</th><th>Typed here</th></tr></thead>
				<tbody>
					{#each offer.conflicts as c (c.field)}
						<tr><td>{labelOf(c.field)}</td><td>{plain(c.saved)}</td><td>{plain(c.typed)}</td></tr>
					{/each}
				</tbody>
			</table>
		{/if}
	</section>
{/each}
{#if drafts.trouble}<p class="no-print mb-4 font-semibold text-(--harm)" role="alert">{drafts.trouble}</p>{/if}
