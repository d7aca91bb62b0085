import { randomUUID } from 'node:crypto';
import { Op, QueryTypes } from 'sequelize';
import type { z } from 'zod';
import { makingSteps } from '$lib/core/making';
import type { PourPlan } from '$lib/core/plan';
import type { Grade, PourEvent } from '$lib/core/bench';
import { FAULTS, stepsOf } from '$lib/core/bench';
import {
	colourRecord,
	containerRecord,
	fillerRecord,
	recipeRecord,
	releaseRecord,
	resinRecord,
	rubberRecord,
	thermoplasticRecord
} from '$lib/core/shelf';
import { mouldInputs } from '$lib/core/mould';
import { LOOK_DEFAULTS, LOOK_PARTS, vesselRecord, type LookedAt } from '$lib/core/pot';
import { mouldLook } from '$lib/core/wear';
import { shotInputs, trialRecord, type TrialRecord } from '$lib/core/shot';
import { WORKSHOP_DEFAULTS, workshopSettings, type WorkshopSettings } from '$lib/core/workshop';
import { db } from '../db/connection';
import { tables } from '../db/models';
import { log } from '../log';
import { saveExperience } from '../repositories/experiences';
import { saveContainer } from '../repositories/containers';
import { addMakingEvents, beginMaking, getMaking } from '../repositories/makings';
import { listMaterials, saveMaterial } from '../repositories/materials';
import { getMould, listMoulds, saveMould, setMouldState } from '../repositories/moulds';
import { addEvents, beginToday, getPour } from '../repositories/pours';
import { saveSettings } from '../repositories/settings';
import { addTrial } from '../repositories/trials';
import { confirmCause } from '../repositories/ledgerBook';
import { addLook, listVessels, saveVessel } from '../repositories/vessels';
import { addMouldLook, families } from '../repositories/wear';
import { saveShot } from '../repositories/shots';
import { getMaster, saveMaster } from '../repositories/masters';
import { saveMesh } from '../repositories/meshes';
import { studied, withShape } from '../shapeAction';
import { chance } from './chance';
import { lamplighterStl } from './figure';
import {
	DEMO_COLOURS,
	DEMO_EXPERIENCES,
	DEMO_FILLERS,
	DEMO_RECIPE,
	DEMO_RELEASES,
	DEMO_RESINS,
	DEMO_RUBBERS,
	DEMO_THERMOPLASTICS
} from './materials';
import { DEMO_PIECES, type DemoPiece } from './pieces';

const DAY_MS = 86_400_000;
const SEED = 20_261;
/** Every table in an order in which rows may be removed. */
const TABLES = [
	'bookings',
	'pulls',
	'pour_events',
	'pull_faults',
	'pull_photos',
	'mould_pulls',
	'pull_causes',
	'pull_corrections',
	'pot_cycles',
	'vessel_looks',
	'vessels',
	'mould_looks',
	'saved_views',
	'device_commands',
	'trials',
	'pours',
	'shots',
	'making_events',
	'mould_photos',
	'moulds',
	'containers',
	'masters',
	'photos',
	'experiences',
	'meshes',
	'mesh_chunks',
	'materials',
	'settings',
	'counters'
];

interface Story {
	nowMs: number;
	random: () => number;
	settings: WorkshopSettings;
	resinIds: Map<string, string>;
	rubberIds: Map<string, string>;
}

/**
 * Fills an empty database with the demo workshop, once. A load that was cut off is known by its open
 * marker; since nobody could enter anything before it ended, it is swept away and begun again.
 */
export async function loadDemo(now: Date): Promise<void> {
	const markers = tables.markers();
	if (await markers.findByPk('demo-done')) return;
	if (await markers.findByPk('demo-begun')) {
		for (const table of TABLES) await db().query(`DELETE FROM ${table}`);
	} else if ((await tables.materials().count()) > 0 || (await tables.masters().count()) > 0) {
		log.warn('the database holds a workshop already: demo data were not added');
		return;
	}
	await markers.findOrCreate({ where: { name: 'demo-begun' }, defaults: { name: 'demo-begun' } });
	await tell(now.getTime());
	await markers.create({ name: 'demo-done' });
	log.info('demo workshop loaded');
}

