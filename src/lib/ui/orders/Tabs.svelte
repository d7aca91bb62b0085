<script lang="ts">
	import { page } from '$app/state';

	/** The four views of the orders, one beside the other. */
	const VIEWS = [
		{ href: '/orders', name: 'Orders' },
		{ href: '/orders/today', name: 'Today' },
		{ href: '/orders/board', name: 'Board' },
		{ href: '/orders/hours', name: 'Hours' }
	] as const;
</script>

<nav class="no-print mb-4" aria-label="Views of the orders">
	<ul class="segments inline-flex flex-wrap overflow-hidden rounded-lg border-[1.5px] border-(--line-strong)">
		{#each VIEWS as view (view.href)}
			{@const here = page.url.pathname === view.href}
			<li class="border-r border-(--line) last:border-r-0">
				<a
					href={view.href}
					aria-current={here ? 'page' : undefined}
					class={[
						'flex min-h-[2.65rem] items-center px-5 font-semibold no-underline max-sm:px-3.5',
						here ? 'here bg-(--work) text-(--work-ink)' : 'bg-(--paper) text-(--ink) hover:text-(--work)'
					]}>{view.name}</a>
			</li>
		{/each}
	</ul>
</nav>
