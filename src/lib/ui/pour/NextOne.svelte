<script lang="ts">
	import { tick } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import type { PourRun } from '../pourRun.svelte';
	import type { Desk } from './desk.svelte';

	/** Pull after pull: the grades, the end of this pour and the beginning of the next one by one press. */
	let { run, desk }: { run: PourRun; desk: Desk } = $props();
	const number = $derived((run.plan.series?.number ?? 1) + 1);
	const wanted = $derived(run.plan.series?.wanted);
	const untouched = $derived(desk.grades.every((g) => !g.grade));
</script>

<form
	method="POST"
	action="?/again"
	class="mx-auto flex w-full max-w-[60rem] flex-wrap items-center justify-between gap-3"
	use:enhance={async ({ cancel }) => {
		if (untouched) for (const g of desk.grades) g.grade = 'good';
		desk.press();
		await tick();
		// one that wants a look, such as a mould without a grade, keeps it open
		if (run.state.status !== 'finished') return cancel();
		// the end of this pour stands there by now, and says it where the next one is refused
		return run.next.begin(cancel);
	}}>
	<span class="soft">Pull {number - 1}{wanted ? ` of ${wanted}` : ''}.</span>
	<Button type="submit" size="lg" color="alternative" disabled={run.next.beginning}
		>{untouched ? 'All good: pour the next one' : 'Keep this, pour the next one'}</Button>
</form>
