<script lang="ts">
	import PageHead from '$lib/ui/PageHead.svelte';
	import WhatToMix from '$lib/ui/quick/WhatToMix.svelte';

	let { data } = $props();
</script>

<PageHead title="What do I mix?" about="One amount and a resin: what to weigh, how long it pours, when it comes out." />
<WhatToMix resins={data.resins} settings={data.settings} />
