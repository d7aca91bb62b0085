<script lang="ts">
	import { volumeOfDisk } from '$lib/ui/diskWords';

	/** Free space of the disk that keeps the workshop, when it runs out. */
	interface Props {
		freeBytes: number;
		state: 'low' | 'short' | 'full';
	}
	let { freeBytes, state }: Props = $props();
</script>

<p
	role="alert"
	class={[
		'px-4 py-2 text-center font-semibold print:hidden',
		state === 'low' ? 'bg-(--sunk) text-(--ink)' : 'bg-(--harm-soft) text-(--harm)'
	]}>
	{#if state === 'full'}The workshop’s disk is full: nothing more can be kept until there is room. What was kept is not lost.
	{:else}The workshop’s disk has {volumeOfDisk(freeBytes)} left{state === 'short'
			? ': pictures, 3D files and books are not taken until there is room. What happens at the bench still is.'
			: '. Free some space on the machine that keeps it.'}{/if}
</p>
