import { DataTypes, type Model, type ModelAttributes, type ModelStatic } from 'sequelize';
import type { z } from 'zod';
import type { MasterRecord } from '$lib/core/master';
import type { Inspection } from '$lib/core/making';
import type { MakingPlan } from '$lib/core/mould';
import type { MouldPlan, MouldInputs, MouldState } from '$lib/core/mould';
import type { CycleBody, MATERIAL_RECORDS, MaterialKind, PullBody } from '$lib/core/openData';
import type { PourPlan } from '$lib/core/plan';
import type { Grade, PourEvent } from '$lib/core/bench';
import type { Experience } from '$lib/core/compatibility';
import type { ContainerRecord } from '$lib/core/shelf';
import type { PlannedShot, ShotInputs, TrialRecord } from '$lib/core/shot';
import type { InspectedPart, VesselRecord } from '$lib/core/pressurePot';
import type { MouldInspection } from '$lib/core/wear';
import type { WorkshopSettings } from '$lib/core/workshop';

import { db } from './connection';

interface Stamped {
	createdAt: Date;
	updatedAt: Date;
}
interface Versioned extends Stamped {
	/** Goes up with every change; a change names the version that it started from. */
	version: number;
}
interface SettingsRow extends Versioned {
	id: number;
	body: WorkshopSettings;
}
interface MarkerRow extends Stamped {
	name: string;
}
/** Record of each kind of material on the shelf. */
export type MaterialRecords = { [K in MaterialKind]: z.output<(typeof MATERIAL_RECORDS)[K]> };
export type { CycleBody, MaterialKind, PullBody };
export interface MaterialRow extends Versioned {
	id: string;
	kind: MaterialKind;
	name: string;
	body: MaterialRecords[MaterialKind];
	/** Presses at demould before then teach nothing. */
	demouldForgottenAt?: Date | null;
}
interface ExperienceRow extends Stamped {
	id: string;
	firstKey: string;
	secondKey: string;
	body: Experience;
}
interface PhotoRow extends Stamped {
	id: string;
	sha256: string;
	mime: string;
	sizeBytes: number;
	bytes: Buffer;
}
export interface MasterRow extends Versioned {
	id: string;
	name: string;
	/** Nothing while it is not known. */
	volumeMl: number | null;
	body: MasterRecord;
	photoId: string | null;
}
export interface MouldRow extends Versioned {
	id: string;
	number: number;
	label: string;
	masterId: string;
	/** What it is made of; nothing for a rigid mould. */
	rubberId: string | null;
	predecessorId: string | null;
	state: MouldState;
	place: string;
	inputs: MouldInputs;
	plan: MouldPlan;
	/** What is done at the bench while it is made; nothing before it is begun. */
	making: MakingPlan | null;
	inspection: Inspection | null;
	pouredAt: Date | null;
	readyAt: Date | null;
}
export interface ShotRow extends Versioned {
	id: string;
	number: number;
	masterId: string;
	resinId: string;
	inputs: ShotInputs;
	result: PlannedShot;
}
/** A pressure pot or a vacuum chamber. */
interface VesselRow extends Versioned {
	id: string;
	kind: VesselRecord['kind'];
	name: string;
	body: VesselRecord;
}
interface CycleRow extends Stamped {
	id: string;
	vesselId: string;
	pourId: string | null;
	at: Date;
	body: CycleBody;
}
interface VesselInspectionRow extends Stamped {
	id: string;
	vesselId: string;
	part: InspectedPart;
	at: Date;
	cycles: number;
	ok: boolean;
	body: { by: string; note: string };
}
/** What was foretold when a mould was looked at. */
export interface InspectionForecast {
	low: number;
	median: number;
	high: number;
}
export interface MouldInspectionRow extends Stamped {
	id: string;
	mouldId: string;
	at: Date;
	pulls: number;
	body: MouldInspection;
	forecast: InspectionForecast | null;
	photoId: string | null;
}
interface CorrectionRow extends Stamped {
	id: string;
	pullId: string;
	at: Date;
	body: { field: string; from: unknown; to: unknown; who: string; why: string };
}
interface SavedViewRow extends Stamped {
	id: string;
	name: string;
	query: string;
}
/** A trial afloat of a piece. */
interface TrialRow extends Stamped {
	id: string;
	masterId: string;
	shotId: string | null;
	at: Date;
	body: TrialRecord;
}
export interface PourRow extends Stamped {
	id: string;
	/** Nothing for one that was poured before anything was in the books. */
	shotId: string | null;
	batchIndex: number;
	status: 'open' | 'finished' | 'abandoned';
	plan: PourPlan;
	combinedAt: Date | null;
	endedAt: Date | null;
}
export interface ContainerRow extends Versioned {
	id: string;
	materialId: string;
	part: 'A' | 'B' | 'whole';
	body: ContainerRecord;
	rateFactor: number | null;
	emptied: boolean;
}
interface PourEventRow {
	id: string;
	seq: number;
	pourId: string;
	kind: PourEvent['kind'];
	at: Date;
	body: PourEvent;
	receivedAt: Date;
	/** What the clock of its device lacked, ms. */
	clockOffMs: number | null;
}
export interface PullRow extends Stamped {
	id: string;
	/** Nothing for a pull out of an old notebook. */
	pourId: string | null;
	mouldId: string;
	masterName: string;
	resinName: string;
	copies: number;
	grade: Grade;
	combinedAt: Date;
	/** What the ledger is searched by. */
	searchText: string;
	body: PullBody;
}
const id = { type: DataTypes.CHAR(36), primaryKey: true };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const json = { type: DataTypes.JSON, allowNull: false };
const moment = { type: DataTypes.DATE(3), allowNull: true };
const instant = { type: DataTypes.DATE(3), allowNull: false };
const whole = { type: DataTypes.INTEGER, allowNull: false };
const stamps = {
	createdAt: { type: DataTypes.DATE(3), allowNull: false },
	updatedAt: { type: DataTypes.DATE(3), allowNull: false }
};
const versioned = { version: { ...whole, defaultValue: 1 }, ...stamps };

