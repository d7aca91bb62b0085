<script lang="ts">
	import { CAUSE_WORDS, FAULT_WORDS, type Fault } from '$lib/core/faults';
	import { DEVICE_NAMES } from '$lib/core/devices';
	import {
		WALL_SPOT_WORDS,
		wallStands,
		type WallSpot,
		stepsOf,
		isReading,
		leftWords,
		shrinkagePercent,
		sourceOf,
		SOURCE_WORDS,
		type PourEvent,
		GRADE_WORDS,
		SEEN_WORDS
	} from '$lib/core/bench';
	import { isPastPotLife } from '$lib/core/ledger/pull';
	import AddFindings from '$lib/ui/ledger/AddFindings.svelte';
	import { dayName, secondTime, wallTime } from '$lib/ui/clockText';
	import Causes from '$lib/ui/ledger/Causes.svelte';
	import Correct from '$lib/ui/ledger/Correct.svelte';
	import PullCurves from '$lib/ui/ledger/PullCurves.svelte';
	import LayerStories from '$lib/ui/ledger/LayerStories.svelte';
	import Island from '$lib/ui/island/Island.svelte';
	import Pictures from '$lib/ui/Pictures.svelte';
	import PageHead from '$lib/ui/PageHead.svelte';
	import { useUnits } from '$lib/ui/units.svelte';

	let { data, form } = $props();
	const units = useUnits();
	const body = $derived(data.pull.body);
	const steps = $derived(data.plan ? stepsOf(data.plan, units.system) : []);
	const GRADE_TONES = { good: 'work', 'needs-work': 'ink', scrap: 'harm' } as const;
	/** Why it came out so: what a maker confirmed, else what its log makes likeliest. */
	const reason = $derived.by(() => {
		const of = data.causes.find((c) => c.confirmed) ?? data.causes[0];
		const id = of?.confirmed ?? of?.ranked[0]?.id;
		return id && { id, confirmed: Boolean(of?.confirmed) };
	});
	const shrunk = $derived(body.inspected && shrinkagePercent(body.inspected));
	const time = (s: number | undefined) => (s === undefined ? '–' : units.show(s, 'time'));
	const rows = $derived([
		{
			what: 'In the mould',
			planned: time(body.planned.pouredByS),
			real: time(body.real.pouredByS),
			late: isPastPotLife(body, body.real.pouredByS)
		},
		{
			what: 'At pressure',
			planned: body.pot ? time(body.planned.settledByS) : '–',
			real: time(body.real.reachedS),
			late: isPastPotLife(body, body.real.reachedS)
		},
		{
			what: 'Pressure released',
			planned: body.pot ? time(body.planned.pouredByS + body.planned.holdUntilS) : '–',
			real: time(body.real.releasedS),
			late: false
		},
		{
			what: 'Demoulded',
			planned: time(body.planned.pouredByS + body.planned.demouldS),
			real: time(body.real.demouldS),
			late: (body.real.demouldS ?? Infinity) < body.planned.pouredByS + body.planned.demouldS * 0.9
		}
	]);

	/** Where a reading came from and that it was noted late, where that is not the plain case of a maker who typed it. */
	function sourceWords(event: PourEvent): string {
		const read = isReading(event) && !(event.kind === 'pressure-read' && event.gaugeKpa === undefined);
		const source = read ? (event.instrument ?? SOURCE_WORDS[sourceOf(event)]) : '';
		const late = event.enteredAtMs === undefined ? '' : `written down afterwards, ${wallTime(event.enteredAtMs, data.nowMs)}`;
		return [source, late, event.mark ?? ''].filter(Boolean).join('; ');
	}

	const plannedWallMm = $derived(data.plan?.layers?.reduce((sum, l) => sum + l.thicknessMm, 0));
	const plannedRim = $derived(data.plan?.rim);
	/** The wall as it was planned where it was measured: the rim may be thicker. */
	const plannedAt = (spot: string) => (spot === 'rim' ? (plannedRim?.thickMm ?? plannedWallMm ?? 0) : (plannedWallMm ?? 0));
	function cutWords(stepId: string): string {
		const cut = data.cut[stepId];
		return cut ? `, cut short: ${units.show(cut.waitedS, 'time')} of ${units.show(cut.wantedS, 'time')}` : '';
	}
	function say(event: PourEvent): string {
		switch (event.kind) {
			case 'step-done':
				return `${steps.find((s) => s.id === event.stepId)?.title ?? event.stepId}: done${cutWords(event.stepId)}`;
			case 'air-read':
				return `Room ${units.show(event.roomTempC, 'temperature')}, ${event.relativeHumidity} % humidity, mould ${units.show(event.mouldTempC, 'temperature')}`;
			case 'temp-read':
				return `${data.plan?.cups?.[event.cup ?? 0]?.name ?? 'Cup'} ${units.show(event.tempC, 'temperature')}`;
			case 'weighed':
				return `${steps.find((s) => s.id === event.stepId)?.title ?? event.stepId}: ${units.show(event.massG, 'mass')} in the cup`;
			case 'dosed':
				return `${steps.find((s) => s.id === event.stepId)?.title ?? event.stepId}: a dose`;
			case 'added':
				return `${units.show(event.massG, 'mass')} more of ${event.name} stirred in`;
			case 'device-lost':
				return `${DEVICE_NAMES[event.device]} ${event.how === 'silent' ? 'went silent' : 'said nonsense'}`;
			case 'seen':
				return SEEN_WORDS[event.what];
			case 'left':
				return leftWords(event.massG, units.system);
			case 'remark':
				return event.text;
			case 'pressure-read':
				return event.gaugeKpa === undefined ? 'Gauge not read' : `Gauge ${units.show(event.gaugeKpa, 'pressure')}`;
			case 'graded':
				return `M${data.plan?.moulds.find((m) => m.id === event.mouldId)?.number ?? ''} graded ${GRADE_WORDS[event.grade]}${event.faults.length ? `: ${event.faults.map((f) => FAULT_WORDS[f]).join(', ')}` : ''}`;
			case 'undone':
				return 'A step was taken back';
			case 'finished':
				return 'Written into the ledger';
			case 'abandoned':
				return `Given up: ${event.reason}`;
		}
	}
