<script lang="ts">
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
</script>

<PageHead title="Plan a mould" about="Each way with its sums, its drawing and its steps." />
<data.MouldForm
	data={data.form}
	shelf={data.shelf}
	others={data.others}
	settings={data.settings}
	nowMs={data.nowMs}
	submit="Keep this mould" />