async function tell(nowMs: number): Promise<void> {
	const random = chance(SEED);
	const settings = workshopSettings.parse({
		...WORKSHOP_DEFAULTS,
		potName: 'Pot 1',
		potVolumeL: 18,
		potRatedGaugeKpa: 413,
		potTargetGaugeKpa: 275,
		roomTempC: 21,
		relativeHumidity: 44,
		altitudeM: 120
	});
	await saveSettings(settings, 0);
	const resinIds = new Map<string, string>();
	const rubberIds = new Map<string, string>();
	for (const resin of DEMO_RESINS)
		resinIds.set(resin.name, await saveMaterial('resin', resinRecord.parse(resin)));
	for (const rubber of DEMO_RUBBERS)
		rubberIds.set(rubber.name, await saveMaterial('rubber', rubberRecord.parse(rubber)));
	for (const filler of DEMO_FILLERS) await saveMaterial('filler', fillerRecord.parse(filler));
	await colourShelf(resinIds, rubberIds);
	await stockShelf(nowMs, resinIds, rubberIds);
	await stockPots(nowMs);
	const story: Story = { nowMs, random, settings, resinIds, rubberIds };
	for (const piece of DEMO_PIECES) await tellPiece(story, piece);
	await oldCycles(story);
	await lookMouldsOver(story);
	await confirmSome(story);
}

/** A pot in order, an old one out of use, and a vacuum chamber. */
async function stockPots(nowMs: number): Promise<void> {
	const common = { dues: LOOK_DEFAULTS };
	const pot = await saveVessel(
		vesselRecord.parse({
			...common,
			kind: 'pot',
			name: 'Pot 1',
			volumeL: 18,
			diameterMm: 260,
			shelvesMm: [210, 110],
			ratedGaugeKpa: 413,
			targetGaugeKpa: 275,
			regulatorGaugeKpa: 290,
			freeAirLPerMin: 100,
			secondGaugeKpa: 600,
			secondLPerMin: 68
		})
	);
	const old = await saveVessel(
		vesselRecord.parse({
			...common,
			kind: 'pot',
			name: 'Pot 2, small',
			volumeL: 9.5,
			diameterMm: 215,
			shelvesMm: [230],
			ratedGaugeKpa: 380,
			targetGaugeKpa: 275,
			freeAirLPerMin: 100
		})
	);
	const chamber = await saveVessel(
		vesselRecord.parse({
			...common,
			kind: 'chamber',
			name: 'Chamber',
			volumeL: 12,
			diameterMm: 240,
			shelvesMm: [240],
			pumpLPerMin: 70,
			reachesKpa: 3
		})
	);
	const day = (n: number) => new Date(nowMs - n * DAY_MS);
	for (const [i, id] of [pot, old, chamber].entries())
		await db().query('UPDATE vessels SET createdAt = ? WHERE id = ?', { replacements: [day(400 - i), id] });
	const look = (id: string, part: LookedAt, days: number, ok: boolean, note: string) =>
		addLook(id, randomUUID(), { part, ok, by: 'Ines', note }, day(days));
	for (const part of LOOK_PARTS) {
		await look(
			pot,
			part,
			part === 'vessel' ? 300 : 40,
			true,
			part === 'vessel' ? 'by the inspector, sticker on the lid' : ''
		);
		await look(chamber, part, 60, true, '');
	}
	await look(old, 'gasket', 30, false, 'a cut where the lid sits');
}

