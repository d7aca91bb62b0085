<script lang="ts">
	import { countdown } from './clockText';
	import { holdsWords, placeLabels } from './fuseLabels';

	/** Steps burning along a bar towards the gel line, to scale in time. */
	interface Props {
		steps: readonly { name: string; durationS: number }[];
		potLifeS: number;
		/** What of the pot life may be used: less the margin, or the low end of its band. */
		usableS: number;
		slackS: number;
		/** Seconds since combining, while it burns. */
		elapsedS?: number;
		large?: boolean;
	}
	let { steps, potLifeS, usableS, slackS, elapsedS, large = false }: Props = $props();

	/** A plan is rounded like every other time on the page; what burns never shows more than is left. */
	const whole = $derived(elapsedS === undefined ? Math.round : Math.floor);
	const plannedS = $derived(steps.reduce((sum, s) => sum + s.durationS, 0));
	const spanS = $derived(Math.max(potLifeS * 1.06, plannedS * 1.04, (elapsedS ?? 0) * 1.02));
	const percent = (s: number) => `${(100 * Math.max(0, s)) / spanS}%`;
	let barPx = $state(640);
	const blocks = $derived.by(() => {
		let at = 0;
		return steps.map((step) => {
			const startS = at;
			at += step.durationS;
			return {
				...step,
				startS,
				endS: at,
				late: at > usableS + 1e-9,
				holds: holdsWords((step.durationS / spanS) * barPx, step.name)
			};
		});
	});
	const KEPT_BACK = 'kept back';
	const labels = $derived(
		placeLabels(
			[
				...blocks
					.filter((b) => !b.holds)
					.map((b) => ({ text: `${b.name} ${countdown(Math.round(b.durationS))}`, at: (b.startS + b.durationS / 2) / spanS })),
				...(potLifeS - usableS > 0 ? [{ text: KEPT_BACK, at: (usableS + potLifeS) / 2 / spanS }] : [])
			].sort((a, b) => a.at - b.at),
			barPx
		)
	);
	const ROW_PX = 19;
	const overPx = $derived(ROW_PX * Math.max(0, ...labels.map((l) => l.row + 1)) + (labels.length ? 7 : 0));
	/** Less than a tenth of the pot life is left over, while it burns: hurry. */
	const tight = $derived(slackS < 0 || (elapsedS !== undefined && slackS < 0.1 * potLifeS));
</script>

<figure
	class="w-full"
	aria-label="Steps against pot life: {slackS >= 0 ? `${Math.round(slackS)} seconds of slack` : `${Math.round(-slackS)} seconds too long`}">
	<div class="relative w-full" style:height="{overPx}px" aria-hidden="true">
		{#each labels as label (`${label.text} ${label.at}`)}
			<span
				class={['absolute text-[0.85rem] leading-none font-semibold whitespace-nowrap', label.text === KEPT_BACK && 'text-(--hot)']}
				style:left="{(100 * label.leftPx) / barPx}%"
				style:bottom="{7 + label.row * ROW_PX}px">{label.text}</span>
			<span class="absolute bottom-0 w-px bg-(--line-strong)" style:left="{label.at * 100}%" style:height="{5 + label.row * ROW_PX}px"
			></span>
		{/each}
	</div>
	<div class={['fuse relative w-full', large ? 'h-16' : 'h-14']} bind:clientWidth={barPx}>
		<div class="absolute inset-y-0 left-0 rounded-l-md bg-(--sunk)" style:width={percent(potLifeS)}></div>
		<!-- what is kept back -->
		<div
			class="absolute inset-y-0 border-y-2 border-(--hot)"
			style:left={percent(usableS)}
			style:width={percent(potLifeS - usableS)}
			style:background="repeating-linear-gradient(120deg, color-mix(in srgb, var(--hot) 55%, transparent) 0 3px, var(--hot-soft) 3px 9px)">
		</div>
		{#each blocks as block, i (i)}
			<div
				class={[
					'absolute top-2 bottom-2 flex flex-col justify-center overflow-hidden border-r-2 border-(--paper) leading-tight first:rounded-l',
					block.holds && 'px-2',
					block.late ? 'bg-(--hot) text-(--hot-ink)' : 'bg-(--work) text-(--work-ink)'
				]}
				style:left={percent(block.startS)}
				style:width={percent(block.durationS)}
				title="{block.name}, until {countdown(block.endS)}">
				{#if block.holds}
					<span class="truncate text-[0.93rem] font-semibold">{block.name}</span>
					<span class="truncate text-[0.85rem]">{countdown(Math.round(block.durationS))}</span>
				{/if}
			</div>
		{/each}
		{#if elapsedS !== undefined && elapsedS > 0}
			<div class="absolute inset-y-0 left-0 bg-black/45" style:width={percent(elapsedS)}></div>
			<div
				class="absolute -inset-y-1 w-[5px] rounded-full bg-[#ff7a33] shadow-[0_0_14px_5px_rgb(255_122_51/0.75)]"
				style:left={percent(elapsedS)}>
			</div>
		{/if}
		<div class="absolute -inset-y-1 w-[3px] bg-(--hot)" style:left={percent(potLifeS)}></div>
	</div>
	<figcaption class="mt-1 flex justify-between gap-3 text-[0.93rem] font-semibold">
		<span>combine</span>
		<span class={tight ? 'text-(--hot)' : 'text-(--work)'}>
			{slackS >= 0 ? `slack ${countdown(whole(slackS))} before the margin` : `${countdown(Math.ceil(-slackS))} too long`}
		</span>
		<span class="text-(--hot)">too thick at {countdown(whole(potLifeS))}</span>
	</figcaption>
</figure>
