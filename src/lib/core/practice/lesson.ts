import { masterRecord } from '../master/master';
import { mouldInputs, planMould } from '../mould';
import { composePlan, mouldFigures, shotContextOf, type PlanRecords } from '../plan';
import type { PourPlan } from '../plan/pourPlan';
import { resinRecord, rubberRecord } from '../shelf';
import { planShot, shotInputs, type PlannedShot, type ShotInputs } from '../shot';
import { InputError } from '../working';
import type { WorkshopSettings } from '../workshop/settings';

/** An invented resin to learn with: figures inside those of a fast white urethane, no maker's. */
const RESIN = resinRecord.parse({
	name: 'Practice white',
	family: 'fast urethane',
	densityAGPerMl: 1.09,
	densityBGPerMl: 0.98,
	weightA: 100,
	weightB: 90,
	potLifeS: 170,
	demouldS: 900,
	character: 'quick',
	viscosityMpaS: 90,
	note: ''
});
const RUBBER = rubberRecord.parse({
	name: 'Practice blue',
	cureKind: 'addition',
	densityGPerMl: 1.1,
	ratioA: 1,
	ratioB: 1,
	workingTimeS: 1800,
	cureTimeS: 14_400,
	viscosityMpaS: 20_000,
	note: ''
});
/** A paperweight of 60 ml, as large as a small stone; two are cast at once. */
const COPIES = 2;
const PIECE = masterRecord.parse({
	name: 'Practice paperweight',
	material: 'glass or glazed',
	footprint: 'round',
	lengthMm: 50,
	widthMm: 50,
	heightMm: 42,
	readings: [{ method: 'typed', volumeMl: 60 }]
});
const MASTER = { record: PIECE, volumeMl: 60 };

/** What the lesson's shelf holds, in the shape in which a real pour is composed. */
function recordsOf(settings: WorkshopSettings): PlanRecords {
	const inputs = mouldInputs.parse({
		label: PIECE.name,
		masterId: 'lesson',
		rubberId: 'lesson',
		clearanceMm: 12,
		coverMm: 12,
		lossPercent: 4,
		cavities: COPIES,
		roomTempC: settings.roomTempC
	});
	const plan = planMould(inputs, PIECE, { rubber: RUBBER });
	return {
		master: MASTER,
		moulds: [{ id: 'lesson', number: 1, label: PIECE.name, inputs, plan }],
		resin: RESIN,
		tins: {},
		settings,
		spares: [],
		recipes: [],
		touching: {
			resin: { kind: 'resin', key: 'resin:lesson', name: RESIN.name, family: RESIN.family },
			moulds: []
		},
		experiences: [],
		stamps: []
	};
}

/** The shot of the lesson; without the pot where the workshop's own does not take it. */
function plannedIn(
	settings: WorkshopSettings,
	records: PlanRecords
): { inputs: ShotInputs; planned: PlannedShot } {
	const context = shotContextOf({
		master: MASTER,
		moulds: records.moulds.map((m) => mouldFigures(m, MASTER.volumeMl)),
		resin: RESIN,
		settings,
		recipes: []
	});
	const inputsOf = (usePot: boolean) =>
		shotInputs.parse({
			masterId: 'lesson',
			mouldIds: ['lesson'],
			resinId: 'lesson',
			copies: COPIES,
			sprueVolumeMl: 0,
			sectionMm: 8,
			mixS: 35,
			pourS: 12,
			loadS: 20,
			usePot,
			measuring: settings.measuring,
			startTempC: settings.roomTempC,
			mouldTempC: settings.roomTempC,
			roomTempC: settings.roomTempC,
			relativeHumidity: settings.relativeHumidity
		});
	try {
		const inputs = inputsOf(true);
		return { inputs, planned: planShot(inputs, context) };
	} catch (error) {
		if (!(error instanceof InputError)) throw error;
		const inputs = inputsOf(false);
		return { inputs, planned: planShot(inputs, context) };
	}
}

/**
 * A pour to learn with, for a workshop that has no shot yet: two small casts under the workshop's own pot,
 * composed as
 * every pour is. What a newcomer need not yet do (close it in a way of its own, look for spare moulds) is left out.
 * @example
 * lessonPlan(WORKSHOP_DEFAULTS).moulds.length; // 1
 */
export function lessonPlan(settings: WorkshopSettings): PourPlan {
	const records = recordsOf(settings);
	const { inputs, planned } = plannedIn(settings, records);
	const {
		closing: _closing,
		spares: _spares,
		references: _sizes,
		...plan
	} = composePlan({ id: 'lesson', number: 0, inputs, planned }, 0, records);
	return plan;
}
