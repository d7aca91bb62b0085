<script lang="ts">
	import type { Station } from './stations';

	/** One station on the rail; `wide` on the sheet that a telephone opens. */
	interface Props extends Station {
		current: boolean;
		wide?: boolean;
		onclick?: () => void;
	}
	let { href, name, icon: Icon, current, wide = false, onclick }: Props = $props();
</script>

<a
	{href}
	{onclick}
	aria-current={current ? 'page' : undefined}
	class={[
		'flex items-center font-semibold hover:text-(--work)',
		wide
			? 'min-h-[3.2rem] gap-3 px-2 text-[1rem]'
			: 'flex-col gap-0.5 px-1 py-2 text-[0.85rem] lg:flex-row lg:gap-3 lg:px-4 lg:py-1.5 lg:text-[1rem] short:py-0.5',
		current ? 'text-(--work)' : 'text-(--ink)'
	]}>
	<span
		class={[
			'grid size-9 shrink-0 place-items-center rounded-full border-[1.5px]',
			current ? 'here border-(--work) bg-(--work) text-(--work-ink)' : 'border-(--line-strong) bg-(--paper)'
		]}><Icon class="size-5" /></span>
	{name}
</a>
