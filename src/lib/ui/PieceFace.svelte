<script lang="ts">
	import type { PieceOutline } from '$lib/core/mould';

	/** What a piece looks like: its photo, else its outline to scale from its 3D file or sizes. */
	interface Props {
		outline?: PieceOutline | undefined;
		photoId?: string | null | undefined;
		/** Side of the square in rem. */
		rem?: number;
		alt?: string;
	}
	let { outline, photoId, rem = 2.75, alt = '' }: Props = $props();
	const drawn = $derived(photoId ? undefined : outline);
	const box = $derived(drawn ? Math.max(drawn.widthMm, drawn.heightMm) * 1.16 : 0);
</script>

{#if photoId}
	<img class="shrink-0 rounded-md object-cover" style="width:{rem}rem;height:{rem}rem" src="/photos/{photoId}" {alt} loading="lazy" />
{:else if drawn}
	<svg
		class="shrink-0 rounded-md bg-(--work-soft)"
		style="width:{rem}rem;height:{rem}rem"
		viewBox="{-box / 2} {-(drawn.heightMm + box) / 2} {box} {box}"
		role={alt ? 'img' : undefined}
		aria-label={alt || undefined}
		aria-hidden={alt ? undefined : 'true'}><path d={drawn.d} fill="var(--ink)" opacity="0.72" /></svg>
{/if}
