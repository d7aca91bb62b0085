<script lang="ts" generics="T extends string">
	import type { Snippet } from 'svelte';
	import { Label, Select } from 'flowbite-svelte';
	import { fieldClass } from './fieldClass';
	import Explain from './Explain.svelte';
	import FieldNote from './FieldNote.svelte';

	interface Props {
		label: string;
		value: T | undefined;
		name: string;
		options: readonly { value: T; label: string }[];
		error?: string[] | undefined;
		hint?: string;
		placeholder?: string;
		/** Beside the label: a way to add what is not in the list. */
		add?: Snippet;
	}
	let { label, value = $bindable(), name, options, error, hint = '', placeholder, add }: Props = $props();
	const uid = $props.id();
	const problem = $derived(error?.[0] ?? '');
</script>

<div class="flex min-w-0 flex-col">
	<div class="flex items-center justify-between gap-2">
		<span class="flex items-center"><Label class="label text-(--ink)!" for={uid}>{label}</Label><Explain word={label} /></span>
		{@render add?.()}
	</div>
	<Select
		id={uid}
		classes={{ select: `${fieldClass(!!problem)} truncate pr-9!` }}
		{name}
		bind:value
		placeholder={placeholder ?? ''}
		aria-invalid={problem ? 'true' : undefined}
		aria-describedby="{uid}-note">
		{#each options as option (option.value)}<option value={option.value}>{option.label}</option>{/each}
	</Select>
	<FieldNote id="{uid}-note" {problem} note={hint} />
</div>