/** The years before: cycles that no pour of ours noted. */
async function oldCycles({ random, nowMs }: Story): Promise<void> {
	const vessels = await listVessels();
	const pot = vessels.find((v) => v.record.name === 'Pot 1')!;
	const rows = Array.from({ length: 230 }, (_, i) => {
		const holdS = 900 + random() * 1500;
		const leak = 0.05 + random() * 0.4;
		return {
			id: idFrom(random),
			vesselId: pot.id,
			pourId: null,
			at: new Date(nowMs - (200 + (230 - i) * 0.8 + random()) * DAY_MS),
			body: {
				load: 'old notebook',
				targetGaugeKpa: 275,
				timeToPressureS: Math.round(24 + random() * 14),
				lowestGaugeKpa: Math.round(275 - (leak * holdS) / 60),
				holdS: Math.round(holdS),
				leakKpaPerMin: leak,
				by: i % 3 ? 'Ines' : 'Tom'
			}
		};
	});
	await tables.cycles().bulkCreate(rows);
	// the looks were made when these were behind it
	await db().query('UPDATE vessel_looks SET cycles = 230 WHERE vesselId = ?', { replacements: [pot.id] });
}

/** Looks at the moulds on their way, with what each foretold. */
async function lookMouldsOver(story: Story): Promise<void> {
	const { random, nowMs } = story;
	const lives = await families();
	for (const mould of await listMoulds()) {
		if (mould.pulls < 6) continue;
		const worn = mould.state === 'retired';
		const times = await db().query<{ combinedAt: Date }>(
			'SELECT combinedAt FROM pulls WHERE mouldId = ? ORDER BY combinedAt',
			{ type: QueryTypes.SELECT, replacements: [mould.id] }
		);
		const every = 9;
		for (let k = every; k <= times.length; k += every) {
			const share = worn ? k / times.length : k / 70;
			const wear = (by: number) =>
				Math.max(0, Math.min(5, Math.round(5 * share * by + random() * 0.8 - 0.4)));
			const scores = {
				detail: wear(0.7),
				tear: wear(0.9),
				stain: wear(1),
				stick: wear(0.6),
				flash: wear(0.5)
			};
			const id = idFrom(random);
			await addMouldLook(
				mould.id,
				id,
				mouldLook.parse({
					scores,
					spots: share > 0.5 ? [{ x: 62, y: 40, what: 'tear at the undercut' }] : [],
					note: ''
				}),
				new Date(new Date(times[k - 1]!.combinedAt).getTime() + 3_600_000),
				undefined,
				{ pulls: k, families: lives }
			);
		}
		if (worn) {
			await addMouldLook(
				mould.id,
				idFrom(random),
				mouldLook.parse({
					scores: { detail: 4, tear: 5, stain: 4, stick: 3, flash: 4 },
					spots: [{ x: 62, y: 40, what: 'torn through' }],
					note: 'Kept for the shape of its seam.'
				}),
				new Date(nowMs - 94 * DAY_MS),
				undefined,
				{ families: lives }
			);
		}
	}
}

/** Some faults have had their cause confirmed. */
async function confirmSome({ random, nowMs }: Story): Promise<void> {
	const rows = await db().query<{ pullId: string; fault: string }>('SELECT pullId, fault FROM pull_faults', {
		type: QueryTypes.SELECT
	});
	const usual: Record<string, string> = {
		foam: 'damp air',
		'soft or tacky': 'undermixed',
		'bubbles on the face': 'air with no way out',
		flash: 'mould closed unevenly',
		'dull or torn detail': 'worn mould'
	};
	for (const { pullId, fault } of rows)
		if (usual[fault] && random() < 0.6) await confirmCause(pullId, fault, usual[fault], new Date(nowMs));
}

