<!-- the outline of what will stand here -->
<div class="soft flex flex-col gap-3" aria-hidden="true">
	<div class="grid grid-cols-2 gap-3">
		{#each ['A', 'B'] as letter (letter)}<div
				class="rounded-lg border border-dashed border-(--line-strong) px-3 py-6 text-[1.4rem] font-bold">
				{letter} …
			</div>{/each}
	</div>
	<p>Pot life, slack, demould</p>
</div>
