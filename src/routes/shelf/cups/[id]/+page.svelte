<script lang="ts">
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { cupVolumeMl, markCupRecord } from '$lib/core/shelf';
	import Save from '$lib/ui/Save.svelte';
	import { benchForm } from '$lib/ui/form';
	import FormErrors from '$lib/ui/FormErrors.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import Segments from '$lib/ui/Segments.svelte';
	import TextField from '$lib/ui/TextField.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data } = $props();
	const units = useUnits();
	const { form, errors, enhance, submitting, message } = benchForm(() => data.form, {
		validators: zod4Client(markCupRecord)
	});
	const known = $derived([$form.floorMm, $form.rimMm, $form.heightMm].every((mm) => mm > 0 && Number.isFinite(mm)));
	const holdsMl = $derived(known ? cupVolumeMl($form, $form.heightMm) : undefined);
	/** Its section, 100 units wide at the most. */
	const shape = $derived.by(() => {
		if (!known) return undefined;
		const most = Math.max($form.floorMm, $form.rimMm, $form.heightMm);
		const [f, r, h] = [$form.floorMm, $form.rimMm, $form.heightMm].map((mm) => (100 * mm) / most) as [number, number, number];
		return `M${50 - r / 2} ${100 - h}L${50 - f / 2} 100H${50 + f / 2}L${50 + r / 2} ${100 - h}`;
	});
</script>

<PageHead
	title={data.kept?.record.name ?? 'New cup'}
	about="A cup that parts are measured in by marks: its marks are given for it, and for no other." />
<form
	method="POST"
	action={data.kept ? `?version=${data.kept.version}` : undefined}
	use:enhance
	class="slab grid max-w-[56rem] items-start gap-x-8 p-5 md:grid-cols-[1fr_14rem]">
	<div>
		<FormErrors errors={$errors._errors} />
		<TextField label="Name" name="name" bind:value={$form.name} error={$errors.name} />
		<div class="grid gap-x-5 gap-y-1 sm:grid-cols-3">
			<QuantityField label="Floor, wide" kind="length" name="floorMm" bind:value={$form.floorMm} error={$errors.floorMm} hint="inside" />
			<QuantityField
				label="Rim, wide"
				kind="length"
				name="rimMm"
				bind:value={$form.rimMm}
				error={$errors.rimMm}
				hint="as the floor, if it is straight" />
			<QuantityField label="How deep" kind="length" name="heightMm" bind:value={$form.heightMm} error={$errors.heightMm} />
		</div>
		<div class="mb-4">
			<Segments
				label="Its own scale"
				name="graduated"
				bind:value={$form.graduated}
				options={[
					{ value: 'none', label: 'None' },
					{ value: 'ml', label: 'in ml' },
					{ value: 'floz', label: 'in fl oz' }
				]} />
		</div>
		<TextField label="Note" name="note" rows={2} bind:value={$form.note} error={$errors.note} />
		<div class="mt-3 flex items-center gap-4">
			<Save label="Keep this cup" submitting={$submitting} />
			<span role="status" class="font-semibold text-(--work)">{$message ?? ''}</span>
		</div>
	</div>
	<div class="text-center">
		<svg viewBox="-2 -2 104 104" class="mx-auto w-full max-w-[12rem]" role="img" aria-label="The cup in section, to scale">
			{#if !shape}<path d="M16 10L24 100H76L84 10" fill="none" stroke="var(--line-strong)" stroke-width="2" stroke-dasharray="5 4" />{/if}
			{#if shape}<path d={shape} fill="var(--work-soft)" stroke="var(--ink)" stroke-width="2" />{/if}
		</svg>
		<p class="soft">holds</p>
		<p class="answer text-[2rem]">{holdsMl === undefined ? '–' : units.show(holdsMl, 'volume')}</p>
	</div>
</form>
