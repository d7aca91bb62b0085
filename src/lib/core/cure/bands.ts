import type { Warning } from '../working';
import { calibrate } from './calibrate';
import type { CupInput } from './cup';
import { cupFigures } from './cup';
import { solveLayered, type LayeredSetup } from './layered';
import { CURE_DEFAULTS, POLYESTER_PEAK, type CureRecord } from './record';
import { sections, type Sections } from './sections';
import { BAND_80, moved, SPREADS, TAUGHT_SPEED_SHARE, type SpreadName } from './spread';

/** Where four of five fall, and what that mostly comes from. */
export interface Band {
	low: number;
	high: number;
	/** Standard deviation: of ln(x) of a time, K of a temperature. */
	sd: number;
	mostly: SpreadName;
	/** What it comes from, the most first; shares of the variance, which sum to one. */
	mainly: { input: SpreadName; share: number }[];
}

/** The band of one time as it is kept and shown, s. */
export interface TimeBand {
	lowS: number;
	highS: number;
	/** What it mostly comes from, in words. */
	mostly: string;
}
/**
 * The same share either side of another time that hangs on the same things.
 * @example
 * bandOfTime(100, { sd: 0.1, mostly: 'speed' }); // { lowS: 87.971, highS: 113.67, mostly: 'this batch against its sheet' }
 */
export const bandOfTime = (atS: number, band: Pick<Band, 'sd' | 'mostly'>): TimeBand => ({
	lowS: atS * Math.exp(-BAND_80 * band.sd),
	highS: atS * Math.exp(BAND_80 * band.sd),
	mostly: SPREADS[band.mostly].words
});

/** Something that is off: from a question to the same with it moved by so many deviations. */
type Moves<Q> = Partial<Record<SpreadName, (question: Q, deviations: number) => Q>>;

/**
 * Bands of several figures at once, by central differences over what a forecast leads from (first order in ln of a
 * time, in K of a temperature).
 * @param timesS figures that are times; the others are temperatures
 */
export function bandsOf<Q, F extends string>(
	question: Q,
	moves: Moves<Q>,
	figures: (q: Q) => Record<F, number>,
	timesS: readonly NoInfer<F>[]
): Record<F, Band> {
	const middle = figures(question);
	const names = Object.keys(middle) as F[];
	const steps = (Object.entries(moves) as [SpreadName, NonNullable<Moves<Q>[SpreadName]>][]).map(
		([name, move]) => ({ name, up: figures(move(question, 1)), down: figures(move(question, -1)) })
	);
	const bands = names.map((f): [F, Band] => {
		const time = timesS.includes(f);
		const slopes = steps.map(({ name, up, down }) => {
			const slope = time ? Math.log(up[f] / down[f]) / 2 : (up[f] - down[f]) / 2;
			return { name, slope: Number.isFinite(slope) ? slope : 0 };
		});
		const variance = slopes.reduce((sum, s) => sum + s.slope ** 2, 0);
		const sd = Math.sqrt(variance);
		const mainly = slopes
			.map(({ name, slope }) => ({ input: name, share: variance > 0 ? slope ** 2 / variance : 0 }))
			.sort((a, b) => b.share - a.share);
		const off = BAND_80 * sd;
		return [
			f,
			{
				low: time ? middle[f] * Math.exp(-off) : middle[f] - off,
				high: time ? middle[f] * Math.exp(off) : middle[f] + off,
				sd,
				mostly: mainly[0]!.input,
				mainly
			}
		];
	});
	return Object.fromEntries(bands) as Record<F, Band>;
}

/** The spread of a range as a sheet prints it: taken for four of five, and never for nothing. */
const printed = (lowS: number | undefined, highS: number | undefined): number | undefined =>
	lowS === undefined || highS === undefined
		? undefined
		: Math.max(TAUGHT_SPEED_SHARE, Math.log(highS / lowS) / (2 * BAND_80));

/** How far a batch may be from its sheet: what readings or the sheet's own range say, else the default. */
const speedShare = ({ rateFactor, potLifeLowS, potLifeHighS }: CureRecord): number | undefined =>
	rateFactor === undefined ? printed(potLifeLowS, potLifeHighS) : TAUGHT_SPEED_SHARE;