/** Colours, a recipe in doses, releases, and what was found when things met. */
async function colourShelf(resins: Map<string, string>, rubbers: Map<string, string>): Promise<void> {
	const colours = new Map<string, string>();
	for (const colour of DEMO_COLOURS)
		colours.set(colour.name, await saveMaterial('colour', colourRecord.parse(colour)));
	const { resin, doses, ...recipe } = DEMO_RECIPE;
	await saveMaterial(
		'recipe',
		recipeRecord.parse({
			...recipe,
			resinId: resins.get(resin)!,
			doses: doses.map(({ colour, ...dose }) => ({ ...dose, colourId: colours.get(colour)! }))
		})
	);
	for (const release of DEMO_RELEASES) await saveMaterial('release', releaseRecord.parse(release));
	for (const t of DEMO_THERMOPLASTICS) await saveMaterial('thermoplastic', thermoplasticRecord.parse(t));
	const keyOf = (thing: string) => {
		const [kind, name] = thing.split(':') as [string, string];
		const id = kind === 'rubber' ? rubbers.get(name) : kind === 'resin' ? resins.get(name) : name;
		return `${kind}:${id!}`;
	};
	for (const { first, second, ...e } of DEMO_EXPERIENCES)
		await saveExperience({ ...e, first: keyOf(first), second: keyOf(second) });
}

/** Tins of different age: fresh, running out, long open, past their date. */
async function stockShelf(
	nowMs: number,
	resins: Map<string, string>,
	rubbers: Map<string, string>
): Promise<void> {
	const dayOf = (ageDays: number) => new Date(nowMs - ageDays * DAY_MS).toISOString().slice(0, 10);
	const tin = (
		materialId: string | undefined,
		part: 'A' | 'B' | 'whole',
		lot: string,
		sizeG: number,
		weighedG: number,
		openDays: number,
		openings: number,
		flushed = false,
		useBy = ''
	) =>
		saveContainer(
			containerRecord.parse({
				materialId: materialId!,
				part,
				lot,
				sizeG,
				weighedG,
				openedOn: dayOf(openDays),
				useBy,
				openings,
				flushed,
				slowerPercent: openDays > 200 ? 15 : 0
			}),
			new Date(nowMs - 200 * DAY_MS)
		);
	await tin(resins.get('Lantern white'), 'A', 'LW-2291', 10_000, 9400, 40, 6, true);
	await tin(resins.get('Lantern white'), 'B', 'LW-2291', 9000, 8500, 40, 6);
	await tin(resins.get('Harbour slow'), 'A', 'HS-0417', 5000, 3000, 210, 9);
	await tin(resins.get('Harbour slow'), 'B', 'HS-0417', 4500, 2700, 210, 9);
	await tin(resins.get('Glasswater clear'), 'A', 'GW-118', 1500, 900, 70, 10, true);
	await tin(resins.get('Glasswater clear'), 'B', 'GW-118', 1300, 800, 70, 10, true);
	await tin(resins.get('Amber clear'), 'whole', 'AC-77', 5000, 600, 120, 14, false, dayOf(12));
	await tin(rubbers.get('Tidal grey'), 'A', 'TG-5', 5000, 3900, 30, 4);
	await tin(rubbers.get('Tidal grey'), 'B', 'TG-5', 5000, 3950, 30, 4);
}

