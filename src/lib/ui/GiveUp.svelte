<script lang="ts">
	import { Button } from 'flowbite-svelte';

	/** Why work at the bench is given up; nothing happens before it is said to be meant. */
	interface Props {
		/** What is given up, as the buttons say it. */
		giveUp: string;
		goOn: string;
		example: string;
		onend: (reason: string) => void;
		onback: () => void;
	}
	let { giveUp, goOn, example, onend, onback }: Props = $props();
	let reason = $state('');
</script>

<div class="slab mb-3 flex flex-wrap items-center gap-3 p-3">
	<label class="label" for="reason">Why is it given up?</label>
	<input
		id="reason"
		class="min-h-[2.75rem] flex-1 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3"
		bind:value={reason}
		maxlength="500"
		aria-describedby="reason-note" />
	<span id="reason-note" class="soft">such as {example}</span>
	<Button color="red" size="lg" onclick={() => onend(reason.trim() || 'no reason given')}>{giveUp}</Button>
	<Button color="alternative" size="lg" onclick={onback}>{goOn}</Button>
</div>