</script>

<PageHead
	title="{data.pull.masterName}, pull {data.pull.pullNumber} of M{data.pull.mouldNumber}"
	about={wallTime(data.pull.combinedAt.getTime(), data.nowMs)} />
<div class="grid items-start gap-5 lg:grid-cols-[1fr_24rem]">
	<section class="slab min-w-0 p-5">
		{#if body.imported}<p class="mb-3 text-[1.15rem]">
				Out of an old notebook: what it says stands beside; nothing was planned or noted here.
			</p>{/if}
		<Island
			>{#if data.causes.length > 0}<Causes causes={data.causes} />{/if}</Island>
		{#if data.plan}
			<h2>Planned and real</h2>
			<p class="soft mb-2">
				Counted from combining. Pot life of this cup {time(body.planned.potLifeS)}{data.plan.potLifeBand
					? `, four of five ${units.band(data.plan.potLifeBand)}`
					: ''}{data.plan.demouldBand ? `; demould ${units.band(data.plan.demouldBand)} after the pour` : ''}.
			</p>
			<table class="bench">
				<thead><tr><th>Step</th><th class="num">Planned</th><th class="num">Real</th></tr></thead>
				<tbody>
					{#each rows.filter((r) => r.planned !== '–' || r.real !== '–') as row, i (i)}
						<tr
							><td>{row.what}</td><td class="num">{row.planned}</td><td
								class={['num', row.late ? 'font-extrabold underline decoration-2' : 'font-bold']}>{row.real}</td
							></tr>
					{/each}
				</tbody>
			</table>
			<Island
				>{#if data.layers.length > 0}<LayerStories layers={data.layers} />{/if}</Island>
			<Island
				>{#if data.curves}<PullCurves curves={data.curves} />{/if}</Island>
			<h2 class="mt-5 mb-1">What happened</h2>
			<Island
				><ol class="text-[0.93rem]">
					{#each data.events as event, i (event.id)}
						{@const day = dayName(event.atMs)}
						{#if day !== (i > 0 ? dayName(data.events[i - 1]!.atMs) : '')}<li class="pt-2 font-semibold">{day}</li>{/if}
						<li class="grid grid-cols-[6.5rem_1fr] gap-3 border-t border-(--line) py-1.5">
							<time class="soft" datetime={new Date(event.atMs).toISOString()}>{secondTime(event.atMs)}</time><span
								>{say(event)}{#if sourceWords(event)}&nbsp;<span class="soft">({sourceWords(event)})</span
									>{/if}{#if data.devices[event.id]}&nbsp;<span class="soft">on {data.devices[event.id]}</span>{/if}</span>
						</li>
					{/each}
				</ol></Island>
		{/if}
		<Island
			><AddFindings
				inspected={body.inspected}
				references={data.plan?.references ?? []}
				problems={form && 'addProblems' in form ? ((form.addProblems ?? {}) as Record<string, string>) : {}} />
		</Island><Island><Correct pull={data.pull} corrections={data.corrections} {form} /></Island>
	</section>
	<aside class="slab flex flex-col gap-4 p-5">
		<Island>
			<div>
				<p class="label mb-1">Grade</p>
				<p class="answer text-[3.2rem]" style:color="var(--{GRADE_TONES[data.pull.grade]})">{GRADE_WORDS[data.pull.grade]}</p>
				<p class="mt-2 text-[1.15rem]">
					{#if body.faults.length}<strong>{body.faults.map((f) => FAULT_WORDS[f]).join(', ')}</strong>{#if reason}<br />{reason.confirmed
								? 'because of'
								: 'most likely'} <strong>{CAUSE_WORDS[reason.id]}</strong>{/if}{:else if body.abandonedBecause === undefined}No fault was
						noted.{/if}
				</p>
			</div>
			{#if body.inspected}
				<dl class="grid grid-cols-2 gap-3">
					{#each Object.entries(body.inspected.places ?? {}) as [fault, place] (fault)}<div class="col-span-2">
							<dt class="soft text-[0.93rem]">{FAULT_WORDS[fault as Fault]}</dt>
							<dd class="font-semibold">{place}</dd>
						</div>{/each}
					{#if body.inspected.castMassG}<div>
							<dt class="soft text-[0.93rem]">The cast weighs</dt>
							<dd class="text-[1.15rem] font-bold">{units.show(body.inspected.castMassG, 'mass')}</dd>
						</div>{/if}
					{#if body.inspected.sizeMm}<div>
							<dt class="soft text-[0.93rem]">{body.inspected.sizeOf}</dt>
							<dd class="text-[1.15rem] font-bold">
								{units.show(body.inspected.sizeMm, 'length')}{#if shrunk !== undefined}<span class="soft block text-[0.93rem] font-normal"
										>{Math.abs(shrunk).toFixed(2)} % {shrunk < 0 ? 'larger' : 'smaller'} than the master</span
									>{/if}
							</dd>
						</div>{/if}
					{#each Object.entries(body.inspected.wallsMm ?? {}) as [spot, mm] (spot)}<div>
							<dt class="soft text-[0.93rem]">Wall: {WALL_SPOT_WORDS[spot as WallSpot]}</dt>
							<dd class="text-[1.15rem] font-bold">
								{units.show(mm, 'length')}{#if plannedWallMm !== undefined}<span class="soft block text-[0.93rem] font-normal"
										>{wallStands(mm ?? 0, plannedAt(spot))}, {units.show(plannedAt(spot), 'length')} planned</span
									>{/if}
							</dd>
						</div>{/each}
					{#if body.inspected.rimHighMm !== undefined}<div>
							<dt class="soft text-[0.93rem]">Rim, high</dt>
							<dd class="text-[1.15rem] font-bold">
								{units.show(body.inspected.rimHighMm, 'length')}{#if plannedRim}<span class="soft block text-[0.93rem] font-normal"
										>{units.show(plannedRim.highMm, 'length')} planned</span
									>{/if}
							</dd>
						</div>{/if}
					{#if body.inspected.reworkS}<div>
							<dt class="soft text-[0.93rem]">Mending took</dt>
							<dd class="text-[1.15rem] font-bold">{units.show(body.inspected.reworkS, 'time')}</dd>
						</div>{/if}
				</dl>
			{/if}
			{#if body.abandonedBecause !== undefined}<p>
					<span class="label">Given up</span><br />{body.abandonedBecause}
				</p>{/if}
			{#if body.note}<p class="break-words whitespace-pre-wrap">
					<span class="label">Note</span><br />{body.note}
				</p>{/if}
			<dl class="grid grid-cols-2 gap-3">
				<div class="col-span-2">
					<dt class="soft text-[0.93rem]">Shot</dt>
					<dd class="text-[1.15rem] font-bold">
						{units.weighed(body.massG)}
						<span class="font-normal">{data.pull.resinName}, cup {body.batchIndex + 1} of {body.batchCount}</span>
						{#if body.took}<span class="soft block text-[0.93rem] font-normal">{leftWords(body.took.leftG, units.system)}</span>{/if}
					</dd>
				</div>
				{#if body.by?.length}<div class="col-span-2">
						<dt class="soft text-[0.93rem]">Noted by</dt>
						<dd class="text-[1.15rem] font-bold">{body.by.join(', ')}</dd>
					</div>{/if}
				{#if data.order}<div class="col-span-2">
						<dt class="soft text-[0.93rem]">Cast for</dt>
						<dd class="text-[1.15rem] font-bold"><a class="plain" href="/orders/{data.order.id}">{data.order.name}</a></dd>
					</div>{/if}
				<div>
					<dt class="soft text-[0.93rem]">Room</dt>
					<dd class="text-[1.15rem] font-bold">{units.show(body.roomTempC, 'temperature')}</dd>
				</div>
				<div>
					<dt class="soft text-[0.93rem]">Humidity</dt>
					<dd class="text-[1.15rem] font-bold">{body.relativeHumidity === null ? '–' : `${Math.round(body.relativeHumidity)} %`}</dd>
				</div>
				<div>
					<dt class="soft text-[0.93rem]">Mould</dt>
					<dd class="text-[1.15rem] font-bold">{units.show(body.mouldTempC, 'temperature')}</dd>
				</div>
				{#if body.pot}
					<div>
						<dt class="soft text-[0.93rem]">{body.pot.name} reached</dt>
						<dd class="text-[1.15rem] font-bold">{units.show(body.pot.reachedGaugeKpa, 'pressure')}</dd>
					</div>
				{/if}
			</dl>
			{#if !body.conditionsRead}<p class="soft">Temperatures and humidity are the planned ones: none were read at the bench.</p>{/if}
			<p class="flex gap-4">
				<a class="plain" href="/moulds/{data.pull.mouldId}">The mould</a>{#if data.shotId}<a class="plain" href="/shots/{data.shotId}"
						>The shot</a
					>{/if}<a class="plain" href="/moulds/{data.pull.mouldId}/wear">Its wear</a>
			</p>
		</Island>
	</aside>
</div>
<div class="mt-5">
	<Island
		><Pictures
			photos={data.photos}
			problem={form && 'photoProblem' in form ? String(form.photoProblem) : ''}
			of="The cast"
			suggest={body.faults.map((f) => [FAULT_WORDS[f], body.inspected?.places?.[f]].filter(Boolean).join(', '))} /></Island>
</div>