async function tellPiece(story: Story, piece: DemoPiece): Promise<void> {
	const masterId = await saveMaster(piece.master, null);
	if (piece.master.name === 'Lamplighter figure') await addFigure(masterId);
	const mouldIds: string[] = [];
	for (const ageDays of piece.mouldAgesDays) {
		mouldIds.push(await makeMould(story, piece, masterId, story.nowMs - ageDays * DAY_MS));
	}
	const name = piece.master.name;
	// the oldest ammonite mould wears out; the shards are poured two at a time
	if (name === 'Ammonite paperweight') {
		await pullSeries(story, piece, masterId, [mouldIds[0]!], {
			count: 34,
			fromDays: 165,
			toDays: 95,
			wearFrom: 26
		});
		const worn = await getMould(mouldIds[0]!);
		await setMouldState(worn.id, worn.version, 'retired');
		await pullSeries(story, piece, masterId, [mouldIds[1]!], {
			count: 21,
			fromDays: 94,
			toDays: 2,
			wearFrom: 99
		});
		const planned = await makeMould(story, piece, masterId, story.nowMs - 2.2 * 3_600_000, false);
		await tables.moulds().update({ label: 'Ammonite paperweight, fourth' }, { where: { id: planned } });
		await pullSeries(story, piece, masterId, [mouldIds[2]!], {
			count: 6,
			fromDays: 40,
			toDays: 4,
			wearFrom: 99
		});
	} else if (name === 'Ice shard') {
		await pullSeries(story, piece, masterId, mouldIds, { count: 7, fromDays: 55, toDays: 6, wearFrom: 99 });
	} else if (name === 'Quay bollard, small') {
		await tables
			.moulds()
			.update(
				{ state: 'new', pouredAt: null, readyAt: null },
				{ where: { id: { [Op.in]: mouldIds.slice(0, 1) } } }
			);
	} else {
		await pullSeries(story, piece, masterId, mouldIds.slice(0, 1), {
			count: piece.pulls ?? 12,
			fromDays: 75,
			toDays: 3,
			wearFrom: 99
		});
		if (mouldIds[1])
			await pullSeries(story, piece, masterId, [mouldIds[1]], {
				count: 5,
				fromDays: 26,
				toDays: 1,
				wearFrom: 99
			});
	}
	if (name === 'Lamplighter figure') {
		await openPour(story, piece, masterId, mouldIds[1]!);
		await otherWays(story, piece, masterId, mouldIds[0]!);
		await hollowShot(story, piece, masterId, mouldIds[0]!);
	}
	if (MORE_SHOTS[name]) await moreShots(story, piece, masterId, mouldIds.at(-1)!, MORE_SHOTS[name]);
}

/** Shots that are planned and not yet poured: the kinds that the pulls do not show. */
const MORE_SHOTS: Readonly<
	Record<string, Partial<z.input<typeof shotInputs>> & { filler?: string; resin: string }>
> = {
	'Ammonite paperweight': {
		resin: 'Lantern white',
		pourTempC: 36,
		cups: [
			{ name: 'Old rope', recipeId: 'Old rope', sharePercent: 65 },
			{ name: 'Its own white', sharePercent: 35 }
		]
	},
	'Cobble tile': {
		resin: 'Harbour slow',
		kind: 'brushed',
		filler: 'Feather silica',
		wallMm: 4,
		coatMm: 1.5,
		stands: 'upright'
	},
	'Quay bollard, small': {
		resin: 'Weir extended',
		filler: 'Clean water',
		fillerPercent: 50,
		pourWay: 'open face'
	},
	'Rope fender': {
		resin: 'Fender flexible',
		pourWay: 'halves',
		brushS: 30,
		closeS: 25,
		inserts: [{ name: 'Weight of lead-free shot', massG: 40, volumeMl: 5.2 }]
	}
};

async function moreShots(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldId: string,
	{ resin, filler, ...cast }: (typeof MORE_SHOTS)[string]
): Promise<void> {
	const mould = await getMould(mouldId);
	// planned ahead for a mould that is not in use yet
	if (mould.state !== 'active') return;
	const recipes = await listMaterials('recipe');
	const cups = cast.cups?.map((c) => ({
		...c,
		recipeId: recipes.find((r) => r.record.name === c.recipeId)?.id ?? ''
	}));
	const shotId = await saveShot(
		shotInputs.parse({
			masterId,
			mouldIds: [mouldId],
			resinId: story.resinIds.get(resin)!,
			copies: 1,
			sprueVolumeMl: piece.sprueVolumeMl,
			sectionMm: piece.sectionMm,
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 44,
			...cast,
			...(cups ? { cups } : {}),
			...(filler ? { fillerId: await fillerId(filler) } : {})
		}),
		story.settings
	);
	if (!cast.inserts) return;
	const trial = (addedG: number, sat: TrialRecord['sat'], massG: number, underWaterPercent?: number) =>
		trialRecord.parse({ addedG, where: 'in the lower end', sat, massG, underWaterPercent });
	const tried = [
		trial(0, 'on its side', 128, 97),
		trial(25, 'leaning', 148, undefined),
		trial(40, 'sunk', 162, undefined)
	];
	for (const [i, record] of tried.entries()) {
		const at = new Date(story.nowMs - (9 - i) * DAY_MS);
		await addTrial(idFrom(story.random), masterId, shotId, record, at);
	}
}

