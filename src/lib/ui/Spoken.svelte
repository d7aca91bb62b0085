<script lang="ts">
	/** One short sentence for a screen reader, said once what changes it has come to rest. */
	let { text }: { text: string } = $props();
	const RESTS_MS = 900;
	let heard = $state('');
	$effect(() => {
		const said = text;
		const timer = setTimeout(() => (heard = said), RESTS_MS);
		return () => clearTimeout(timer);
	});
</script>

<p class="sr-only" role="status">{heard}</p>
