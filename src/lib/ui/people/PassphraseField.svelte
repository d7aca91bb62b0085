<script lang="ts">
	import { Input, Label } from 'flowbite-svelte';
	import { fieldClass } from '../fieldClass';
	import FieldNote from '../FieldNote.svelte';

	/** A passphrase: hidden until it is asked for, pasted as it likes, and kept in no draft. */
	interface Props {
		label: string;
		name: string;
		/** A new one, or the one that is known. */
		kind: 'new' | 'current';
		error?: string | undefined;
		hint?: string;
	}
	let { label, name, kind, error, hint = '' }: Props = $props();
	const uid = $props.id();
	let shown = $state(false);
</script>

<div class="flex min-w-0 flex-col">
	<Label class="label text-(--ink)!" for={uid}>{label}</Label>
	<div class="flex items-center gap-2">
		<Input
			id={uid}
			class={fieldClass(!!error)}
			{name}
			type={shown ? 'text' : 'password'}
			autocomplete={kind === 'new' ? 'new-password' : 'current-password'}
			spellcheck="false"
			aria-invalid={error ? 'true' : undefined}
			aria-describedby="{uid}-note" />
		<button
			type="button"
			class="mt-1 min-h-[2.75rem] cursor-pointer rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-semibold"
			aria-pressed={shown}
			onclick={() => (shown = !shown)}>{shown ? 'Hide' : 'Show'}</button>
	</div>
	<FieldNote id="{uid}-note" problem={error ?? ''} note={hint} />
</div>
