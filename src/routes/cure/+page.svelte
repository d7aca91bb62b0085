<script lang="ts">
	import { Button } from 'flowbite-svelte';
	import { onMount, untrack } from 'svelte';
	import {
		bandsAlong,
		CRACK_LIMIT_C,
		WALL_KINDS,
		WALLS,
		type CatalystPlan,
		type Forecast,
		type ForecastBands,
		type WallKind
	} from '$lib/core/cure';
	import type { Outcome } from '$lib/core/outcome';
	import type { CureAnswer } from '$lib/core/cure/tryForecast';
	import type { FieldError } from '$lib/core/fieldErrors';
	import { cautionsFor } from '$lib/core/cautions';
	import { chemistryOf, isCatalysed, tinsInUse, type ShelfCureQuestion } from '$lib/core/shelf';
	import { fahrenheitFromCelsius } from '$lib/core/units';
	import Answer from '$lib/ui/Answer.svelte';
	import Caution from '$lib/ui/Caution.svelte';
	import Chart from '$lib/ui/Chart.svelte';
	import ChoiceField from '$lib/ui/ChoiceField.svelte';
	import CatalystCard from '$lib/ui/cure/CatalystCard.svelte';
	import CureReadings from '$lib/ui/cure/CureReadings.svelte';
	import { cupChart, partChart, type Reading } from '$lib/ui/cureCharts';
	import Spoken from '$lib/ui/Spoken.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import QuantityField from '$lib/ui/QuantityField.svelte';
	import SliderField from '$lib/ui/SliderField.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import { useUnits } from '$lib/ui/units.svelte';
	import Warnings from '$lib/ui/Warnings.svelte';
	import Working from '$lib/ui/Working.svelte';
	import { latest } from '$lib/workers/latest';
	import { usePlanner } from '$lib/workers/planner';

	let { data } = $props();
	const units = useUnits();
	let resinId = $state(untrack(() => data.resins.find((r) => r.id === data.chosen)?.id ?? data.resins[0]?.id ?? ''));
	let otherId = $state('');
	const tins = $derived(data.tins.filter((t) => t.materialId === resinId && t.part !== 'B' && !t.emptied));
	let massG = $state<number | undefined>(200);
	let startTempC = $state<number | undefined>(untrack(() => data.settings.roomTempC));
	let roomTempC = $state<number | undefined>(untrack(() => data.settings.roomTempC));
	let mouldTempC = $state<number | undefined>(untrack(() => data.settings.roomTempC));
	let thicknessMm = $state<number | undefined>(8);
	let mouldWallMm = $state<number | undefined>(12);
	let pourTempC = $state<number | undefined>();
	let crackLimitC = $state<number | undefined>(CRACK_LIMIT_C);
	let neededS = $state<number | undefined>(300);
	let readings = $state<Reading[]>([]);

	const resin = $derived(data.resins.find((r) => r.id === resinId));
	const other = $derived(data.resins.find((r) => r.id === otherId));
	let catalystPercent = $derived<number | undefined>(resin?.record.catalystPercent);
	const catalysed = $derived(resin !== undefined && isCatalysed(resin.record.family));
	let main = $state.raw<Forecast>();
	let second = $state.raw<Forecast>();
	let bands = $state.raw<ForecastBands>();
	let plan = $state.raw<CatalystPlan>();
	let wall = $state<WallKind>('silicone');
	let errors = $state.raw<FieldError[]>([]);

	/** As it is typed: what is missing or out of range is the answer's to say, at its field. */
	function question(): ShelfCureQuestion | undefined {
		if (!resin) return undefined;
		const main = { massG, startTempC, roomTempC, mouldTempC, thicknessMm, mouldWallMm, wall } as ShelfCureQuestion['main'];
		return {
			resin: catalysed ? { ...resin.record, catalystPercent } : resin.record,
			tinSpeed: tinsInUse(tins).a?.speed,
			over: other?.record,
			main: { ...main, ...(pourTempC === undefined ? {} : { pourTempC }), readings: $state.snapshot(readings) },
			...(catalysed
				? {
						catalyst: { massG, thicknessMm, mouldWallMm, startTempC, roomTempC, crackLimitC, neededS } as NonNullable<
							ShelfCureQuestion['catalyst']
						>
					}
				: {})
		};
	}
	const CHART_PX = 290;
	/** So long nothing was changed: it stands still, ms. */
	const STANDS_MS = 250;
	let ask: ((q: ShelfCureQuestion) => void) | undefined;
	let ready = $state(false);
	/** Something is dragged: the charts follow on the axes that they have. */
	let moving = $state(false);
	onMount(() => {
		ask = latest((q) => usePlanner().tryCure(q) as Promise<Outcome<CureAnswer>>, take);
		ready = true;
	});
	function take(answer: Outcome<CureAnswer>) {
		if (!answer.ok) {
			errors = [...answer.errors];
			return;
		}
		errors = [];
		const { main: fresh, bands: sure, other, catalyst } = answer.value;
		moving = sure === undefined && bands !== undefined;
		bands = sure ?? (bands && main && bandsAlong(bands, main, fresh));
		[main, second, plan] = [fresh, other, moving ? plan : catalyst];
	}
	$effect(() => {
		const q = question();
		if (!ready || !q) return;
		// while it is dragged the bands go along with their times; once it stands still they are worked out
		const hasty = untrack(() => bands !== undefined);
		ask?.({ ...q, hasty });
		if (!hasty) return;
		const timer = setTimeout(() => ask?.(q), STANDS_MS);
		return () => clearTimeout(timer);
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
				bands,
				mainName: resin?.record.name ?? '',
				otherName: other?.record.name ?? '',
				show,
				unit
			})
	);
	const partDrawn = $derived(main && partChart(main, second, { show, unit, bands, otherName: other?.record.name ?? '' }));
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
	<p class="slab p-8 text-[1.15rem]">
		The shelf holds no resin yet. <a class="plain" href="/shelf/resins/new">Enter a data sheet</a> first.
	</p>
{:else}
	<Spoken
		text={now && main
			? `Pot life of this cup ${units.show(now.potLifeS, 'time')}, demould ${units.show(main.demouldS, 'time')}, hottest ${units.show(main.peakTempC, 'temperature')}`
			: ''} />
	<div
		class="slab mb-5 grid grid-cols-2 gap-x-6 gap-y-4 p-5 sm:grid-cols-3 lg:sticky lg:top-0 lg:z-10 lg:grid-cols-6"
		data-testid="cure-answer">
		<div class="col-span-2">
			<Answer
				label="Pot life of this cup"
				value={now ? units.show(now.potLifeS, 'time') : '…'}
				note={bands && now ? `${units.band(bands.potLife)}, four of five · gel\u00a0${units.show(now.gelTimeS, 'time')}` : ''} />
		</div>
		{#if main && now}
			<dl class="contents">
				<div>
					<dt class="label">Demould</dt>
					<dd class="text-[1.4rem] leading-tight font-bold text-(--work)">{units.show(main.demouldS, 'time')}</dd>
					{#if bands}<dd class="soft text-[0.93rem]">{units.band(bands.demould)}</dd>{/if}
				</div>
				<div>
					<dt class="label">Gives when bent</dt>
					<dd class="text-[1.15rem] leading-tight font-bold">
						from <span class="whitespace-nowrap">{units.show(main.flexibleS, 'time')}</span>
					</dd>
					<dd class="soft text-[0.93rem]">until it is stiff</dd>
				</div>
				<div>
					<dt class="label">Next layer</dt>
					<dd class="text-[1.15rem] leading-tight font-bold">
						{units.show(main.recoatFromS, 'time')} to {units.show(main.recoatUntilS, 'time')}
					</dd>
				</div>
				<div>
					<dt class="label">Hottest</dt>
					<dd class="grid grid-cols-[auto_1fr] gap-x-3 text-[1rem] leading-tight">
						<span class="soft">cup</span><strong>{units.show(now.peakTempC, 'temperature')}</strong><span class="soft">part</span><strong
							>{units.show(main.peakTempC, 'temperature')}</strong
						><span class="soft">face</span><strong>{units.show(main.peakMouldFaceC, 'temperature')}</strong>
					</dd>
				</div>
			</dl>
		{:else}
			<!-- as much room as the figures will take, so that nothing moves when they come -->
			{#each ['Demould', 'Gives when bent', 'Next layer', 'Hottest'] as what (what)}
				<div aria-hidden="true">
					<p class="label">{what}</p>
					<p class="mt-2 h-6 w-4/5 rounded bg-(--sunk)"></p>
					<p class="mt-2 h-4 w-3/5 rounded bg-(--sunk)"></p>
				</div>
			{/each}
		{/if}
	</div>
	<div class="flex flex-col gap-5">
		<div class="grid gap-5 lg:grid-cols-2">
			<section class="slab min-w-0 px-4 pt-3 pb-1" style:min-height="{CHART_PX + 48}px">
				<h2>In the cup</h2>
				{#if cupDrawn && now}<Chart
						label="Temperature of the cup over time; too thick to pour after {Math.round(now.potLifeS)} seconds"
						traces={cupDrawn.traces}
						layout={cupDrawn.layout}
						{moving}
						height={CHART_PX} />{/if}
			</section>
			<section class="slab min-w-0 px-4 pt-3 pb-1" style:min-height="{CHART_PX + 48}px">
				<h2>In the mould</h2>
				{#if partDrawn && main}<Chart
						label="Temperatures and cure of the part over time; demould after {Math.round(main.demouldS)} seconds"
						traces={partDrawn.traces}
						layout={partDrawn.layout}
						{moving}
						height={CHART_PX} />{/if}
			</section>
		</div>

		<Island>
			<div class="slab grid gap-x-7 gap-y-1 p-5 sm:grid-cols-2 lg:grid-cols-4">
				<ChoiceField
					label="Resin"
					name="resin"
					bind:value={resinId}
					options={data.resins.map((r) => ({ value: r.id, label: r.record.name }))}
					hint="{resin.record.family}, {resin.record.character}" />
				<ChoiceField
					label="Mould of"
					name="cureWallOf"
					bind:value={wall}
					options={WALL_KINDS.map((value) => ({ value, label: WALLS[value].name }))} />
				<QuantityField
					label="Pour at a temperature"
					kind="temperature"
					name="curePour"
					bind:value={pourTempC}
					error={problem('pourTempC')}
					hint={now?.reachesPourTempS === undefined
						? 'leave empty to go by the clock'
						: `reached after ${units.show(now.reachesPourTempS, 'time')}`} />
				<ChoiceField
					label="Lay another over it"
					name="other"
					bind:value={otherId}
					placeholder="None"
					options={data.resins.filter((r) => r.id !== resinId).map((r) => ({ value: r.id, label: r.record.name }))} />
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
				<SliderField
					label="Mould wall"
					kind="length"
					name="cureWall"
					bind:value={mouldWallMm}
					min={1}
					max={80}
					log
					error={problem('mouldWallMm')} />
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
			</div>
		</Island>
		<Island>
			<div class="flex min-w-0 flex-col gap-5">
				{#if errors.length > 0}<p class="font-semibold text-(--harm)" role="alert">{errors[0]!.message}</p>{/if}
				{#if main}
					<Warnings warnings={main.warnings} />
				{/if}
				{#if plan}
					<!-- while something is dragged it is the one of before -->
					<div class={['transition-opacity', moving && 'opacity-50']}><CatalystCard {plan} bind:crackLimitC bind:neededS {problem} /></div>
				{/if}
				<CureReadings bind:readings fit={main?.fit} {tins} asked={{ massG, startTempC, roomTempC, catalystPercent }} />
				{#if now && main}
					<section class="slab p-5">
						{#if bands}
							<h2>What would make it surer</h2>
							<ul class="mb-3 list-disc pl-5">
								{#each bands.surer as line (line)}<li>{line}</li>{/each}
							</ul>
							<p class="soft mb-3">
								The pot life’s band comes mostly from {bands.potLife.mostly}, the demould’s from {bands.demould.mostly}.
							</p>
						{/if}
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
		</Island>
	</div>
{/if}
