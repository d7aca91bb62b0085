<script lang="ts" generics="T extends string">
	/** A few exclusive choices side by side, each a target that a gloved finger hits. */
	interface Props {
		label: string;
		value: T | undefined;
		name: string;
		options: readonly { value: T; label: string }[];
	}
	let { label, value = $bindable(), name, options }: Props = $props();
</script>

<fieldset class="min-w-0">
	<legend class="label mb-1">{label}</legend>
	<div class="inline-flex flex-wrap overflow-hidden rounded-lg border-[1.5px] border-(--line-strong)">
		{#each options as option (option.value)}
			<label
				class="flex min-h-[2.65rem] cursor-pointer items-center border-r border-(--line) bg-(--paper) px-4 font-semibold last:border-r-0 has-checked:bg-(--work) has-checked:text-(--work-ink) has-focus-visible:outline-3 has-focus-visible:outline-(--hot)">
				<input class="sr-only" type="radio" {name} value={option.value} bind:group={value} />
				{option.label}
			</label>
		{/each}
	</div>
</fieldset>