async function fillerId(name: string): Promise<string> {
	const found = (await listMaterials('filler')).find((f) => f.record.name === name);
	if (!found) throw new Error(`demo: there is no filler ${name}`);
	return found.id;
}

/** A hollow figure in four rolled layers, weighted so that it stands. */
async function hollowShot(story: Story, piece: DemoPiece, masterId: string, mouldId: string): Promise<void> {
	await saveShot(
		shotInputs.parse({
			kind: 'filled',
			masterId,
			mouldIds: [mouldId],
			resinId: story.resinIds.get('Bellows gradual')!,
			copies: 1,
			sprueVolumeMl: piece.sprueVolumeMl,
			sectionMm: piece.sectionMm,
			wallMm: 4,
			rimLengthMm: 110,
			fillKind: 'plaster',
			inserts: [{ name: 'Threaded rod in the foot', massG: 14, volumeMl: 1.8 }],
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 44
		}),
		story.settings
	);
}

/** The other ways to make a mould, each as far as a bench would have it. */
async function otherWays(story: Story, piece: DemoPiece, masterId: string, firstId: string): Promise<void> {
	const common = {
		masterId,
		clearanceMm: 12,
		coverMm: 12,
		lossPercent: 5,
		roomTempC: 21,
		releaseId: ''
	};
	const [spray] = await listMaterials('release');
	const [pressed] = await listMaterials('thermoplastic');
	await saveMould(
		mouldInputs.parse({
			...common,
			label: 'Lamplighter, glove',
			kind: 'jacket',
			rubberId: story.rubberIds.get('Spindrift skin')!,
			rubberLot: 'SP-31',
			skinMm: 7,
			note: 'For the hollow ones in the window.'
		})
	);
	await saveMould(
		mouldInputs.parse({
			...common,
			label: 'Lamplighter, trial halves',
			kind: 'press',
			thermoplasticId: pressed!.id,
			clearanceMm: 8
		})
	);
	const halves = await saveMould(
		mouldInputs.parse({
			...common,
			label: 'Lamplighter, two halves',
			kind: 'two-part',
			rubberId: story.rubberIds.get('Slipway red')!,
			rubberLot: 'SR-904',
			releaseId: spray!.id,
			degas: 'vacuum',
			predecessorId: firstId,
			place: 'Bench'
		})
	);
	// its first half was poured an hour and a half ago
	await beginMaking(halves, WORKSHOP_DEFAULTS);
	const steps = makingSteps(await getMaking(halves));
	const until = steps.findIndex((s) => s.id === 'place-0');
	const fromMs = story.nowMs - 5_400_000 - until * 240_000;
	await addMakingEvents(
		halves,
		steps.slice(0, until + 1).map((s, i) => ({
			id: randomUUID(),
			kind: 'step-done' as const,
			stepId: s.id,
			atMs: Math.round(fromMs + i * 240_000)
		}))
	);
}

/** The figure's 3D file, poured head down through its base. */
async function addFigure(masterId: string): Promise<void> {
	const fileName = 'lamplighter.stl';
	const bytes = lamplighterStl();
	const { sha256 } = await saveMesh(
		fileName,
		(async function* () {
			yield bytes;
		})()
	);
	const found = await studied({
		sha256,
		fileName,
		unit: 'mm',
		scale: 1,
		up: [0, 0, -1],
		openings: [],
		openFaces: []
	});
	const { record, version } = await getMaster(masterId);
	await saveMaster(withShape(record, found, { useVolume: false, useSizes: false }), null, {
		id: masterId,
		version
	});
}

