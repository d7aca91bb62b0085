<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { enhance } from '$app/forms';
	import type { FieldError } from '$lib/core/fieldErrors';
	import { AMOUNT_WAYS, AMOUNT_WORDS, quickInput, quickResin, quickShot, quickVolume, type QuickInput } from '$lib/core/quick';
	import { isCatalysed, mixedDensityGPerMl, TYPICAL_RESIN_NAMES, typicalResin, type ResinRecord } from '$lib/core/shelf';
	import type { PlannedShot } from '$lib/core/shot';
	import type { WorkshopSettings } from '$lib/core/workshop';
	import { FreshPlanner } from '$lib/workers/planner';
	import ChoiceField from '../ChoiceField.svelte';
	import { drafts } from '../draft/drafts.svelte';
	import Island from '../island/Island.svelte';
	import { newId } from '../newId';
	import QuantityField from '../QuantityField.svelte';
	import Segments from '../Segments.svelte';
	import TextField from '../TextField.svelte';
	import AnswerOutline from '../AnswerOutline.svelte';
	import QuickAnswer from './QuickAnswer.svelte';

	/** The first useful figure, before any record exists: how much, of what, how warm. */
	interface Props {
		resins: readonly { id: string; record: ResinRecord }[];
		settings: WorkshopSettings;
	}
	let { resins, settings }: Props = $props();

	let q = $state<Partial<QuickInput>>(
		untrack(() => ({
			by: 'volume',
			resinBy: resins.length > 0 ? 'shelf' : 'typical',
			typical: 'fast',
			// the everyday resins first: what cures by a share of catalyst is chosen on purpose
			resinId: (resins.find((r) => !isCatalysed(r.record.family)) ?? resins[0])?.id ?? '',
			ratioBy: 'volume',
			roomTempC: settings.roomTempC,
			name: ''
		}))
	);
	/** Nothing is scolded before it was tried to go on. */
	let tried = $state(false);
	let refused = $state<readonly FieldError[]>([]);
	let id = $state('');
	const asked = $derived(quickInput.safeParse($state.snapshot(q)));
	const shelfResin = $derived(resins.find((r) => r.id === q.resinId)?.record);
	const ready = $derived.by(() => {
		if (!asked.success || (asked.data.resinBy === 'shelf' && !shelfResin)) return undefined;
		const resin = quickResin(asked.data, shelfResin);
		const volume = quickVolume(asked.data, mixedDensityGPerMl(resin));
		return { resin, volume, ...quickShot(asked.data, resin, settings) };
	});
	let answer = $state.raw<{ planned: PlannedShot } & Pick<NonNullable<typeof ready>, 'resin' | 'volume'>>();
	let planner: FreshPlanner | undefined = $state.raw();
	$effect(() => {
		const of = ready;
		if (!of || !planner) return;
		const timer = setTimeout(async () => {
			const outcome = await planner!.ask((p) => p.tryPlanShot(of.inputs, of.context));
			if (!outcome) return;
			refused = outcome.ok ? [] : outcome.errors;
			if (outcome.ok) answer = { planned: outcome.value, resin: of.resin, volume: of.volume };
		}, 60);
		return () => clearTimeout(timer);
	});
	let kept: ReturnType<typeof drafts.keep> | undefined;
	onMount(() => {
		id = newId();
		planner = new FreshPlanner();
		kept = drafts.keep('quick', { read: () => $state.snapshot(q), write: (typed) => (q = typed as typeof q) });
		return () => {
			planner?.stop();
			kept?.stop();
		};
	});
	$effect(() => {
		void JSON.stringify(q);
		kept?.changed();
	});
	/** The sentence at a field: what is typed wrongly at once, what is missing once it was tried to go on. */
	const said = (field: keyof QuickInput) => {
		const own = asked.success ? [] : asked.error.issues.filter((i) => i.path[0] === field && (tried || q[field] !== undefined));
		const found = [...own.map((i) => i.message), ...refused.filter((r) => r.path === field).map((r) => r.message)];
		return found.length > 0 ? found : undefined;
	};
	const elsewhere = $derived(refused.filter((r) => !(r.path in q)).map((r) => r.message));
	const stale = $derived(!asked.success || refused.length > 0);
	/** Sent whole: what a way does not ask for is left out. */
	const body = $derived(asked.success ? JSON.stringify(asked.data) : '');
	let problem = $state('');
</script>

