<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { goto } from '$app/navigation';
	import { SLIP_NAMES, SLIPS, type SlipName } from '$lib/core/practice';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import Segments from '$lib/ui/Segments.svelte';

	let { data } = $props();
	let shot = $state('lesson');
	let how = $state<'calm' | 'surprise' | 'chosen'>('surprise');
	let chosen = $state<SlipName[]>([]);
	const options = $derived([
		{ value: 'lesson', label: 'A lesson: two paperweights in a fast white resin' },
		...data.shots.map((s) => ({
			value: s.id,
			label: `S${s.number} ${s.name}, ${s.copies} ${s.copies === 1 ? 'copy' : 'copies'}`
		}))
	]);
	function begin() {
		const query = how === 'surprise' ? '?surprise=2' : how === 'chosen' ? `?slips=${chosen.map(encodeURIComponent).join(',')}` : '';
		void goto(`/practice/${shot}${query}`);
	}
</script>

<PageHead title="Practise a pour" about="The same steps, devices and clocks in a simulated shop. No resin is spent and nothing is kept." />
<div class="grid items-start gap-6 lg:grid-cols-[1fr_21rem]">
	<section class="slab p-5">
		<ChoiceField label="What is poured" name="shot" bind:value={shot} {options} />
		<div class="mt-2">
			<Segments
				label="What goes wrong"
				name="how"
				bind:value={how}
				options={[
					{ value: 'calm', label: 'Nothing' },
					{ value: 'surprise', label: 'Two surprises' },
					{ value: 'chosen', label: 'I choose' }
				]} />
		</div>
		{#if how === 'chosen'}
			<fieldset class="mt-3">
				<legend class="label">Thrown in</legend>
				<ul class="grid gap-2 sm:grid-cols-2">
					{#each SLIP_NAMES as name (name)}
						<li>
							<label
								class="flex min-h-[3.2rem] cursor-pointer items-center gap-3 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-4 font-semibold has-checked:border-(--work) has-checked:bg-(--work-soft)">
								<input type="checkbox" class="size-5 text-(--work)" bind:group={chosen} value={name} />
								{SLIPS[name].words}
							</label>
						</li>
					{/each}
				</ul>
			</fieldset>
		{/if}
		<p class="mt-5"><Button size="xl" onclick={begin}>Begin to practise</Button></p>
	</section>
	<aside class="slab p-5">
		<h2 class="mb-2">How it is scored</h2>
		<dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-3">
			<dt class="answer text-[2rem]">40</dt>
			<dd><strong>Time.</strong> All while the resin can be used, less towards the end of its real pot life.</dd>
			<dt class="answer text-[2rem]">30</dt>
			<dd><strong>Ratio.</strong> As weighed; a cup that nobody weighed counts half.</dd>
			<dt class="answer text-[2rem]">30</dt>
			<dd><strong>Outcome.</strong> What would have come out of the mould, by the models.</dd>
		</dl>
		<p class="soft mt-4">Waits may be put forward. The devices are simulated: hold P to pour, T to trickle.</p>
	</aside>
</div>
