<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button } from 'flowbite-svelte';
	import { onMount, untrack } from 'svelte';
	import { SvelteMap } from 'svelte/reactivity';
	import type { CatalystPlan, Forecast, ForecastInput } from '$lib/core/cure';
	import type { CureAnswer, CureQuestion } from '$lib/core/cure/tryForecast';
	import type { FieldError } from '$lib/core/fieldErrors';
	import { cautionsFor } from '$lib/core/cautions';
	import { chemistryOf, cureOf, isCatalysed } from '$lib/core/shelf';
	import { digits, fahrenheitFromCelsius } from '$lib/core/units';
	import Answer from '$lib/ui/Answer.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import Chart from '$lib/ui/Chart.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import { cupChart, partChart, type Reading } from '$lib/ui/cureCharts';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import SliderField from '$lib/ui/SliderField.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';
	import Working from '$lib/ui/Working.svelte';
	import { latest } from '$lib/workers/latest';
	import { usePlanner } from '$lib/workers/planner';

	let { data, form } = $props();
	const units = useUnits();
	let resinId = $state(untrack(() => data.resins.find((r) => r.id === data.chosen)?.id ?? data.resins[0]?.id ?? ''));
	let otherId = $state('');
	const tins = $derived(data.tins.filter((t) => t.materialId === resinId && t.part !== 'B'));
	let massG = $state<number | undefined>(200);
	let startTempC = $state<number | undefined>(untrack(() => data.settings.roomTempC));
	let roomTempC = $state<number | undefined>(untrack(() => data.settings.roomTempC));
	let mouldTempC = $state<number | undefined>(untrack(() => data.settings.roomTempC));
	let thicknessMm = $state<number | undefined>(8);
	let mouldWallMm = $state<number | undefined>(12);
	let pourTempC = $state<number | undefined>();
	let crackLimitC = $state<number | undefined>(100);
	let neededS = $state<number | undefined>(300);
	let readings = $state<Reading[]>([]);
	let newTimeS = $state<number | undefined>();
	let newTempC = $state<number | undefined>();

	const resin = $derived(data.resins.find((r) => r.id === resinId));
	const other = $derived(data.resins.find((r) => r.id === otherId));
	let catalystPercent = $derived<number | undefined>(resin?.record.catalystPercent);
	const catalysed = $derived(resin !== undefined && isCatalysed(resin.record.family));
	let main = $state.raw<Forecast>();
	let second = $state.raw<Forecast>();
	let plan = $state.raw<CatalystPlan>();
	let errors = $state.raw<FieldError[]>([]);

	function question(): CureQuestion | undefined {
		if (!resin) return undefined;
		const common = { massG, startTempC, roomTempC, mouldTempC, thicknessMm, mouldWallMm } as Omit<ForecastInput, 'resin'>;
		const cure = cureOf(catalysed ? { ...resin.record, catalystPercent } : resin.record, tins[0]?.speed);
		return {
			main: {
				...common,
				resin: cure,
				...(pourTempC === undefined ? {} : { pourTempC }),
				readings: $state.snapshot(readings)
			},
			...(other ? { other: { ...common, resin: cureOf(other.record) } } : {}),
			...(catalysed
				? {
						catalyst: {
							resin: cure,
							massG: massG as number,
							thicknessMm: thicknessMm as number,
							mouldWallMm: mouldWallMm as number,
							startTempC: startTempC as number,
							roomTempC: roomTempC as number,
							crackLimitC: crackLimitC as number,
							neededS: neededS as number
						}
					}
				: {})
		};
	}
	let ask: ((q: CureQuestion) => void) | undefined;
	let ready = $state(false);
	onMount(() => {
		ask = latest((q) => usePlanner().tryForecast(q) as Promise<CureAnswer>, take);
		ready = true;
	});
	function take(answer: CureAnswer) {
		if ('errors' in answer) {
			errors = answer.errors;
			return;
		}
		errors = [];
		main = answer.main;
		second = answer.other;
		plan = answer.catalyst;
	}
	$effect(() => {
		const q = question();
		if (ready && q) ask?.(q);
	});

	const problem = (field: string) => {
		const found = errors.filter((e) => e.path === field).map((e) => e.message);
		return found.length ? found : undefined;
	};
	const show = $derived(units.system === 'us' ? fahrenheitFromCelsius : (c: number) => c);
	const unit = $derived(units.system === 'us' ? '°F' : '°C');
	const now = $derived(main?.fit ?? main?.cup);
	const cupDrawn = $derived(
		main &&
			cupChart(main, second, {
				readings,
				pourTempC,
				mainName: resin?.record.name ?? '',
				otherName: other?.record.name ?? '',
				show,
				unit
			})
	);
	const partDrawn = $derived(main && partChart(main, second, { show, unit, otherName: other?.record.name ?? '' }));
	const newProblem = new SvelteMap<string, string[]>();

	function addReading() {
		newProblem.clear();
		if (!(newTimeS !== undefined && newTimeS >= 0)) newProblem.set('time', ['Type when it was read, such as 1:20.']);
		if (!(newTempC !== undefined && newTempC > -20 && newTempC < 300)) newProblem.set('temp', ['Type what it showed, such as 31 C.']);
		if (newProblem.size > 0) return;
		readings = [...readings, { timeS: newTimeS!, tempC: newTempC! }].sort((a, b) => a.timeS - b.timeS);
		newTimeS = undefined;
		newTempC = undefined;
	}

	async function download() {
		if (!main || !now) return;
		const { default: papa } = await import('papaparse');
		const text = papa.unparse([
			...now.series.map((p) => ({
				place: 'cup',
				timeS: p.timeS.toFixed(1),
				tempC: p.tempC.toFixed(2),
				conversion: p.conversion.toFixed(4)
			})),
			...main.part.map((p) => ({
				place: 'part core',
				timeS: p.timeS.toFixed(1),
				tempC: p.coreTempC.toFixed(2),
				conversion: p.slowest.toFixed(4)
			}))
		]);
		const link = document.createElement('a');
		link.href = URL.createObjectURL(new Blob([text], { type: 'text/csv' }));
		link.download = `cure-${(resin?.record.name ?? 'resin').replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.csv`;
		link.click();
		URL.revokeObjectURL(link.href);
	}
