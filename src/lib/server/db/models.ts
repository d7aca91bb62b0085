import { DataTypes, type Model, type ModelAttributes, type ModelStatic } from 'sequelize';
import { db } from './connection';
import type {
	SettingsRow,
	MarkerRow,
	MaterialRow,
	ExperienceRow,
	PhotoRow,
	MasterRow,
	MouldRow,
	ShotRow,
	OrderRow,
	WorkHoursRow,
	PlanRow,
	VesselRow,
	CycleRow,
	VesselInspectionRow,
	MouldInspectionRow,
	CorrectionRow,
	SavedViewRow,
	TrialRow,
	PourRow,
	ContainerRow,
	PourEventRow,
	PullRow
} from './rows';

export type { CycleBody, MaterialKind, PullBody } from '$lib/core/openData';
export type * from './rows';

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
	orders: () =>
		define<OrderRow>('orders', {
			id,
			number: whole,
			name: text(120),
			state: text(16),
			dueAt: instant,
			body: json,
			...versioned
		}),
	workHours: () =>
		define<WorkHoursRow>('work_hours', { id: { ...whole, primaryKey: true }, body: json, ...versioned }),
	plans: () => define<PlanRow>('plans', { id: { ...whole, primaryKey: true }, body: json, ...versioned }),
	pours: () =>
		define<PourRow>('pours', {
			id,
			shotId: { type: DataTypes.CHAR(36), allowNull: true },
			orderLineId: { type: DataTypes.CHAR(36), allowNull: true },
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
				clockOffMs: { type: DataTypes.BIGINT, allowNull: true },
				device: { type: DataTypes.STRING(120), allowNull: true }
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
