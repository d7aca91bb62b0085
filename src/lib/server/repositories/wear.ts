import { QueryTypes, type Transaction } from 'sequelize';
import {
	fitWeibull,
	mouldInspection,
	scoreForecasts,
	successorBy,
	wearAdvice,
	wearForecast,
	type Advice,
	type ForecastScore,
	type Life,
	type MouldInspection,
	type WearFamily,
	type WearForecast,
	type WearPrior,
	type WeibullFit
} from '$lib/core/wear';
import { inRubber, MOULD_MODULES } from '$lib/core/mould';
import { db, inTransaction } from '../db/connection';
import { makeOnce } from '../db/makeOnce';
import { RowCache } from '../db/rowCache';
import { plain, tables, type InspectionForecast, type MouldInspectionRow } from '../db/models';
import { note, type Actor } from '../people/audit';
import { savePhoto } from './photos';
import { getMaterial, listRubbers } from './materials';
import { getMould, listMoulds, type Mould } from './moulds';

interface KeptInspection {
	id: string;
	at: Date;
	pulls: number;
	inspection: MouldInspection;
	forecast: InspectionForecast | null;
	photoId: string | null;
}

const DAY_MS = 86_400_000;
/** The pace of a mould is that of its last weeks. */
const PACE_DAYS = 60;
/** With so many retired moulds a family speaks for itself. */
const FAMILY_NEEDS = 5;
/** Pulls that the core takes of one mould. */
const MOST_PULLS = 5000;

export async function listInspections(mouldId: string): Promise<KeptInspection[]> {
	const rows = await tables.mouldInspections().findAll({ where: { mouldId }, order: [['at', 'ASC']] });
	return rows.map((row) => toInspection(plain(row)));
}

function toInspection({ id, at, pulls, body, forecast, photoId }: MouldInspectionRow): KeptInspection {
	return { id, at, pulls, inspection: mouldInspection.parse(body), forecast: forecast ?? null, photoId };
}

/** Looks at several moulds in one question, oldest first. */
async function inspectionsOf(mouldIds: readonly string[]): Promise<Map<string, KeptInspection[]>> {
	const found = new Map<string, KeptInspection[]>(mouldIds.map((id) => [id, []]));
	if (mouldIds.length === 0) return found;
	const rows = await tables
		.mouldInspections()
		.findAll({ where: { mouldId: [...mouldIds] }, order: [['at', 'ASC']] });
	for (const row of rows.map(plain)) found.get(row.mouldId)?.push(toInspection(row));
	return found;
}

interface MouldPull {
	atMs: number;
	peakFaceC?: number;
	release: string | null;
}
/** Pulls of each mould by their revision: a mould has hundreds, and they change one at a time. */
const pulls = new RowCache<MouldPull[]>(1000);

async function pullsOf(mould: Pick<Mould, 'id' | 'pullsRevision'>): Promise<MouldPull[]> {
	const kept = pulls.peek(mould.id, mould.pullsRevision);
	if (kept) return kept;
	const rows = await db().query<{ combinedAt: Date; peak: string | null; release: string | null }>(
		`SELECT p.combinedAt, JSON_VALUE(p.body, '$.peakFaceC') AS peak, JSON_VALUE(o.plan, '$.release.kind') AS \`release\`
		FROM pulls p LEFT JOIN pours o ON o.id = p.pourId WHERE p.mouldId = :mouldId ORDER BY p.combinedAt`,
		{ type: QueryTypes.SELECT, replacements: { mouldId: mould.id } }
	);
	const read = rows.map((r) => ({
		atMs: new Date(r.combinedAt).getTime(),
		release: r.release,
		...(r.peak === null ? {} : { peakFaceC: Math.min(300, Math.max(-20, Number(r.peak))) })
	}));
	return pulls.keep(mould.id, mould.pullsRevision, read);
}

/** What a mould is to the wear sums. */
function familyOf(
	mould: Pick<Mould, 'inputs' | 'rubberId'>,
	rubber?: { cureKind: string; use: string }
): WearFamily {
	return MOULD_MODULES[mould.inputs.kind].wearFamily(rubber);
}