function define<Row extends object>(
	name: string,
	attributes: object,
	timestamps = true
): ModelStatic<Model<Row, Partial<Row>>> {
	const known = db().models[name];
	if (known) return known as ModelStatic<Model<Row, Partial<Row>>>;
	// Sequelize writes the column's name into what it is given, and the pieces below are shared
	const own = Object.fromEntries(Object.entries(attributes).map(([key, value]) => [key, { ...value }]));
	return db().define(name, own as ModelAttributes<Model<Row, Partial<Row>>>, {
		timestamps
	}) as ModelStatic<Model<Row, Partial<Row>>>;
}

/** The tables, each under the name that the trade gives to its rows. */
export const tables = {
	settings: () =>
		define<SettingsRow>('settings', { id: { ...whole, primaryKey: true }, body: json, ...versioned }),
	markers: () => define<MarkerRow>('markers', { name: { ...text(60), primaryKey: true }, ...stamps }),
	materials: () =>
		define<MaterialRow>('materials', {
			id,
			kind: text(16),
			name: text(120),
			body: json,
			demouldForgottenAt: moment,
			...versioned
		}),
	experiences: () =>
		define<ExperienceRow>('experiences', {
			id,
			firstKey: text(100),
			secondKey: text(100),
			body: json,
			...stamps
		}),
	photos: () =>
		define<PhotoRow>('photos', {
			id,
			sha256: text(64),
			mime: text(40),
			sizeBytes: whole,
			bytes: { type: DataTypes.BLOB('long'), allowNull: false },
			...stamps
		}),
	masters: () =>
		define<MasterRow>('masters', {
			id,
			name: text(120),
			volumeMl: { type: DataTypes.DOUBLE, allowNull: true },
			body: json,
			photoId: { type: DataTypes.CHAR(36), allowNull: true },
			...versioned
		}),
	moulds: () =>
		define<MouldRow>('moulds', {
			id,
			number: whole,
			label: text(120),
			masterId: text(36),
			rubberId: { type: DataTypes.CHAR(36), allowNull: true },
			predecessorId: { type: DataTypes.CHAR(36), allowNull: true },
			state: text(16),
			place: text(120),
			inputs: json,
			plan: json,
			making: { type: DataTypes.JSON, allowNull: true },
			inspection: { type: DataTypes.JSON, allowNull: true },
			pouredAt: moment,
			readyAt: moment,
			...versioned
		}),
	shots: () =>
		define<ShotRow>('shots', {
			id,
			number: whole,
			masterId: text(36),
			resinId: text(36),
			inputs: json,
			result: json,
			...versioned
		}),
	trials: () =>
		define<TrialRow>('trials', {
			id,
			masterId: text(36),
			shotId: { type: DataTypes.CHAR(36), allowNull: true },
			at: { type: DataTypes.DATE(3), allowNull: false },
			body: json,
			...stamps
		}),
	pours: () =>
		define<PourRow>('pours', {
			id,
			shotId: { type: DataTypes.CHAR(36), allowNull: true },
			batchIndex: whole,
			status: text(16),
			plan: json,
			combinedAt: moment,
			endedAt: moment,
			...stamps
		}),
	pourEvents: () =>
		define<PourEventRow>(
			'pour_events',
			{
				id,
				seq: { type: DataTypes.BIGINT, allowNull: false, autoIncrement: true, unique: true },
				pourId: text(36),
				kind: text(24),
				at: { type: DataTypes.DATE(3), allowNull: false },
				body: json,
				receivedAt: { type: DataTypes.DATE(3), allowNull: false },
				clockOffMs: { type: DataTypes.BIGINT, allowNull: true }
			},
			false
		),
	containers: () =>
		define<ContainerRow>('containers', {
			id,
			materialId: text(36),
			part: text(8),
			body: json,
			rateFactor: { type: DataTypes.DOUBLE, allowNull: true },
			emptied: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
			...versioned
		}),
	vessels: () =>
		define<VesselRow>('vessels', { id, kind: text(16), name: text(60), body: json, ...versioned }),
	cycles: () =>
		define<CycleRow>('pot_cycles', {
			id,
			vesselId: text(36),
			pourId: { type: DataTypes.CHAR(36), allowNull: true },
			at: instant,
			body: json,
			...stamps
		}),
	vesselInspections: () =>
		define<VesselInspectionRow>('vessel_inspections', {
			id,
			vesselId: text(36),
			part: text(20),
			at: instant,
			cycles: whole,
			ok: { type: DataTypes.BOOLEAN, allowNull: false },
			body: json,
			...stamps
		}),
	mouldInspections: () =>
		define<MouldInspectionRow>('mould_inspections', {
			id,
			mouldId: text(36),
			at: instant,
			pulls: whole,
			body: json,
			forecast: { type: DataTypes.JSON, allowNull: true },
			photoId: { type: DataTypes.CHAR(36), allowNull: true },
			...stamps
		}),
	corrections: () =>
		define<CorrectionRow>('pull_corrections', { id, pullId: text(36), at: instant, body: json, ...stamps }),
	savedViews: () => define<SavedViewRow>('saved_views', { id, name: text(60), query: text(500), ...stamps }),
	pulls: () =>
		define<PullRow>('pulls', {
			id,
			pourId: { type: DataTypes.CHAR(36), allowNull: true },
			mouldId: text(36),
			masterName: text(120),
			resinName: text(120),
			copies: whole,
			grade: text(16),
			combinedAt: instant,
			searchText: { type: DataTypes.STRING(600), allowNull: false, defaultValue: '' },
			body: json,
			...stamps
		})
};

/** A row as a plain object; model instances never leave the server ring. */
export function plain<Row extends object>(row: Model<Row, Partial<Row>>): Row {
	return row.get({ plain: true });
}
