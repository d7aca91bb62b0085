<script lang="ts">
	import MasterForm from '$lib/ui/MasterForm.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';

	let { data } = $props();
</script>

<PageHead title="New master" about="Its volume sets the shot, its outer sizes the box of the mould." />
<MasterForm
	data={data.form}
	densities={data.densities}
	rubbers={data.rubbers}
	releases={data.releases}
	experiences={data.experiences}
	submit="Keep this master" />
