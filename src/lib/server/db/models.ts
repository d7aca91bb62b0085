import { DataTypes, type Model, type ModelAttributes, type ModelStatic } from 'sequelize';
import type { MasterRecord } from '$lib/core/master';
import type { Inspection, MakingPlan } from '$lib/core/making';
import type { MouldPlan, MouldInputs, MouldState } from '$lib/core/mould';
import type { Grade, PourEvent, PourPlan } from '$lib/core/pour';
import type { Experience } from '$lib/core/compat';
import type {
	ColourRecord,
	ContainerRecord,
	FillerRecord,
	RecipeRecord,
	ReleaseRecord,
	ResinRecord,
	RubberRecord,
	ThermoplasticRecord
} from '$lib/core/shelf';
import type { PlannedShot, ShotInputs } from '$lib/core/shot';
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
export interface SettingsRow extends Versioned {
	id: number;
	body: WorkshopSettings;
}
export interface MarkerRow extends Stamped {
	name: string;
}
/** Record of each kind of material on the shelf. */
export interface MaterialRecords {
	resin: ResinRecord;
	rubber: RubberRecord;
	filler: FillerRecord;
	colour: ColourRecord;
	recipe: RecipeRecord;
	release: ReleaseRecord;
	thermoplastic: ThermoplasticRecord;
}
export type MaterialKind = keyof MaterialRecords;
export interface MaterialRow extends Versioned {
	id: string;
	kind: MaterialKind;
	name: string;
	body: MaterialRecords[MaterialKind];
}
export interface ExperienceRow extends Stamped {
	id: string;
	firstKey: string;
	secondKey: string;
	body: Experience;
}
export interface PhotoRow extends Stamped {
	id: string;
	sha256: string;
	mime: string;
	sizeBytes: number;
	bytes: Buffer;
}
export interface MasterRow extends Versioned {
	id: string;
	name: string;
	volumeMl: number;
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
export interface PourRow extends Stamped {
	id: string;
	shotId: string;
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
	weighedAt: Date;
	rateFactor: number | null;
	emptied: boolean;
}
export interface PourEventRow {
	id: string;
	seq: number;
	pourId: string;
	kind: PourEvent['kind'];
	at: Date;
	body: PourEvent;
	receivedAt: Date;
}
export interface PullRow extends Stamped {
	id: string;
	pourId: string;
	mouldId: string;
	masterName: string;
	resinName: string;
	copies: number;
	grade: Grade;
	combinedAt: Date;
	body: PullBody;
}
/** Planned and real, as it stood when the pull was written into the ledger. */
export interface PullBody {
	batchIndex: number;
	batchCount: number;
	massG: number;
	roomTempC: number;
	relativeHumidity: number;
	mouldTempC: number;
	conditionsRead: boolean;
	faults: readonly string[];
	note: string;
	abandonedBecause?: string;
	/** Seconds after combining, but the last two: seconds after the mould was full. */
	planned: {
		potLifeS: number;
		usableS: number;
		pouredByS: number;
		settledByS: number;
		holdUntilS: number;
		demouldS: number;
	};
	real: { pouredByS?: number; settledByS?: number; reachedS?: number; releasedS?: number; demouldS?: number };
	pot?: { name: string; targetGaugeKpa: number; reachedGaugeKpa?: number; releasedGaugeKpa?: number };
}

const id = { type: DataTypes.CHAR(36), primaryKey: true };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const json = { type: DataTypes.JSON, allowNull: false };
const moment = { type: DataTypes.DATE(3), allowNull: true };
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
		define<MaterialRow>('materials', { id, kind: text(16), name: text(120), body: json, ...versioned }),
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
			volumeMl: { type: DataTypes.DOUBLE, allowNull: false },
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
	pours: () =>
		define<PourRow>('pours', {
			id,
			shotId: text(36),
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
				receivedAt: { type: DataTypes.DATE(3), allowNull: false }
			},
			false
		),
	containers: () =>
		define<ContainerRow>('containers', {
			id,
			materialId: text(36),
			part: text(8),
			body: json,
			weighedAt: { type: DataTypes.DATE(3), allowNull: false },
			rateFactor: { type: DataTypes.DOUBLE, allowNull: true },
			emptied: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
			...versioned
		}),
	pulls: () =>
		define<PullRow>('pulls', {
			id,
			pourId: text(36),
			mouldId: text(36),
			masterName: text(120),
			resinName: text(120),
			copies: whole,
			grade: text(16),
			combinedAt: { type: DataTypes.DATE(3), allowNull: false },
			body: json,
			...stamps
		})
};

/** A row as a plain object; model instances never leave the server ring. */
export function plain<Row extends object>(row: Model<Row, Partial<Row>>): Row {
	return row.get({ plain: true });
}
