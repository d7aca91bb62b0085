import { fieldErrors } from '../fieldErrors';
import { pot, type PotResult } from '../pot/pot';
import { cureRecord, type CureRecord } from '../cure/record';
import type { StepRole } from '../shot/pouring';
import type { PourPlan } from '../plan/pourPlan';
import { solidShot, type ShotStep } from '../shot/solid';
import type { WorkshopSettings } from '../workshop/settings';

/** An invented resin to learn with: figures inside those of a fast white urethane, no maker's. */
const LESSON_RESIN = {
	name: 'Practice white',
	densityAGPerMl: 1.09,
	densityBGPerMl: 0.98,
	ratio: { by: 'weight', a: 100, b: 90 },
	cure: { potLifeS: 170, demouldS: 900, character: 'quick' }
} as const;
/** A paperweight of 60 ml, twice. */
const LESSON_PIECE = { name: 'Practice paperweight', cavityVolumeMl: 60, copies: 2, sectionMm: 8 };

/** The workshop's own pot with the lesson's moulds in it; nothing when they do not go in. */
function lessonPot(settings: WorkshopSettings): PotResult | undefined {
	try {
		return pot({
			gaugeKpa: settings.potTargetGaugeKpa,
			altitudeM: settings.altitudeM,
			potVolumeL: settings.potVolumeL,
			contentsL: 0.6,
			freeAirLPerMin: settings.freeAirLPerMin,
			ratedGaugeKpa: settings.potRatedGaugeKpa
		});
	} catch (error) {
		if (fieldErrors(error)) return undefined;
		throw error;
	}
}

/** A pour to learn with, for a workshop that has no shot yet: two small casts under the workshop's own pot. */
export function lessonPlan(settings: WorkshopSettings): PourPlan {
	const { roomTempC } = settings;
	const cure: CureRecord = cureRecord.parse(LESSON_RESIN.cure);
	const pressure = lessonPot(settings);
	const steps: (ShotStep & { role: StepRole })[] = [
		{ name: 'Mix', durationS: 35, per: 'batch', role: 'mix' },
		{ name: 'Pour', durationS: 12, per: 'copy', role: 'pour' },
		...(pressure
			? [
					{ name: 'Load and close', durationS: 20, per: 'batch' as const, role: 'load' as const },
					{
						name: 'Pump up',
						durationS: pressure.timeToPressureS,
						per: 'batch' as const,
						role: 'pump' as const
					}
				]
			: [])
	];
	const shot = solidShot({
		cavityVolumeMl: LESSON_PIECE.cavityVolumeMl,
		copies: LESSON_PIECE.copies,
		cavitiesAtOnce: LESSON_PIECE.copies,
		resin: {
			densityAGPerMl: LESSON_RESIN.densityAGPerMl,
			densityBGPerMl: LESSON_RESIN.densityBGPerMl,
			ratio: LESSON_RESIN.ratio
		},
		cure,
		viscosityMpaS: 90,
		sectionMm: LESSON_PIECE.sectionMm,
		steps: steps.map(({ name, durationS, per }) => ({ name, durationS, per })),
		startTempC: roomTempC,
		mouldTempC: roomTempC,
		roomTempC,
		marginPercent: settings.marginPercent,
		scaleResolutionG: settings.scaleResolutionG
	});
	const batch = shot.batches[0]!;
	return {
		shotId: 'lesson',
		batchIndex: 0,
		batchCount: 1,
		masterName: LESSON_PIECE.name,
		moulds: [{ id: 'lesson', number: 1, label: LESSON_PIECE.name, copies: batch.copies }],
		resinName: LESSON_RESIN.name,
		cure,
		section: { section: { shape: 'slab', thicknessMm: LESSON_PIECE.sectionMm }, mouldWallMm: 12 },
		chemistry: 'urethane',
		a: batch.a,
		b: batch.b,
		measuring: settings.measuring,
		scaleResolutionG: settings.scaleResolutionG,
		scaleCapacityG: settings.scaleCapacityG,
		massG: batch.massG,
		markAMm: batch.schools.marks.markAMm,
		markBMm: batch.schools.marks.markBMm,
		cupDiameterMm: batch.schools.marks.cupDiameterMm,
		potLifeS: batch.potLifeS,
		gelTimeS: batch.gelTimeS,
		usableS: batch.budget.usableS,
		steps: batch.steps.map((step, i) => ({ ...step, role: steps[i]!.role })),
		...(pressure
			? {
					pot: {
						name: settings.potName,
						targetGaugeKpa: settings.potTargetGaugeKpa,
						ratedGaugeKpa: settings.potRatedGaugeKpa,
						bubbleDiameterRatio: pressure.bubbleDiameterRatio
					}
				}
			: {}),
		holdUntilS: shot.holdUntilS,
		demouldS: shot.demouldS,
		roomTempC,
		relativeHumidity: settings.relativeHumidity,
		mouldTempC: roomTempC,
		startTempC: roomTempC
	};
}
