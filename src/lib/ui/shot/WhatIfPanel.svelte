<script lang="ts">
	import { staysOpen } from '../staysOpen';
	import type { WhatIf } from '$lib/core/shot';
	import { useUnits } from '../units.svelte';

	/** What happens when things are not as planned, and what would give time. */
	let { sensitivity, helps, tight }: { sensitivity: readonly WhatIf[]; helps: readonly WhatIf[]; tight: boolean } = $props();
	const units = useUnits();
	const slack = (s: number) => (s < 0 ? `${units.show(-s, 'time')} too long` : units.show(s, 'time'));
</script>

<details open={tight} {@attach staysOpen}>
	<summary class="font-semibold text-(--work)">What would give time</summary>
	{#if helps.length === 0}<p class="soft">Nothing here gives more than a second.</p>{/if}
	<ul class="divide-y divide-(--line)">
		{#each helps.slice(0, 12) as w, i (i)}
			<li class="flex justify-between gap-4 py-1.5">
				<span>{units.text(w.what)}</span><strong class="whitespace-nowrap">+ {units.show(w.gainS, 'time')}</strong>
			</li>
		{/each}
	</ul>
</details>
<details>
	<summary class="font-semibold text-(--work)">If it is not as planned</summary>
	<table class="bench">
		<thead><tr><th>If</th><th class="num">Slack</th><th class="num">Demould</th></tr></thead>
		<tbody>
			{#each sensitivity as w, i (i)}
				<tr
					><td>{units.text(w.what)}</td><td class={['num', w.slackS < 0 && 'font-bold']}>{slack(w.slackS)}</td><td class="num"
						>{units.show(w.demouldS, 'time')}</td
					></tr>
			{/each}
		</tbody>
	</table>
</details>
