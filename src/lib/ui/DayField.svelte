<script lang="ts">
	import { Input, Label } from 'flowbite-svelte';
	import { fieldClass } from './fieldClass';
	import FieldNote from './FieldNote.svelte';

	/** A day, by the browser's own calendar; empty when it is not known. */
	interface Props {
		label: string;
		value: string | undefined;
		name: string;
		error?: string[] | undefined;
		hint?: string;
	}
	let { label, value = $bindable(), name, error, hint = '' }: Props = $props();
	const uid = $props.id();
	const problem = $derived(error?.[0] ?? '');
</script>

<div class="flex min-w-0 flex-col">
	<Label class="label text-(--ink)!" for={uid}>{label}</Label>
	<Input
		id={uid}
		class={fieldClass(!!problem)}
		{name}
		type="date"
		bind:value={() => value ?? '', (v) => (value = String(v ?? ''))}
		aria-invalid={problem ? 'true' : undefined}
		aria-describedby="{uid}-note" />
	<FieldNote id="{uid}-note" {problem} note={hint} />
</div>