/** How far the sheet's demould may be from what it means: what presses at demould or its own range say. */
const demouldShare = ({ maturitySd, demouldLowS, demouldHighS }: CureRecord): number | undefined =>
	maturitySd ?? printed(demouldLowS, demouldHighS);

/** A record with one of its constants off. */
function withRecord(record: CureRecord, name: SpreadName, deviations: number): CureRecord {
	const defaults = CURE_DEFAULTS[record.chemistry ?? 'urethane'];
	switch (name) {
		case 'speed':
			return {
				...record,
				rateFactor: moved('speed', record.rateFactor ?? 1, deviations, speedShare(record))
			};
		case 'heatOfCureJPerG': {
			const peak = record.peakExotherm ?? (record.catalyst ? POLYESTER_PEAK : undefined);
			// a heat that was solved from a peak moves with the peak's rise over its room
			if (peak && record.heatOfCureJPerG === undefined) {
				const { tempC = POLYESTER_PEAK.tempC, peakTempC } = peak;
				return {
					...record,
					peakExotherm: { ...peak, peakTempC: tempC + moved(name, peakTempC - tempC, deviations) }
				};
			}
			return { ...record, [name]: moved(name, record[name] ?? defaults[name], deviations) };
		}
		case 'potLifeConversion': {
			const pot = record.potLifeConversion ?? defaults.potLifeConversion;
			const most = (record.gelConversion ?? defaults.gelConversion) * 0.97;
			return { ...record, potLifeConversion: Math.min(most, moved(name, pot, deviations)) };
		}
		case 'activationKjPerMol':
		case 'deflectionTempC':
			return { ...record, [name]: moved(name, record[name] ?? defaults[name], deviations) };
		case 'demouldS':
			return {
				...record,
				demouldS: moved(name, record.demouldS, deviations, demouldShare(record))
			};
		case 'demouldSectionMm':
			// what was seen of parts says how far the sheet is off, whatever section it means
			if (record.maturitySd !== undefined) return record;
			return { ...record, demouldSectionMm: moved(name, record.demouldSectionMm ?? 6, deviations) };
		// these are of the room and the part, not of the resin
		case 'resinTempC':
		case 'roomTempC':
		case 'thicknessMm':
			return record;
	}
}

const recordMoves = <Q extends { resin: CureRecord }>(names: readonly SpreadName[]): Moves<Q> =>
	Object.fromEntries(
		names.map((name) => [name, (q: Q, k: number) => ({ ...q, resin: withRecord(q.resin, name, k) })])
	) as Moves<Q>;

/**
 * Bands of pot life, gel and peak of a cup.
 * @throws as `cup` does.
 * @example cupBands({ resin: { potLifeS: 150, demouldS: 900, character: 'quick' }, massG: 100, startTempC: 23, roomTempC: 23 }).potLifeS.mostly // 'speed'
 */
export function cupBands(question: CupInput): Record<'potLifeS' | 'gelTimeS' | 'peakTempC', Band> {
	return bandsOf(question, cupMoves, cupFigures, ['potLifeS', 'gelTimeS']);
}

/** What a cup's forecast leads from. */
export const cupMoves: Moves<CupInput> = {
	...recordMoves<CupInput>(['speed', 'heatOfCureJPerG', 'activationKjPerMol', 'potLifeConversion']),
	resinTempC: (q, k) => ({ ...q, startTempC: moved('resinTempC', q.startTempC, k) }),
	roomTempC: (q, k) => ({ ...q, roomTempC: moved('roomTempC', q.roomTempC, k) })
};

interface PartQuestion {
	resin: CureRecord;
	where: Sections;
	startTempC: number;
	mouldTempC: number;
	roomTempC: number;
}

const thicker = (where: Sections, k: number): Sections => ({
	...where,
	section: { ...where.section, thicknessMm: moved('thicknessMm', where.section.thicknessMm, k) },
	...(where.thickest
		? {
				thickest: {
					...where.thickest,
					thicknessMm: Math.min(1000, moved('thicknessMm', where.thickest.thicknessMm, k))
				}
			}
		: {})
});

/**
 * Bands of when a solid cast may be flexed out and demoulded, and of how hot it gets.
 * @throws as `sections` does.
 * @example
 * sectionsBands({
 *   resin: whiteInMould.resin,
 *   where: { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 12 },
 *   startTempC: 23,
 *   mouldTempC: 23,
 *   roomTempC: 23
 * }).demouldS.mostly; // 'demouldS'
 */