<div class="grid items-start gap-5 lg:grid-cols-[1fr_26rem]">
	<section class="slab p-5">
		<Island>
			<Segments
				label="How much"
				name="by"
				paired="three"
				bind:value={q.by}
				options={AMOUNT_WAYS.map((value) => ({ value, label: AMOUNT_WORDS[value] }))} />
			<div class="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
				{#if q.by === 'volume'}
					<QuantityField label="Volume" kind="volume" name="volumeMl" bind:value={q.volumeMl} error={said('volumeMl')} />
				{:else if q.by === 'water'}
					<QuantityField
						label="Water that it spilled"
						kind="mass"
						name="waterMassG"
						bind:value={q.waterMassG}
						error={said('waterMassG')}
						hint="brim-full vessel, piece pushed under, spill weighed" />
				{:else if q.by === 'cast'}
					<QuantityField
						label="It weighs"
						kind="mass"
						name="castMassG"
						bind:value={q.castMassG}
						error={said('castMassG')}
						hint="solid, in the resin below" />
				{:else if q.by === 'skin'}
					<QuantityField label="Skin" kind="area" name="areaMm2" bind:value={q.areaMm2} error={said('areaMm2')} />
					<QuantityField label="Wall" kind="length" name="wallMm" bind:value={q.wallMm} error={said('wallMm')} />
				{:else}
					{#if q.by === 'box'}
						<QuantityField label="Length inside" kind="length" name="lengthMm" bind:value={q.lengthMm} error={said('lengthMm')} />
						<QuantityField label="Width inside" kind="length" name="widthMm" bind:value={q.widthMm} error={said('widthMm')} />
					{:else}
						<QuantityField label="Diameter inside" kind="length" name="diameterMm" bind:value={q.diameterMm} error={said('diameterMm')} />
					{/if}
					<QuantityField label="Filled to" kind="length" name="heightMm" bind:value={q.heightMm} error={said('heightMm')} />
				{/if}
			</div>
		</Island><Island>
			<div class="mt-3">
				<Segments
					label="Of what"
					name="resinBy"
					bind:value={q.resinBy}
					options={[
						...(resins.length > 0 ? [{ value: 'shelf' as const, label: 'From the shelf' }] : []),
						{ value: 'typical' as const, label: 'Typical of its kind' },
						{ value: 'label' as const, label: 'By the tin’s label' }
					]} />
			</div>
			<div class="mt-3 grid gap-x-5 gap-y-1 sm:grid-cols-3">
				{#if q.resinBy === 'shelf'}
					<div class="sm:col-span-2">
						<ChoiceField
							label="Resin"
							name="resinId"
							bind:value={q.resinId!}
							options={resins.map((r) => ({ value: r.id, label: r.record.name }))}
							error={said('resinId')} />
					</div>
				{:else if q.resinBy === 'typical'}
					<div class="sm:col-span-2">
						<ChoiceField
							label="Resin"
							name="typical"
							bind:value={q.typical!}
							options={TYPICAL_RESIN_NAMES.map((value) => ({ value, label: typicalResin(value).name }))} />
					</div>
				{:else}
					<QuantityField label="Parts of A" kind="number" name="ratioA" bind:value={q.ratioA} error={said('ratioA')} />
					<QuantityField label="Parts of B" kind="number" name="ratioB" bind:value={q.ratioB} error={said('ratioB')} />
					<ChoiceField
						label="Counted"
						name="ratioBy"
						bind:value={q.ratioBy!}
						options={[
							{ value: 'volume', label: 'by volume' },
							{ value: 'weight', label: 'by weight' }
						]} />
					<QuantityField label="Pot life" kind="time" name="potLifeS" bind:value={q.potLifeS} error={said('potLifeS')} />
				{/if}
				<QuantityField
					label="Room and resin"
					kind="temperature"
					name="roomTempC"
					bind:value={q.roomTempC}
					error={said('roomTempC')}
					hint="warmer is quicker" />
			</div>
		</Island>
		{#each elsewhere as words (words)}<p class="mt-2 font-semibold text-(--harm)" role="alert">{words}</p>{/each}
		<form
			method="POST"
			action="/quick"
			class="mt-3 border-t border-(--line) pt-3"
			use:enhance={({ cancel }) => {
				tried = true;
				if (!asked.success) return cancel();
				problem = '';
				return async ({ result, update }) => {
					if (result.type === 'redirect') kept?.saved();
					if (result.type === 'failure') problem = String(result.data?.['refused'] ?? 'It was not taken.');
					else if (result.type === 'error') problem = 'The server did not answer: press again, it is poured once.';
					else await update();
				};
			}}>
			<input type="hidden" name="id" value={id} />
			<input type="hidden" name="asked" value={body} />
			<Island>
				<div class="max-w-[26rem]">
					<TextField label="What it is for" name="name" bind:value={q.name!} error={said('name')} hint="may stay empty" />
				</div>
				<div class="mt-2 flex flex-wrap gap-3">
					<Button type="submit" size="xl" name="do" value="pour">Pour it</Button>
					<Button type="submit" size="xl" color="alternative" name="do" value="keep">Keep it</Button>
				</div>
				<p class="soft mt-2 text-[0.93rem]">
					<strong>Pour it</strong> opens the bench with these amounts; nothing else goes into the books.
					<strong>Keep it</strong> makes a master, a mould and a shot of what is known.
				</p>
			</Island>
			{#if problem}<p class="mt-2 font-semibold text-(--harm)" role="alert">{problem}</p>{/if}
		</form>
	</section>
	<aside class="slab p-5 lg:sticky lg:top-4">
		<Island>
			{#if answer}
				<QuickAnswer {...answer} {stale} />
			{:else}
				<p class="soft mb-3">Type one amount: A and B stand here at once.</p>
				<AnswerOutline boxes={['A', 'B']} lines="Pot life, slack, demould" />
			{/if}
		</Island>
	</aside>
</div>
