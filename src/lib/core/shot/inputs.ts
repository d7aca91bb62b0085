import { z } from 'zod';
import type { ResinRecord } from '../shelf/resin';
import { cureOf, mixable, viscosityOf } from '../shelf/resin';
import { pot, type PotResult } from '../pot/pot';
import { InputError } from '../working';
import type { WorkshopSettings } from '../workshop/settings';
import { solidShot, solidShotInput, type ShotStep, type SolidShot } from './solid';

const stepS = (what: string) =>
	z
		.number({ error: `Type how long ${what} takes, such as 0:45 or 45 s.` })
		.min(0, 'A step cannot take less than no time.')
		.max(36_000, 'A step over ten hours: check the unit.');

const shape = solidShotInput.shape;

/** What the maker types to size a solid shot. */
export const shotInputs = z.object({
	masterId: z.string().min(1, 'Choose the master that is cast.'),
	mouldIds: z
		.array(z.string().min(1))
		.min(1, 'Choose at least one mould: without a mould there is nothing to pour into.')
		.max(60, 'At most 60 moulds at once.'),
	resinId: z.string({ error: 'Choose a resin from the shelf.' }).min(1, 'Choose a resin from the shelf.'),
	/** What the mould is coated with before the pull; empty: nothing. */
	releaseId: z.string().max(40).default(''),
	copies: shape.copies,
	sprueVolumeMl: z
		.number({ error: 'Type the volume of sprue and vents, such as 6 ml, or 0.' })
		.min(0, 'The sprue cannot be less than nothing.')
		.max(100_000, 'Over 100 l of sprue: check the unit.'),
	lossBy: z.enum(['film', 'percent']).default('film'),
	lossPercent: z
		.number({ error: 'Type the loss in percent, such as 10 %.' })
		.min(0, 'The loss cannot be less than nothing.')
		.max(100, 'Over as much again lost: check the loss.')
		.default(10),
	sectionMm: shape.sectionMm,
	mixS: stepS('mixing').default(45),
	pourS: stepS('pouring one copy').default(20),
	usePot: z.boolean().default(false),
	loadS: stepS('loading and closing the pot').default(30),
	startTempC: shape.startTempC,
	mouldTempC: shape.mouldTempC,
	roomTempC: shape.roomTempC,
	relativeHumidity: z
		.number({ error: 'Type the relative humidity in percent, such as 45.' })
		.min(1, 'Relative humidity is 1–100 %.')
		.max(100, 'Relative humidity is 1–100 %.')
});
export type ShotInputs = z.output<typeof shotInputs>;

/** What the records say about the shot: master, moulds, resin and workshop. */
export interface ShotContext {
	cavityVolumeMl: number;
	mouldWallMm: number;
	/** Outer volume of the chosen moulds together, ml. */
	mouldsVolumeMl: number;
	/** Cavities of the chosen moulds together; one each unless said. */
	cavities?: number | undefined;
	resin: ResinRecord;
	/** The container's own speed, learned from readings. */
	rateFactor?: number | undefined;
	settings: WorkshopSettings;
}

export interface PlannedShot {
	shot: SolidShot;
	pot?: PotResult;
	/** What each timed step is, in the order of the steps. */
	roles: ('mix' | 'pour' | 'load' | 'pump')[];
}

/** The pot's sum for these moulds, its refusal put at the field that can be changed. */
function potFor(context: ShotContext): PotResult {
	const { settings } = context;
	try {
		return pot({
			gaugeKpa: settings.potTargetGaugeKpa,
			altitudeM: settings.altitudeM,
			potVolumeL: settings.potVolumeL,
			contentsL: context.mouldsVolumeMl / 1000,
			freeAirLPerMin: settings.freeAirLPerMin,
			ratedGaugeKpa: settings.potRatedGaugeKpa
		});
	} catch (error) {
		if (error instanceof InputError) throw new InputError(['usePot'], error.message);
		throw error;
	}
}

/** Sizes the shot from what was typed and what the records say. Throws as `solidShot` and `pot` do. */
export function planShot(
	inputs: Omit<ShotInputs, 'masterId' | 'resinId' | 'releaseId'>,
	context: ShotContext
): PlannedShot {
	const pressure = inputs.usePot ? potFor(context) : undefined;
	const steps: (ShotStep & { role: PlannedShot['roles'][number] })[] = [
		{ name: 'Mix', durationS: inputs.mixS, per: 'batch', role: 'mix' },
		{ name: 'Pour', durationS: inputs.pourS, per: 'copy', role: 'pour' }
	];
	if (pressure) {
		steps.push(
			{ name: 'Load and close', durationS: inputs.loadS, per: 'batch', role: 'load' },
			{ name: 'Pump up', durationS: pressure.timeToPressureS, per: 'batch', role: 'pump' }
		);
	}
	const { densityAGPerMl, densityBGPerMl, ratio, catalyst } = mixable(context.resin);
	const shot = solidShot({
		cavityVolumeMl: context.cavityVolumeMl,
		sprueVolumeMl: inputs.sprueVolumeMl,
		loss: inputs.lossBy === 'film' ? { by: 'film' } : { by: 'percent', percent: inputs.lossPercent },
		copies: inputs.copies,
		cavitiesAtOnce: context.cavities ?? inputs.mouldIds.length,
		resin: { densityAGPerMl, ...(densityBGPerMl && ratio ? { densityBGPerMl, ratio } : {}) },
		...(catalyst ? { catalyst } : {}),
		cure: cureOf(context.resin, context.rateFactor),
		viscosityMpaS: viscosityOf(context.resin, inputs.startTempC),
		sectionMm: inputs.sectionMm,
		mouldWallMm: context.mouldWallMm,
		steps: steps.map(({ name, durationS, per }) => ({ name, durationS, per })),
		startTempC: inputs.startTempC,
		mouldTempC: inputs.mouldTempC,
		roomTempC: inputs.roomTempC,
		marginPercent: context.settings.marginPercent,
		scaleResolutionG: context.settings.scaleResolutionG
	});
	return { shot, ...(pressure ? { pot: pressure } : {}), roles: steps.map((s) => s.role) };
}
