<script lang="ts">
	import MouldForm from '$lib/ui/MouldForm.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
</script>

<PageHead title="Plan a mould" about="Each way with its sums, its drawing and its steps." />
<MouldForm data={data.form} shelf={data.shelf} others={data.others} settings={data.settings} nowMs={data.nowMs} submit="Keep this mould" />
