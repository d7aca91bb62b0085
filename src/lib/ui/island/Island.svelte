<script lang="ts">
	import { createRawSnippet, getAllContexts, hydrate, mount, unmount, type Snippet } from 'svelte';
	import Body from './Body.svelte';
	import { wake } from './waking';

	/**
	 * A part of a page that is there from the start, and comes to life in a task of its own after what stands around it: on a
	 * slow processor a page that wakes whole is deaf for longer than anybody waits.
	 */
	interface Props {
		children: Snippet;
		/**
		 * It lies under the edge of every window: left out of what the server sends, and made once the parts before it are awake.
		 * Until then this much room is kept for it, such as `20rem`.
		 */
		lateRoom?: string;
	}
	let { children, lateRoom }: Props = $props();
	const context = getAllContexts();
	/** What the library's own renderer writes around a body that it hydrates alone. */
	const OPEN = '<div class="contents"><!--[-->';
	const CLOSE = '<!--]--></div>';

	/** On the server components are functions that write. */
	type Writes = (out: { push(text: string): void }, props: object) => void;
	const onServer = ((out: { push(text: string): void }) => {
		if (lateRoom) return out.push(`<div data-late style="min-height: ${lateRoom}"></div>`);
		out.push(OPEN);
		(Body as unknown as Writes)(out, { children });
		out.push(CLOSE);
	}) as unknown as Snippet;

	const onPage = createRawSnippet(() => ({
		render: () => '<div class="contents"></div>',
		setup(target) {
			let part: object | undefined;
			let gone = false;
			const options = { target, props: { children }, context };
			// sent as room alone
			if (target.hasAttribute('data-late'))
				wake(() => {
					if (gone) return;
					target.removeAttribute('style');
					target.className = 'contents';
					part = mount(Body, options);
				});
			else if (target.firstChild) wake(() => void (gone || (part = hydrate(Body, options))));
			else part = mount(Body, options);
			return () => {
				gone = true;
				if (part) void unmount(part);
			};
		}
	}));
	const part = import.meta.env.SSR ? onServer : onPage;
</script>

{@render part()}
