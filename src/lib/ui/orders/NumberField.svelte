<script lang="ts">
	import { Input, Label } from 'flowbite-svelte';
	import FieldNote from '$lib/ui/FieldNote.svelte';
	import { fieldClass } from '$lib/ui/fieldClass';

	/** A plain count; what is typed stays as it was typed until it is a number. */
	interface Props {
		label: string;
		name: string;
		value: number | undefined;
		error?: string[] | undefined;
		hint?: string;
	}
	let { label, name, value = $bindable(), error, hint = '' }: Props = $props();
	const uid = $props.id();
	const problem = $derived(error?.[0] ?? '');
</script>

<div class="flex min-w-0 flex-col">
	<Label class="label text-(--ink)!" for={uid}>{label}</Label>
	<Input
		id={uid}
		class={fieldClass(!!problem)}
		{name}
		type="number"
		step="any"
		inputmode="decimal"
		bind:value={() => value as number, (v) => (value = typeof v === 'number' && Number.isFinite(v) ? v : (undefined as never))}
		aria-invalid={problem ? 'true' : undefined}
		aria-describedby="{uid}-note" />
	<FieldNote id="{uid}-note" {problem} note={hint} />
</div>