async function makeMould(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	atMs: number,
	cured = true
): Promise<string> {
	const inputs = mouldInputs.parse({
		label: piece.master.name,
		masterId,
		rubberId: story.rubberIds.get(piece.rubber)!,
		shape: piece.shape,
		clearanceMm: piece.shape === 'tube' ? 8 : 12,
		coverMm: 14,
		lossPercent: 4,
		roomTempC: 21,
		place: piece.place,
		note: ''
	});
	const id = await saveMould(inputs);
	const { plan } = await getMould(id);
	await tables.moulds().update(
		{
			state: cured ? 'active' : 'new',
			pouredAt: new Date(atMs),
			readyAt: new Date(atMs + plan.readyInS * 1000)
		},
		{ where: { id } }
	);
	return id;
}

interface Series {
	count: number;
	fromDays: number;
	toDays: number;
	/** From this pull on the mould shows its age. */
	wearFrom: number;
}

async function pullSeries(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldIds: string[],
	series: Series
): Promise<void> {
	const { random, nowMs } = story;
	const perShot = 6;
	for (let done = 0; done < series.count; done += perShot) {
		const cups = Math.min(perShot, series.count - done);
		const shotId = await makeShot(story, piece, masterId, mouldIds, cups * mouldIds.length);
		for (let i = 0; i < cups; i++) {
			const k = done + i;
			const share = series.count === 1 ? 0 : k / (series.count - 1);
			const day = series.fromDays + share * (series.toDays - series.fromDays);
			// in working hours, a little later with each cup of the day
			const midnightMs = Math.floor((nowMs - day * DAY_MS) / DAY_MS) * DAY_MS;
			const atMs = midnightMs + (9 + random() * 7) * 3_600_000;
			const pourId = await beginToday(shotId, i, story.settings);
			const { plan } = await getPour(pourId);
			await addEvents(pourId, pourStory(story, plan, atMs, k >= series.wearFrom));
			await backdate(pourId, shotId, atMs);
		}
	}
}

async function backdate(pourId: string, shotId: string, atMs: number): Promise<void> {
	const at = new Date(atMs);
	await db().query('UPDATE pours SET createdAt = ? WHERE id = ?', { replacements: [at, pourId] });
	await db().query('UPDATE shots SET createdAt = LEAST(createdAt, ?) WHERE id = ?', {
		replacements: [at, shotId]
	});
}

async function makeShot(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldIds: string[],
	copies: number
): Promise<string> {
	const resin = piece.resins[Math.floor(story.random() * piece.resins.length)]!;
	const tempC = 19 + Math.round(story.random() * 5);
	const { filler, ...cast } = piece.cast ?? {};
	return saveShot(
		shotInputs.parse({
			masterId,
			mouldIds,
			resinId: story.resinIds.get(resin)!,
			releaseId: '',
			copies,
			sprueVolumeMl: piece.sprueVolumeMl,
			lossBy: 'film',
			lossPercent: 10,
			sectionMm: piece.sectionMm,
			mixS: 40,
			pourS: 18,
			usePot: piece.pot,
			loadS: 20,
			startTempC: tempC,
			mouldTempC: tempC,
			roomTempC: tempC,
			relativeHumidity: 35 + Math.round(story.random() * 18),
			...cast,
			...(filler ? { fillerId: await fillerId(filler) } : {})
		}),
		story.settings
	);
}

