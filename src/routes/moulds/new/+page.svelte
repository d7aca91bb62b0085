<script lang="ts">
	import MouldForm from '$lib/ui/MouldForm.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
</script>

<PageHead title="Plan a mould" about="A one-piece block, poured round the master and cut open." />
<MouldForm
	data={data.form}
	masters={data.masters}
	rubbers={data.rubbers}
	releases={data.releases}
	experiences={data.experiences}
	nowMs={data.nowMs}
	submit="Keep this mould" />
