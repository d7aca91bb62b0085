<script lang="ts" module>
	import type { MaterialKind } from '$lib/core/openData';

	/** What a page inside the sheet tells the page under it. */
	export interface Added {
		added: { kind: MaterialKind; id: string };
	}
</script>

<script lang="ts" generics="T extends object">
	import { tick } from 'svelte';
	import { get, type Writable } from 'svelte/store';
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { invalidateAll } from '$app/navigation';

	/**
	 * What is missing on the shelf is added on a sheet over the page; it closes when it is kept, nothing on the page under it
	 * is lost, and what was added is chosen there.
	 */
	interface Props {
		kind: MaterialKind;
		/** The form under the sheet, and the field in which the new material is chosen. */
		form: Writable<T>;
		field: keyof T & string;
		/** Where it is no plain field. */
		choose?: (id: string) => void;
	}
	let { kind, form, field, choose }: Props = $props();
	let dialog: HTMLDialogElement | undefined = $state.raw();
	let frame: HTMLIFrameElement | undefined = $state.raw();
	let open = $state(false);

	async function show() {
		open = true;
		await tick();
		dialog?.showModal();
	}
	async function heard(event: MessageEvent) {
		if (!open || event.origin !== location.origin || event.source !== frame?.contentWindow) return;
		const added = (event.data as Partial<Added> | null)?.added;
		if (added?.kind !== kind) return;
		const typed = get(form);
		dialog?.close();
		// the lists are read again; what was typed stands as it stood
		await invalidateAll();
		form.set(typed);
		if (choose) choose(added.id);
		else form.set({ ...typed, [field]: added.id });
	}
</script>

<svelte:window onmessage={heard} />
<button
	type="button"
	class="plain -my-3 inline-flex min-h-[2.4rem] shrink-0 cursor-pointer items-center gap-1 text-[0.93rem] font-semibold text-(--work)"
	aria-label="Add a {kind}"
	onclick={show}><Plus class="size-4" aria-hidden="true" /> Add</button>
{#if open}
	<dialog
		bind:this={dialog}
		aria-label="Add a {kind}"
		class="m-auto h-[min(52rem,94dvh)] w-[min(64rem,96vw)] overflow-hidden rounded-xl border-[1.5px] border-(--line-strong) bg-(--paper) p-0 text-(--ink) backdrop:bg-black/50"
		onclose={() => (open = false)}>
		<div class="flex h-full flex-col">
			<div class="flex items-center justify-between border-b border-(--line) px-4 py-1.5">
				<p class="font-semibold">Add a {kind}: what you typed stays under this sheet</p>
				<button
					type="button"
					class="grid size-11 cursor-pointer place-items-center"
					aria-label="Close without adding"
					onclick={() => dialog?.close()}><X class="size-6" aria-hidden="true" /></button>
			</div>
			<iframe bind:this={frame} class="min-h-0 w-full flex-1" title="Add a {kind}" src="/shelf/{kind}s/new"></iframe>
		</div>
	</dialog>
{/if}
