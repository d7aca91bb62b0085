<script lang="ts" generics="T extends string">
	/** A few exclusive choices side by side, each a target that a gloved finger hits. */
	interface Props {
		label: string;
		value: T | undefined;
		name: string;
		options: readonly { value: T; label: string }[];
		/** Many or long ones: two beside each other, or three where there is room, in rows that line up. */
		paired?: boolean | 'three';
	}
	let { label, value = $bindable(), name, options, paired = false }: Props = $props();
</script>

<fieldset class="min-w-0">
	<legend class="label mb-1">{label}</legend>
	<div
		class={[
			'segments gap-px overflow-hidden rounded-lg border-[1.5px] border-(--line-strong) bg-(--line)',
			paired ? 'grid grid-cols-2' : 'inline-flex flex-wrap',
			paired === 'three' && 'sm:grid-cols-3'
		]}>
		{#each options as option (option.value)}
			<label
				class={[
					'flex min-h-[2.65rem] grow cursor-pointer items-center bg-(--paper) px-4 font-semibold has-checked:bg-(--work) has-checked:text-(--work-ink)',
					paired && 'py-1.5 leading-tight'
				]}>
				<input class="sr-only" type="radio" {name} value={option.value} bind:group={value} />
				{option.label}
			</label>
		{/each}
	</div>
</fieldset>
