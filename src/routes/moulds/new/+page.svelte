<script lang="ts">
	import MouldForm from '$lib/ui/MouldForm.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
</script>

<PageHead title="Plan a mould" about="A block poured round the master: cut open, open at its back, or in two halves." />
<MouldForm
	data={data.form}
	masters={data.masters}
	rubbers={data.rubbers}
	resins={data.resins}
	releases={data.releases}
	experiences={data.experiences}
	nowMs={data.nowMs}
	submit="Keep this mould" />
