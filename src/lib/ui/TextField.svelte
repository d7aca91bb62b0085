<script lang="ts">
	import { Input, Label, Textarea } from 'flowbite-svelte';
	import { fieldClass } from './fieldClass';
	import FieldNote from './FieldNote.svelte';
	import { PasteGuard } from './paste.svelte';

	interface Props {
		label: string;
		value: string | undefined;
		name: string;
		error?: string[] | undefined;
		hint?: string;
		rows?: number;
		placeholder?: string;
	}
	let { label, value = $bindable(), name, error, hint = '', rows = 1, placeholder = '' }: Props = $props();
	const uid = $props.id();
	const guard = new PasteGuard();
	const problem = $derived(guard.problem || (error?.[0] ?? ''));
</script>

<div class="flex min-w-0 flex-col">
	<Label class="label text-(--ink)!" for={uid}>{label}</Label>
	{#if rows > 1}
		<Textarea
			id={uid}
			class={fieldClass(!!problem)}
			{name}
			{rows}
			{placeholder}
			bind:value={() => value ?? '', (v) => (value = v)}
			aria-invalid={problem ? 'true' : undefined}
			aria-describedby="{uid}-note"
			onpaste={guard.onpaste}
			oninput={guard.oninput} />
	{:else}
		<Input
			id={uid}
			class={fieldClass(!!problem)}
			{name}
			{placeholder}
			type="text"
			autocomplete="off"
			bind:value
			aria-invalid={problem ? 'true' : undefined}
			aria-describedby="{uid}-note"
			onpaste={guard.onpaste}
			oninput={guard.oninput} />
	{/if}
	<FieldNote id="{uid}-note" {problem} note={hint} />
</div>
