<script lang="ts">
	import type { InspectionDue } from '$lib/core/pressurePot';

	/** How far one part has come to its next look, by cycles or days, whichever is nearer. */
	let { due }: { due: InspectionDue } = $props();
	const used = $derived(
		Math.max(due.cyclesSince / Math.max(1, due.cyclesSince + due.cyclesLeft), due.daysSince / Math.max(1e-9, due.daysSince + due.daysLeft))
	);
	const bad = $derived(due.state === 'due' || due.state === 'failed');
	const words = $derived(
		due.state === 'failed'
			? 'failed its last look'
			: due.state === 'due'
				? 'past its due date'
				: `${Math.max(0, Math.floor(due.cyclesLeft))} cycles or ${Math.max(0, Math.floor(due.daysLeft))} days left${due.state === 'never' ? ', never looked at yet' : ''}`
	);
</script>

<div class="grid grid-cols-[9rem_1fr] items-center gap-3">
	<span class="font-semibold">{due.name}</span>
	<div>
		<div class="h-2.5 overflow-hidden rounded-full bg-(--sunk)" aria-hidden="true">
			<div
				class="h-full rounded-full"
				style:width="{Math.min(100, Math.max(2, used * 100))}%"
				style:background={bad ? 'var(--harm)' : due.state === 'soon' ? 'var(--hot)' : 'var(--work)'}>
			</div>
		</div>
		<p class={['text-[0.85rem]', bad ? 'font-bold text-(--harm)' : due.state === 'soon' ? 'font-semibold' : 'soft']}>{words}</p>
	</div>
</div>
