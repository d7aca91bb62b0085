<script lang="ts">
	/** What is wrong with a form as a whole. */
	let { errors }: { errors: string[] | undefined } = $props();
</script>

{#if errors?.length}
	<div class="mb-3 rounded-lg border-l-[6px] border-(--harm) bg-(--harm-soft) px-3 py-2 font-semibold" role="alert">
		{#each errors as error (error)}<p>{error}</p>{/each}
	</div>
{/if}
