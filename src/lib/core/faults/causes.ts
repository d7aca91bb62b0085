import type { CauseId, Fault } from './faults';
import { digits, formatTime } from '../units';
import type { Evidence } from './evidence';

/** One thing that the log says for or against a cause: how much likelier it is with it, and in words. */
export interface Clue {
	/** Likelihood ratio, over 0; 1 says nothing. */
	ratio: number;
	words: string;
}

export interface Cause {
	id: CauseId;
	/** Faults that it makes, each with how usual it is as their cause, 1–5 (common practice, no source). */
	makes: Partial<Record<Fault, number>>;
	clues: (e: Evidence) => Clue[];
	remedy: string;
}

const none: Clue[] = [];
/** A clue where the figure is known: its ratio between two figures, growing evenly in between. */
function graded(
	value: number | undefined,
	from: { at: number; ratio: number },
	to: { at: number; ratio: number },
	words: (v: number) => string
): Clue[] {
	if (value === undefined || !Number.isFinite(value)) return none;
	const share = Math.min(1, Math.max(0, (value - from.at) / (to.at - from.at)));
	return [{ ratio: from.ratio * (to.ratio / from.ratio) ** share, words: words(value) }];
}
const yes = (value: boolean | undefined, whenTrue: Clue, whenFalse: Clue): Clue[] =>
	value === undefined ? none : [value ? whenTrue : whenFalse];
/** What holds for urethane; of a resin that is not known it is taken as it reads. */
const urethane = (e: Evidence, clues: Clue[]) =>
	e.chemistry === undefined || e.chemistry === 'urethane'
		? clues
		: [
				{
					ratio: 0.1,
					words: `${e.chemistry === 'melt' ? 'what is melted' : e.chemistry} does not foam with water`
				}
			];

