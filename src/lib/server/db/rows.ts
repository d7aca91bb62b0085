import type { z } from 'zod';
import type { MasterRecord } from '$lib/core/master';
import type { Inspection } from '$lib/core/making';
import type { MakingPlan } from '$lib/core/mould';
import type { MouldPlan, MouldInputs, MouldState } from '$lib/core/mould';
import type { KeptOrdersPlan, OrderRecord, OrderState, WorkshopHours } from '$lib/core/orders';
import type { CycleBody, MATERIAL_RECORDS, MaterialKind, PullBody } from '$lib/core/openData';
import type { PourPlan } from '$lib/core/plan';
import type { Grade, PourEvent } from '$lib/core/bench';
import type { Experience } from '$lib/core/compatibility';
import type { ContainerRecord } from '$lib/core/shelf';
import type { PlannedShot, ShotInputs, TrialRecord } from '$lib/core/shot';
import type { InspectedPart, VesselRecord } from '$lib/core/pressurePot';
import type { MouldInspection } from '$lib/core/wear';
import type { WorkshopSettings } from '$lib/core/workshop';

export interface Stamped {
	createdAt: Date;
	updatedAt: Date;
}
export interface Versioned extends Stamped {
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
export type MaterialRecords = { [K in MaterialKind]: z.output<(typeof MATERIAL_RECORDS)[K]> };
export interface MaterialRow extends Versioned {
	id: string;
	kind: MaterialKind;
	name: string;
	body: MaterialRecords[MaterialKind];
	/** Presses at demould before then teach nothing. */
	demouldForgottenAt?: Date | null;
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
export interface OrderRow extends Versioned {
	id: string;
	number: number;
	name: string;
	state: OrderState;
	dueAt: Date;
	body: OrderRecord;
}
export interface WorkHoursRow extends Versioned {
	id: number;
	body: WorkshopHours;
}
/** The plan that is followed, 1, and the one that is proposed, 2. */
export interface PlanRow extends Versioned {
	id: number;
	body: KeptOrdersPlan;
}
/** A pressure pot or a vacuum chamber. */
export interface VesselRow extends Versioned {
	id: string;
	kind: VesselRecord['kind'];
	name: string;
	body: VesselRecord;
}
export interface CycleRow extends Stamped {
	id: string;
	vesselId: string;
	pourId: string | null;
	at: Date;
	body: CycleBody;
}
export interface VesselInspectionRow extends Stamped {
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
export interface CorrectionRow extends Stamped {
	id: string;
	pullId: string;
	at: Date;
	body: { field: string; from: unknown; to: unknown; who: string; why: string };
}
export interface SavedViewRow extends Stamped {
	id: string;
	name: string;
	query: string;
}
/** A trial afloat of a piece. */
export interface TrialRow extends Stamped {
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
	/** The line of an order that it is cast for. */
	orderLineId: string | null;
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
export interface PourEventRow {
	id: string;
	seq: number;
	pourId: string;
	kind: PourEvent['kind'];
	at: Date;
	body: PourEvent;
	receivedAt: Date;
	/** What the clock of its device lacked, ms. */
	clockOffMs: number | null;
	/** On which it was noted, by its session's name; nothing where nobody signs in. */
	device: string | null;
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