/** The habit that the last pours of a mould show. */
function habitOf(kinds: readonly (string | null)[]): NonNullable<WearPrior['release']> {
	const last = kinds.slice(-5).filter((k): k is string => k !== null);
	const kind = last.at(-1) ?? '';
	if (kind.includes('barrier')) return 'barrier';
	if (kind.includes('spray')) return 'spray';
	if (kind.includes('wax')) return 'wax';
	return kind.includes('talc') ? 'talc' : 'none';
}

export interface Family {
	family: WearFamily;
	lives: Life[];
	fit: WeibullFit | null;
}

/** Lives of every mould that was pulled, by family, with their curve where there are enough retired ones. */
export async function families(): Promise<Family[]> {
	const [moulds, rubbers] = await Promise.all([listMoulds(), listRubbers()]);
	const found = new Map<WearFamily, Life[]>();
	for (const m of moulds) {
		if (m.pulls === 0) continue;
		const family = familyOf(m, rubbers.find((r) => r.id === m.rubberId)?.record);
		const retired = m.state === 'retired' || m.state === 'worn';
		found.set(family, [...(found.get(family) ?? []), { pulls: m.pulls, retired }]);
	}
	return [...found].map(([family, lives]) => ({ family, lives, fit: fitWeibull(lives) ?? null }));
}

interface MouldWear {
	mould: Mould;
	family: WearFamily;
	inspections: readonly KeptInspection[];
	forecast: WearForecast;
	advice: Advice[];
	pullsPerDay: number;
	successorByMs: number | null;
	peakFaceC: number | null;
	release: string;
}

interface WearAsked {
	now?: Date;
	wanted?: number;
	/** As it was after so many pulls. */
	upTo?: number | undefined;
}

/** The forecast of one mould from its family, the heat of its pulls, its release habit and its looks. */
export async function mouldWear(
	mould: Mould,
	known: WearAsked & { families?: Family[] } = {}
): Promise<MouldWear> {
	const [inspections, everyPull, all, rubber] = await Promise.all([
		listInspections(mould.id),
		pullsOf(mould),
		known.families ?? families(),
		mould.rubberId && inRubber(mould.inputs.kind) ? getMaterial('rubber', mould.rubberId) : undefined
	]);
	return wearOf(mould, { inspections, pulls: everyPull, families: all, rubber }, known);
}

/** The same of many moulds at once: their looks in one question, their pulls as they are kept. */
export async function mouldWears(moulds: readonly Mould[], all: Family[]): Promise<MouldWear[]> {
	const [inspections, rubbers] = await Promise.all([inspectionsOf(moulds.map((m) => m.id)), listRubbers()]);
	const found: MouldWear[] = [];
	for (const mould of moulds) {
		const rubber = rubbers.find((r) => r.id === mould.rubberId);
		const pulls = await pullsOf(mould);
		found.push(wearOf(mould, { inspections: inspections.get(mould.id) ?? [], pulls, families: all, rubber }));
	}
	return found;
}

interface Seen {
	inspections: readonly KeptInspection[];
	pulls: readonly MouldPull[];
	families: readonly Family[];
	rubber: { version: number; record: { cureKind: string; use: string } } | undefined;
}
type Foretold = Pick<MouldWear, 'family' | 'forecast' | 'peakFaceC' | 'release'>;
/** Forecasts by everything that they follow from. */
const foretold = new RowCache<Foretold>(1000);