</script>

<PageHead title="Cure" about="How long you have got, when it comes out, how hot it gets: for your mass, your room, your section.">
	{#snippet actions()}<Button color="alternative" size="lg" onclick={download} disabled={!main}>Curves as CSV</Button>{/snippet}
</PageHead>

{#if !resin}
	<p class="slab p-8 text-lg">
		The shelf holds no resin yet. <a class="plain" href="/shelf/resins/new">Enter a data sheet</a> first.
	</p>
{:else}
	<div class="slab mb-5 grid grid-cols-2 gap-x-6 gap-y-4 p-5 sm:grid-cols-5" aria-live="polite">
		<div class="col-span-2">
			<Answer
				label="Pot life of this cup"
				value={now ? units.show(now.potLifeS, 'time') : '–'}
				tone="hot"
				note={main?.fit
					? `${units.show(main.fit.potLifeLowS, 'time')} to ${units.show(main.fit.potLifeHighS, 'time')}, 80 % band`
					: now
						? `gel ${units.show(now.gelTimeS, 'time')}`
						: ''} />
		</div>
		{#if main && now}
			<dl class="contents">
				<div>
					<dt class="label">Demould</dt>
					<dd class="text-[1.7rem] font-bold text-(--work)">{units.show(main.demouldS, 'time')}</dd>
				</div>
				<div>
					<dt class="label">Next layer</dt>
					<dd class="text-[1.15rem] leading-tight font-bold">
						{units.show(main.recoatFromS, 'time')} to {units.show(main.recoatUntilS, 'time')}
					</dd>
				</div>
				<div>
					<dt class="label">Hottest</dt>
					<dd class="grid grid-cols-[auto_1fr] gap-x-3 text-[1.05rem] leading-tight">
						<span class="soft">cup</span><strong>{units.show(now.peakTempC, 'temperature')}</strong><span class="soft">part</span><strong
							>{units.show(main.peakTempC, 'temperature')}</strong
						><span class="soft">face</span><strong>{units.show(main.peakMouldFaceC, 'temperature')}</strong>
					</dd>
				</div>
			</dl>
		{/if}
	</div>
	<div class="flex flex-col gap-5">
		{#if cupDrawn && partDrawn && main && now}
			<div class="grid gap-5 lg:grid-cols-2">
				<section class="slab min-w-0 px-4 pt-3 pb-1">
					<h2>In the cup</h2>
					<Chart
						label="Temperature of the cup over time; too thick to pour after {Math.round(now.potLifeS)} seconds"
						traces={cupDrawn.traces}
						layout={cupDrawn.layout}
						height={250} />
				</section>
				<section class="slab min-w-0 px-4 pt-3 pb-1">
					<h2>In the mould</h2>
					<Chart
						label="Temperatures and cure of the part over time; demould after {Math.round(main.demouldS)} seconds"
						traces={partDrawn.traces}
						layout={partDrawn.layout}
						height={250} />
				</section>
			</div>
		{/if}

		<div class="slab grid gap-x-7 gap-y-1 p-5 sm:grid-cols-2 lg:grid-cols-4">
			<ChoiceField
				label="Resin"
				name="resin"
				bind:value={resinId}
				options={data.resins.map((r) => ({ value: r.id, label: r.record.name }))}
				hint="{resin.record.family}, {resin.record.character}" />
			<SliderField label="In the cup" kind="mass" name="cureMass" bind:value={massG} min={5} max={5000} log error={problem('massG')} />
			<SliderField
				label="Resin"
				kind="temperature"
				name="cureStart"
				bind:value={startTempC}
				min={5}
				max={45}
				error={problem('startTempC')} />
			<SliderField label="Room" kind="temperature" name="cureRoom" bind:value={roomTempC} min={5} max={45} error={problem('roomTempC')} />
			<SliderField
				label="Mould"
				kind="temperature"
				name="cureMould"
				bind:value={mouldTempC}
				min={5}
				max={60}
				error={problem('mouldTempC')} />
			<SliderField
				label="Section"
				kind="length"
				name="cureSection"
				bind:value={thicknessMm}
				min={1}
				max={100}
				log
				error={problem('thicknessMm')} />
			<QuantityField label="Mould wall" kind="length" name="cureWall" bind:value={mouldWallMm} error={problem('mouldWallMm')} />
			<QuantityField
				label="Pour at a temperature"
				kind="temperature"
				name="curePour"
				bind:value={pourTempC}
				error={problem('pourTempC')}
				hint={now?.reachesPourTempS === undefined
					? 'leave empty to go by the clock'
					: `reached after ${units.show(now.reachesPourTempS, 'time')}`} />
			{#if catalysed}
				<SliderField
					label="Catalyst"
					kind="percent"
					name="cureCatalyst"
					bind:value={catalystPercent}
					min={0.5}
					max={3}
					step={0.1}
					error={problem('resin.catalyst.percent')} />
			{/if}
			<ChoiceField
				label="Lay another over it"
				name="other"
				bind:value={otherId}
				placeholder="None"
				options={data.resins.filter((r) => r.id !== resinId).map((r) => ({ value: r.id, label: r.record.name }))} />
		</div>
		<div class="flex min-w-0 flex-col gap-5">
			{#if errors.length > 0}<p class="font-semibold text-(--harm)" role="alert">{errors[0]!.message}</p>{/if}
			{#if main}
				<Warnings warnings={main.warnings} />
			{/if}
			{#if plan}
				<section class="slab p-5">
					<h2 class="mb-2">How much catalyst</h2>
					<div class="grid gap-x-5 sm:grid-cols-[auto_1fr_1fr]">
						<Answer
							label="At most"
							value={plan.percent === null ? 'none fits' : `${digits(plan.percent, 1)} %`}
							tone={plan.percent === null ? 'harm' : 'work'}
							note={{
								crack: 'more would crack it',
								time: 'more would set too soon',
								range: 'the usual most',
								'none-fits': ''
							}[plan.limitedBy]} />
						<QuantityField
							label="Middle may reach"
							kind="temperature"
							name="crackLimit"
							bind:value={crackLimitC}
							error={problem('crackLimitC')}
							hint="from the sheet or a trial block" />
						<QuantityField label="Stir and pour take" kind="time" name="needed" bind:value={neededS} error={problem('neededS')} />
					</div>
					{#if plan.stages}
						<dl class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-4">
							{#each [['Gel: next layer, embed', plan.stages.gelS], ['Soft, crumbles', plan.stages.softS], ['Firm', plan.stages.firmS], ['Hard', plan.stages.hardS]] as const as [word, atS] (word)}
								<div>
									<dt class="soft text-[0.9rem]">{word}</dt>
									<dd class="text-[1.2rem] font-bold">{units.show(atS, 'time')}</dd>
								</div>
							{/each}
						</dl>
					{/if}
					<Warnings warnings={plan.warnings} />
					<Working lines={plan.working} />
				</section>
			{/if}
			<section class="slab p-5">
				<h2>Readings of a gun thermometer</h2>
				<p class="soft mb-2">Each one corrects the forecast at once: the same temperature means the same state in summer and winter.</p>
				<form
					class="grid items-start gap-x-4 sm:grid-cols-[1fr_1fr_auto]"
					onsubmit={(e) => {
						e.preventDefault();
						addReading();
					}}>
					<QuantityField label="After combining" kind="time" name="readingTime" bind:value={newTimeS} error={newProblem.get('time')} />
					<QuantityField label="It shows" kind="temperature" name="readingTemp" bind:value={newTempC} error={newProblem.get('temp')} />
					<Button type="submit" class="mt-[1.62rem] min-h-[2.75rem]">Add it</Button>
				</form>
				{#if readings.length > 0}
					<ul class="flex flex-wrap gap-2">
						{#each readings as reading, i (i)}
							<li>
								<button
									type="button"
									class="tag min-h-[2.2rem] cursor-pointer"
									aria-label="Remove the reading {units.show(reading.tempC, 'temperature')} after {units.show(reading.timeS, 'time')}"
									onclick={() => (readings = readings.filter((_, k) => k !== i))}
									>{units.show(reading.timeS, 'time')} · {units.show(reading.tempC, 'temperature')} ✕</button>
							</li>
						{/each}
					</ul>
					{#if main?.fit}
						<p class="mt-2">
							This batch goes at <strong>× {digits(main.fit.rateFactor)}</strong> of its sheet; the curve is {digits(main.fit.rmsC, 1)} °C off
							the readings on average.
						</p>
						{#if tins.length > 0}
							<form
								method="POST"
								action="?/keep"
								use:enhance={() =>
									async ({ update }) =>
										update({ reset: false })}
								class="mt-2 flex flex-wrap items-center gap-3">
								<input type="hidden" name="rateFactor" value={main.fit.rateFactor * (tins[0]!.rateFactor ?? 1)} />
								{#each tins as tin (tin.id)}
									<Button type="submit" name="containerId" value={tin.id} color="alternative"
										>Keep it for {tin.part === 'whole' ? 'the tin' : `tin ${tin.part}`} {tin.lot}</Button>
								{/each}
								<span role="status" class="font-semibold text-(--work)"
									>{form?.kept ? 'Kept: shots from this tin go by it.' : ''}{form?.refused ?? ''}</span>
							</form>
						{/if}
					{/if}
				{/if}
			</section>
			{#if now && main}
				<section class="slab p-5">
					<Working lines={now.working} />
					{#if main.defaulted.length}<p class="soft mt-2">
							Defaults, not from your sheet: {main.defaulted.join(', ')}.
							<a class="plain" href="/shelf/resins/{resin.id}">Enter your own</a>.
						</p>{/if}
					<div class="mt-3">
						<Caution topics={[...cautionsFor(chemistryOf(resin.record.family)), 'heat']} />
					</div>
				</section>
			{/if}
		</div>
	</div>
{/if}