export function sectionsBands(question: PartQuestion): Record<'flexibleS' | 'demouldS' | 'peakTempC', Band> {
	return bandsOf(
		question,
		partMoves,
		(q) => {
			const { flexibleS, demouldS, peakTempC } = sections(q.resin, q.where, q);
			return { flexibleS, demouldS, peakTempC };
		},
		['flexibleS', 'demouldS']
	);
}

/** What a part's forecast leads from. */
export const partMoves: Moves<PartQuestion> = {
	...recordMoves<PartQuestion>(['speed', 'demouldS', 'demouldSectionMm', 'deflectionTempC']),
	roomTempC: (q, k) => ({
		...q,
		startTempC: moved('roomTempC', q.startTempC, k),
		mouldTempC: moved('roomTempC', q.mouldTempC, k),
		roomTempC: moved('roomTempC', q.roomTempC, k)
	}),
	thicknessMm: (q, k) => ({ ...q, where: thicker(q.where, k) })
};

/** Layers on one another, and the resin that they are of. */
export interface LayersQuestion {
	resin: CureRecord;
	setup: LayeredSetup;
}

/** Steps of conversion that are fine enough for a slope: a twentieth of a band at most. */
const COARSE = 0.02;

/**
 * How sure the demould of a cast in layers is, counted from the pour of its last.
 * @returns the band about a time after that pour, by the same central differences as a solid cast's
 */
export function layersBand(question: LayersQuestion): Band {
	return bandsOf(
		question,
		layersMoves,
		({ resin, setup }) => {
			const run = solveLayered(calibrate(resin), setup, COARSE);
			return { demouldS: run.demouldS - run.layers.at(-1)!.startS };
		},
		['demouldS']
	).demouldS;
}

export const layersMoves: Moves<LayersQuestion> = {
	...recordMoves<LayersQuestion>(['speed', 'demouldS', 'demouldSectionMm', 'deflectionTempC']),
	roomTempC: ({ resin, setup }, k) => ({
		resin,
		setup: {
			...setup,
			startTempC: moved('roomTempC', setup.startTempC, k),
			mouldTempC: moved('roomTempC', setup.mouldTempC, k),
			roomTempC: moved('roomTempC', setup.roomTempC, k)
		}
	}),
	thicknessMm: ({ resin, setup }, k) => ({
		resin,
		setup: { ...setup, layersMm: setup.layersMm.map((mm) => moved('thicknessMm', mm, k)) }
	})
};

/**
 * What would make a figure surer, the most first, each once.
 * @example
 * surer([
 *   sectionsBands({
 *     resin: whiteInMould.resin,
 *     where: { section: { shape: 'slab', thicknessMm: 6 }, mouldWallMm: 12 },
 *     startTempC: 23,
 *     mouldTempC: 23,
 *     roomTempC: 23
 *   }).demouldS
 * ]).length > 0; // true
 */
export function surer(bands: readonly Band[]): Warning['action'][] {
	return [...new Set(bands.map((b) => SPREADS[b.mostly].surer))];
}

/**
 * Truths as the spreads have them, each a question with everything off at once: what a band is tried against.
 * Halton points, so the same every time.
 */
export function truths<Q>(question: Q, moves: Moves<Q>, count: number): Q[] {
	const all = Object.values(moves) as ((q: Q, k: number) => Q)[];
	return Array.from({ length: count }, (_, i) =>
		all.reduce((q, move, j) => move(q, normalAt(halton(i + 1, PRIMES[j % PRIMES.length]!))), question)
	);
}

const PRIMES = [2, 3, 5, 7, 11, 13, 17] as const;
function halton(index: number, base: number): number {
	let [share, f, i] = [0, 1, index];
	while (i > 0) {
		f /= base;
		share += f * (i % base);
		i = Math.floor(i / base);
	}
	return share;
}

/** Where a share of a normal distribution lies, in deviations (Tukey's lambda, within 0.01 between 0.01 and 0.99). */
const normalAt = (share: number) => (share ** 0.1349 - (1 - share) ** 0.1349) / 0.1975;