function wearOf(mould: Mould, seen: Seen, asked: WearAsked = {}): MouldWear {
	const nowMs = (asked.now ?? new Date()).getTime();
	const upTo = asked.upTo ?? Infinity;
	const inspections = seen.inspections.filter((l) => l.pulls <= upTo);
	const family = familyOf(mould, seen.rubber?.record);
	const curve = seen.families.find((f) => f.family === family)?.fit;
	const familyMedianPulls = curve?.converged && curve.retired >= FAMILY_NEEDS ? curve.medianPulls : undefined;
	const stamp = [
		mould.version,
		mould.pullsRevision,
		seen.pulls.length,
		seen.rubber?.version,
		familyMedianPulls,
		asked.wanted,
		upTo,
		...inspections.map((l) => l.id)
	].join('/');
	const pulls = seen.pulls.slice(0, Math.min(upTo, seen.pulls.length));
	const { forecast, peakFaceC, release } = foretold.get(mould.id, stamp, () =>
		foretell(family, pulls, inspections, { familyMedianPulls, wanted: asked.wanted })
	);
	const pullsPerDay = pulls.filter((p) => nowMs - p.atMs < PACE_DAYS * DAY_MS).length / PACE_DAYS;
	return {
		mould,
		family,
		inspections,
		forecast,
		advice: wearAdvice(inspections.at(-1)?.inspection.scores ?? {}, forecast, {
			release,
			rigid: family === 'rigid',
			...(peakFaceC === null ? {} : { peakFaceC }),
			...(asked.wanted === undefined ? {} : { wanted: asked.wanted })
		}),
		pullsPerDay,
		successorByMs: successorBy(forecast, pullsPerDay, mould.plan.readyInS, nowMs) ?? null,
		peakFaceC,
		release
	};
}

function foretell(
	family: WearFamily,
	pulls: readonly MouldPull[],
	inspections: readonly KeptInspection[],
	known: { familyMedianPulls: number | undefined; wanted: number | undefined }
): Foretold {
	const release = habitOf(pulls.map((p) => p.release));
	const heats = pulls.flatMap((p) => (p.peakFaceC === undefined ? [] : [p.peakFaceC]));
	const peakFaceC = heats.length ? heats.reduce((a, b) => a + b, 0) / heats.length : null;
	const lookedAt = new Map(inspections.map((l) => [Math.max(1, l.pulls), l.inspection.scores]));
	const inspectedPulls = pulls
		.map(({ peakFaceC }, i) => ({
			...(peakFaceC === undefined ? {} : { peakFaceC }),
			...(lookedAt.has(i + 1) ? { scores: lookedAt.get(i + 1)! } : {})
		}))
		.slice(-MOST_PULLS);
	const forecast = wearForecast({
		prior: {
			family,
			release,
			...(peakFaceC === null ? {} : { peakFaceC }),
			...(known.familyMedianPulls === undefined ? {} : { familyMedianPulls: known.familyMedianPulls })
		},
		pulls: inspectedPulls,
		...(known.wanted === undefined ? {} : { copiesWanted: known.wanted })
	});
	return { family, forecast, peakFaceC, release };
}

/** Keeps a look with what is foretold by it; two presses are one look. */
export async function addMouldInspection(
	mouldId: string,
	id: string,
	inspection: MouldInspection,
	at: Date,
	photo?: Buffer,
	/** Pulls that it had then, those of now unless it is said; lives of the families where they are known. */
	known: { pulls?: number; families?: Family[] } = {},
	actor?: Actor
): Promise<void> {
	const save = async (transaction: Transaction) => {
		const mould = await getMould(mouldId);
		const photoId = photo ? await savePhoto(photo, transaction) : null;
		await tables.mouldInspections().create(
			{
				id,
				mouldId,
				at,
				pulls: known.pulls ?? mould.pulls,
				body: inspection,
				forecast: null,
				photoId
			},
			{ transaction }
		);
		await note(actor, 'look-noted', `M${mould.number}`, transaction);
	};
	await makeOnce(id, () => inTransaction(save));
	const { forecast } = await mouldWear(await getMould(mouldId), {
		now: at,
		upTo: known.pulls,
		...(known.families ? { families: known.families } : {})
	});
	await tables.mouldInspections().update(
		{
			forecast: {
				low: forecast.pullsLeftLow,
				median: forecast.pullsLeftMedian,
				high: forecast.pullsLeftHigh
			}
		},
		{ where: { id, forecast: null as never } }
	);
}

/** How our own forecasts did so far. */
export async function forecastScore(): Promise<ForecastScore> {
	const [rows, moulds] = await Promise.all([tables.mouldInspections().findAll(), listMoulds()]);
	return scoreForecasts(
		rows.map(plain).flatMap((r) => {
			const mould = moulds.find((m) => m.id === r.mouldId);
			if (!mould || !r.forecast) return [];
			const retired = mould.state === 'retired' || mould.state === 'worn';
			return [{ pulls: r.pulls, ...r.forecast, gaveSoFar: mould.pulls, retired }];
		})
	);
}
