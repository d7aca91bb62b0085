<script lang="ts">
	import Unsaid from './Unsaid.svelte';

	/** The name of a material in a list of the shelf, what it is, and what of it is nobody's sheet. */
	interface Props {
		href: string;
		name: string;
		about?: string;
		record?: { typical: boolean; usual: string[] };
	}
	let { href, name, about, record }: Props = $props();
</script>

<a class="plain font-semibold break-words" {href}>{name}</a>
{#if about}<span class="soft block text-[0.93rem]">{about}</span>{/if}
{#if record}<Unsaid {record} />{/if}
