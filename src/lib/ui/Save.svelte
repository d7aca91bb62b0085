<script lang="ts">
	import { onMount, tick } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { newId } from './newId';

	/**
	 * The button that ends a form. A refused save leads to the first field that wants a look, and says beside the
	 * button how many there are, each a link, until they are mended.
	 */
	interface Props {
		label: string;
		submitting: boolean;
		/** Something else keeps it from being pressed. */
		disabled?: boolean;
		color?: 'primary' | 'alternative';
		size?: 'lg' | 'md';
	}
	let { label, submitting, disabled = false, color = 'primary', size = 'lg' }: Props = $props();

	/** What the form makes has this id, however often it arrives. */
	let madeId = $state('');
	let place: HTMLElement;
	/** A save was tried since the page was opened, and what is asked of it next. */
	let tried = false;
	let leads = false;
	let wanting = $state.raw<{ id: string; name: string }[]>([]);

	const formOf = () => place.closest('form');
	/** What a field is called by its label, else by its group's. */
	function nameOf(field: HTMLElement): string {
		const label = field.id ? formOf()?.querySelector<HTMLElement>(`label[for="${CSS.escape(field.id)}"]`) : null;
		return (label?.innerText || field.getAttribute('aria-label') || field.getAttribute('name') || 'a field').trim();
	}
	function look(): void {
		const found = [...(formOf()?.querySelectorAll<HTMLElement>('[aria-invalid="true"]') ?? [])];
		wanting = found.map((field, i) => {
			field.id ||= `wanting-${i}`;
			return { id: field.id, name: nameOf(field) };
		});
		if (!leads || submitting) return;
		const first = found[0] ?? formOf()?.querySelector<HTMLElement>('[role="alert"]:not(:empty)');
		if (!first) return;
		leads = false;
		show(first);
	}
	function show(field: HTMLElement): void {
		for (let up: HTMLElement | null = field; up; up = up.parentElement) if (up instanceof HTMLDetailsElement) up.open = true;
		const calm = matchMedia('(prefers-reduced-motion: reduce)').matches;
		field.scrollIntoView({ block: 'center', behavior: calm ? 'auto' : 'smooth' });
		field.focus({ preventScroll: true });
	}
	function go(event: MouseEvent, id: string): void {
		event.preventDefault();
		const field = document.getElementById(id);
		if (field) show(field);
	}

	$effect(() => {
		void submitting;
		if (tried) void tick().then(look);
	});
	onMount(() => {
		madeId = newId();
		// a page that the browser kept and brings back is a new form
		const back = (event: PageTransitionEvent) => event.persisted && (madeId = newId());
		window.addEventListener('pageshow', back);
		const form = formOf();
		const onsubmit = () => {
			[tried, leads] = [true, true];
			void tick().then(look);
		};
		form?.addEventListener('submit', onsubmit, { capture: true });
		// fields are marked by the schema in the page or by the server's answer, sooner or later
		const watch = new MutationObserver(() => tried && look());
		if (form) watch.observe(form, { subtree: true, childList: true, attributes: true, attributeFilter: ['aria-invalid'] });
		return () => {
			window.removeEventListener('pageshow', back);
			form?.removeEventListener('submit', onsubmit, { capture: true });
			watch.disconnect();
		};
	});
</script>

<span bind:this={place} class="inline-flex flex-wrap items-center gap-x-4 gap-y-1">
	<input type="hidden" name="madeId" value={madeId} />
	<Button type="submit" {size} {color} disabled={submitting || disabled}>{submitting ? 'Saving' : label}</Button>
	<span role="status" class={wanting.length > 0 ? 'font-semibold text-(--harm)' : 'sr-only'}>
		{#if wanting.length > 0}
			Not saved: {wanting.length === 1 ? 'one field wants' : `${wanting.length} fields want`} a look:
			{#each wanting as field, i (field.id)}{i > 0 ? ', ' : ' '}<a class="underline" href="#{field.id}" onclick={(e) => go(e, field.id)}
					>{field.name}</a
				>{/each}
		{/if}
	</span>
</span>