/** Everything that happened in one pour, with the small delays and slips of real hands. */
function pourStory(story: Story, plan: PourPlan, combinedAtMs: number, worn: boolean): PourEvent[] {
	const { random } = story;
	const events: PourEvent[] = [];
	const add = (offsetS: number, event: { kind: PourEvent['kind'] } & Record<string, unknown>) =>
		events.push({
			...event,
			id: idFrom(random),
			atMs: Math.round(combinedAtMs + offsetS * 1000)
		} as PourEvent);
	const roomTempC = plan.roomTempC + Math.round(random() * 2 - 1);
	const relativeHumidity = Math.min(70, Math.round(plan.relativeHumidity + random() * 10 - 4));
	let atS = -240;
	let slow = 0;
	for (const step of stepsOf(plan)) {
		if (step.kind === 'combine') atS = 0;
		else if (step.deadlineS !== undefined) {
			slow += (random() - 0.35) * 8;
			atS = Math.max(atS + 3, step.deadlineS + slow);
		} else if (step.kind === 'hold') atS += plan.holdUntilS * (1.02 + random() * 0.5);
		else if (step.kind === 'cure') atS = Math.max(atS, plan.demouldS * (0.96 + random() * 0.6) + 90);
		else if (step.waitS !== undefined) atS += step.waitS + random() * 30;
		else atS += 25 + random() * 20;
		if (step.kind === 'air')
			add(atS - 1, { kind: 'air-read', roomTempC, relativeHumidity, mouldTempC: plan.mouldTempC + 1 });
		if (step.kind === 'pump' && plan.pot)
			add(atS - 0.5, { kind: 'pressure-read', stepId: step.id, gaugeKpa: plan.pot.targetGaugeKpa });
		if (step.kind === 'hold' && plan.pot)
			add(atS - 0.5, {
				kind: 'pressure-read',
				stepId: 'release',
				gaugeKpa: plan.pot.targetGaugeKpa - Math.round(random() * 12)
			});
		if (step.kind === 'inspect') {
			for (const mould of plan.moulds)
				add(atS - 0.4, { kind: 'graded', mouldId: mould.id, ...verdict(random, relativeHumidity, worn) });
		}
		add(atS, { kind: 'step-done', stepId: step.id });
	}
	add(atS + 0.5, { kind: 'finished' });
	return events;
}

function verdict(
	random: () => number,
	relativeHumidity: number,
	worn: boolean
): { grade: Grade; faults: (typeof FAULTS)[number][]; note: string } {
	const luck = random() - (relativeHumidity > 52 ? 0.2 : 0) - (worn ? 0.3 : 0);
	if (luck > 0.2) return { grade: 'good', faults: [], note: '' };
	if (worn)
		return {
			grade: luck > -0.1 ? 'needs work' : 'scrap',
			faults: ['dull or torn detail', 'flash'],
			note: 'Tears at the seam.'
		};
	if (relativeHumidity > 52)
		return { grade: 'scrap', faults: ['foam'], note: 'Damp day, should have waited.' };
	if (luck > 0.07) return { grade: 'needs work', faults: ['bubbles on the face'], note: '' };
	return { grade: 'scrap', faults: ['soft or tacky'], note: 'B not stirred long enough.' };
}

/** One pour stands at the bench as the demo begins: under pressure, curing. */
async function openPour(story: Story, piece: DemoPiece, masterId: string, mouldId: string): Promise<void> {
	const shotId = await makeShot(story, piece, masterId, [mouldId], 2);
	const pourId = await beginToday(shotId, 0, story.settings);
	const { plan } = await getPour(pourId);
	const combinedAtMs = story.nowMs - 170_000;
	const upTo = story.nowMs - 500;
	const events = pourStory(story, plan, combinedAtMs, false).filter(
		(e) => e.atMs < upTo && e.kind !== 'graded' && e.kind !== 'finished'
	);
	await addEvents(pourId, events);
}

function idFrom(random: () => number): string {
	const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16));
	hex[12] = '4';
	hex[16] = '8';
	const s = hex.join('');
	return `${s.slice(0, 8)}-${s.slice(8, 12)}-${s.slice(12, 16)}-${s.slice(16, 20)}-${s.slice(20)}`;
}
