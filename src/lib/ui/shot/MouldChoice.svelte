<script lang="ts">
	import { Checkbox } from 'flowbite-svelte';
	import { counted } from '../clockText';

	/** Which of the moulds that stand ready take part in a shot. */
	interface Props {
		moulds: readonly { id: string; number: number; cavities: number; pulls: number; inPour?: boolean }[];
		masterId: string | undefined;
		chosen: string[];
		problem: string;
	}
	let { moulds, masterId, chosen = $bindable(), problem }: Props = $props();
	function toggle(id: string, on: boolean) {
		chosen = on ? [...chosen, id] : chosen.filter((m) => m !== id);
	}
</script>

<fieldset aria-describedby="moulds-note">
	<legend class="label">Moulds that stand ready</legend>
	<div class="mt-1 flex flex-wrap gap-2">
		{#each moulds as mould (mould.id)}
			<label
				class="flex min-h-[2.65rem] cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) px-3 font-semibold has-checked:border-(--work) has-checked:bg-(--work-soft)">
				<Checkbox
					checked={chosen.includes(mould.id)}
					onchange={(e: Event) => toggle(mould.id, (e.currentTarget as HTMLInputElement).checked)} />
				M{mould.number}{mould.cavities > 1 ? ` ×${mould.cavities}` : ''}
				<span class="soft font-normal">{mould.inPour ? 'in a pour' : counted(mould.pulls, 'pull')}</span>
			</label>
		{:else}
			<p class="soft">
				{#if masterId}This master has no active mould. <a class="plain" href="/moulds/new?master={masterId}">Plan one</a> or take one into use.{:else}Choose
					the piece first.{/if}
			</p>
		{/each}
	</div>
	<p id="moulds-note" class="mt-0.5 min-h-[1.35rem] text-[0.85rem] font-semibold text-(--harm)" aria-live="polite">
		{problem}
	</p>
</fieldset>