/** Ratios and weights are field values from memory; what is confirmed at this bench moves them. */
export const CAUSES: readonly Cause[] = [
	{
		id: 'damp-air',
		makes: { foam: 4, 'inner-bubbles': 2, 'face-bubbles': 1 },
		clues: (e) =>
			urethane(
				e,
				graded(
					e.relativeHumidity,
					// about the humidity from which this workshop stops
					{ at: (e.stopHumidityPercent ?? 50) - 12, ratio: 0.2 },
					{ at: (e.stopHumidityPercent ?? 50) + 15, ratio: 6 },
					(v) =>
						`${digits(v, 0)} % humidity${e.stopHumidityPercent === undefined ? '' : `, pouring stops here from ${digits(e.stopHumidityPercent, 0)} %`}`
				)
			),
		remedy: 'Wait for drier air, or dry the room; keep A closed but for the moment of pouring.'
	},
	{
		id: 'damp-face',
		makes: { foam: 4, 'face-bubbles': 3, 'dull-detail': 1 },
		clues: (e) =>
			urethane(
				e,
				graded(
					e.dewMarginC,
					{ at: 10, ratio: 0.2 },
					{ at: 1, ratio: 8 },
					(v) => `mould face ${digits(v, 1)} °C over the dew point`
				)
			),
		remedy: 'Warm and dry the mould; keep its face at least 3 °C over the dew point.'
	},
	{
		id: 'old-stock',
		makes: { foam: 3, soft: 2, 'inner-bubbles': 1 },
		clues: (e) => [
			...graded(
				e.tinDays,
				{ at: 30, ratio: 0.3 },
				{ at: 300, ratio: 5 },
				(v) => `tin open for ${digits(v, 0)} days`
			),
			...graded(
				e.tinOpenings,
				{ at: 3, ratio: 0.7 },
				{ at: 20, ratio: 2.5 },
				(v) => `opened ${digits(v, 0)} times`
			)
		],
		remedy: 'Pour a small trial cup from it; use a fresh tin, flush the next one with dry gas.'
	},
	{
		id: 'ratio-off',
		makes: { soft: 5, crack: 1, warp: 1, delaminated: 1 },
		clues: (e) =>
			graded(
				e.ratioErrorPercent === undefined
					? undefined
					: Math.abs(e.ratioErrorPercent) / (e.ratioTolerancePercent ?? 2),
				{ at: 0.3, ratio: 0.1 },
				{ at: 2, ratio: 12 },
				() =>
					`ratio off by ${digits(Math.abs(e.ratioErrorPercent!), 1)} %, ${digits(e.ratioTolerancePercent ?? 2, 1)} % is allowed`
			),
		remedy: 'Weigh both parts; a finer scale for small shots.'
	},
	{
		id: 'undermixed',
		makes: { soft: 5, 'inner-bubbles': 1 },
		clues: (e) =>
			graded(
				e.mixS === undefined || !e.mixPlannedS ? undefined : e.mixS / e.mixPlannedS,
				{ at: 1.1, ratio: 0.5 },
				{ at: 0.5, ratio: 5 },
				() => `mixed for ${formatTime(e.mixS!)}, ${formatTime(e.mixPlannedS!)} were planned`
			),
		remedy: 'Scrape sides and floor for the whole time; pour into a second cup and mix again.'
	},
	{
		id: 'not-stirred',
		makes: { soft: 3, sink: 1, crack: 1 },
		clues: (e) =>
			yes(
				e.stirred,
				{ ratio: 0.3, words: 'each part was stirred first' },
				{ ratio: 4, words: 'no stirring of the parts was noted' }
			),
		remedy: 'Shake or stir each part in its own container before it is opened for the cup.'
	},
	{
		id: 'cups-swapped',
		makes: { soft: 2 },
		clues: () => none,
		remedy: 'Marked cups and lips, a clean stick for each part.'
	},
	{
		id: 'poured-late',
		makes: {
			'short-shot': 4,
			'face-bubbles': 3,
			ripples: 3,
			'dull-detail': 2,
			'inner-bubbles': 1
		},
		clues: (e) =>
			graded(
				e.pouredS === undefined || !e.potLifeS ? undefined : e.pouredS / e.potLifeS,
				{ at: 0.55, ratio: 0.15 },
				{ at: 1.05, ratio: 10 },
				() =>
					`in the mould ${formatTime(e.pouredS!)} after combining; the cup pours for ${formatTime(e.potLifeS!)}`
			),
		remedy: 'A smaller batch, cooler parts, a second pair of hands or a slower resin.'
	},
	{
		id: 'no-pressure',
		makes: { 'inner-bubbles': 4, 'face-bubbles': 2 },
		clues: (e) =>
			yes(
				e.pot,
				{ ratio: 0.02, words: 'it cured under pressure' },
				{ ratio: 1.5, words: 'it cured at the room’s pressure' }
			),
		remedy: 'Cure it in the pot, or dust, brush and pour a thin stream from the lowest point.'
	},
	{
		id: 'pressure-late',
		makes: { 'inner-bubbles': 4, 'face-bubbles': 2 },
		clues: (e) =>
			e.pot === false
				? [{ ratio: 0.01, words: 'there was no pot' }]
				: graded(
						e.reachedS === undefined || !e.potLifeS ? undefined : e.reachedS / e.potLifeS,
						{ at: 0.75, ratio: 0.15 },
						{ at: 1.1, ratio: 10 },
						() =>
							`at pressure ${formatTime(e.reachedS!)} after combining; it is liquid for ${formatTime(e.potLifeS!)}`
					),
		remedy: 'Load and pump sooner: fewer copies at once, lid and hose at hand.'
	},
	{
		id: 'pressure-lost',
		makes: { 'inner-bubbles': 4 },
		clues: (e) =>
			e.pot === false
				? [{ ratio: 0.01, words: 'there was no pot' }]
				: [
						...graded(
							e.lowestShare,
							{ at: 0.98, ratio: 0.3 },
							{ at: 0.7, ratio: 8 },
							(v) => `the hold fell to ${digits(100 * v, 0)} % of its target`
						),
						...graded(e.releasedEarlyS, { at: -60, ratio: 0.4 }, { at: 60, ratio: 8 }, (v) =>
							v > 0 ? `let out ${formatTime(v)} before it had gelled` : `held ${formatTime(-v)} past gel`
						)
					],
		remedy: 'Find the leak; hold until the slowest place is past gel.'
	},
	{
		id: 'trapped-air',
		makes: { 'short-shot': 4, 'face-bubbles': 4 },
		clues: (e) =>
			graded(
				e.traps,
				{ at: 0, ratio: 0.4 },
				{ at: 3, ratio: 3 },
				(v) => `${digits(v, 0)} pockets trap air in this position`
			),
		remedy: 'Vent the tops, turn the piece, or brush resin into them first.'
	},
	{
		id: 'uneven-closing',
		makes: { flash: 5, 'seam-step': 5, warp: 2, 'thin-places': 2, 'short-shot': 1 },
		clues: (e) =>
			yes(
				e.closed,
				{ ratio: 0.6, words: 'closing it was noted' },
				{ ratio: 2, words: 'no closing of the mould was noted' }
			),
		remedy: 'Stiff boards, bands or clamps evenly; line the joint up until it nearly vanishes.'
	},
	{
		id: 'dirty-mould',
		makes: { 'dull-detail': 3, 'face-bubbles': 2, flash: 2, 'seam-step': 1 },
		clues: (e) =>
			yes(
				e.looked,
				{ ratio: 0.5, words: 'it was looked over first' },
				{ ratio: 3, words: 'no look at the mould was noted' }
			),
		remedy: 'Flash, dust and old resin out of the cavity and off the joint before every pull.'
	},
	{
		id: 'wet-release',
		makes: { 'face-bubbles': 3, 'dull-detail': 2, foam: 1 },
		clues: (e) =>
			e.coatDryShare === undefined
				? [{ ratio: 0.2, words: 'no release that has to flash off' }]
				: graded(
						e.coatDryShare,
						{ at: 1.1, ratio: 0.3 },
						{ at: 0.5, ratio: 6 },
						(v) => `release waited for ${digits(100 * v, 0)} % of its flash-off`
					),
		remedy: 'Thin, and wait until it has flashed off and the face is warm again.'
	},
	{
		id: 'early-demould',
		makes: { warp: 5, soft: 2, 'dull-detail': 1, crack: 1 },
		clues: (e) =>
			graded(e.demouldEarlyShare, { at: -0.1, ratio: 0.2 }, { at: 0.3, ratio: 8 }, (v) =>
				v > 0 ? `out ${digits(100 * v, 0)} % before its time` : `${digits(-100 * v, 0)} % past its time`
			),
		remedy: 'Wait for the thin places; an hour instead of ten minutes for thin walls.'
	},
	{
		id: 'worn-mould',
		makes: { 'dull-detail': 5, flash: 3, 'seam-step': 2, 'face-bubbles': 1 },
		clues: (e) => [
			...graded(
				e.mouldWear,
				{ at: 0.5, ratio: 0.2 },
				{ at: 4, ratio: 6 },
				(v) => `worst sign of the mould ${digits(v, 0)} of 5`
			),
			...(e.mouldWear === undefined
				? graded(
						e.mouldPulls,
						{ at: 10, ratio: 0.3 },
						{ at: 60, ratio: 4 },
						(v) => `its pull ${digits(v, 0)}`
					)
				: none)
		],
		remedy: 'Look it over; rest, release or a barrier coat, or pour its successor.'
	},
	{
		id: 'overheated',
		makes: { crack: 5, sink: 4, ripples: 3, warp: 1, 'inner-bubbles': 1 },
		clues: (e) => [
			...graded(
				e.peakC,
				{ at: 60, ratio: 0.3 },
				{ at: 140, ratio: 5 },
				(v) => `its middle peaks at ${digits(v, 0)} °C`
			),
			...graded(
				e.catalystRatio,
				{ at: 0.9, ratio: 0.5 },
				{ at: 1.8, ratio: 4 },
				(v) => `catalyst × ${digits(v, 1)} of its sheet`
			)
		],
		remedy: 'Thinner layers, less catalyst, cooler parts.'
	},
	{
		id: 'cold-mould',
		makes: { ripples: 3, soft: 2, 'face-bubbles': 1, 'short-shot': 1 },
		clues: (e) =>
			graded(
				e.mouldTempC,
				{ at: 22, ratio: 0.4 },
				{ at: 12, ratio: 5 },
				(v) => `mould at ${digits(v, 0)} °C`
			),
		remedy: 'Warm the mould: it fills better and lets air go, and sets sooner.'
	},
	{
		id: 'late-layer',
		makes: { delaminated: 5, 'thin-places': 1 },
		clues: (e) =>
			e.layerLateS === undefined
				? [{ ratio: 0.05, words: 'it was cast in one go' }]
				: graded(e.layerLateS, { at: -120, ratio: 0.2 }, { at: 120, ratio: 8 }, (v) =>
						v > 0 ? `a layer ${formatTime(v)} past its window` : `${formatTime(-v)} of the window left`
					),
		remedy: 'Weigh the next cup while the last layer gels; roughen what has cured.'
	},
	{
		id: 'uneven-rolling',
		makes: { 'thin-places': 5, sink: 1, 'short-shot': 1 },
		clues: (e) =>
			yes(
				e.layers === undefined ? undefined : e.layers > 0,
				{ ratio: 2, words: `${e.layers} rolled layers` },
				{ ratio: 0.3, words: 'it was not rolled' }
			),
		remedy: 'Every way round until it no longer runs; steer the later layers to the thin places.'
	}
];
