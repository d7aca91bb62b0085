import { z } from 'zod';
import { digits, formatTime } from '../units';
import { remembering } from '../numeric/remembering';
import { InputError, type Warning, type WorkingLine } from '../working';
import { calibrate } from './calibrate';
import { NO_END, tempC } from './cup';
import { solvePart } from './partModel';
import { cupGelS } from './cupModel';
import { crackLimitC, heatWarnings } from './heat';
import { cureRecord } from './record';
import { readyOf, type Ready } from './ripening';
import { WALL_KINDS, WALLS } from './wall';

/** A section of a casting in its silicone mould. */
export const partInput = z.strictObject({
	resin: cureRecord,
	section: z.strictObject({
		shape: z.enum(['slab', 'cylinder', 'sphere']),
		thicknessMm: z
			.number({ error: 'Type the thickness of the section, such as 6 mm.' })
			.min(0.2, 'Under 0.2 mm there is no section to speak of.')
			.max(1000, 'Over 1 m thick: check the unit.')
	}),
	mouldWallMm: z
		.number({ error: 'Type the wall of the mould, such as 12 mm.' })
		.min(0.5, 'A mould wall is at least 0.5 mm.')
		.max(500, 'A mould wall over 500 mm: check the unit.'),
	/** What the wall is made of. */
	wall: z.enum(WALL_KINDS).default('silicone'),
	startTempC: tempC('the temperature of the resin'),
	mouldTempC: tempC('the temperature of the mould'),
	roomTempC: tempC('the temperature of the room'),
	open: z.boolean().optional(),
	/** It waits for another place of the same cast: not called matured or ready before, s. */
	notBefore: z
		.strictObject({ maturedS: z.number().min(0).max(1e8), demouldS: z.number().min(0).max(1e8) })
		.optional()
});
export type PartInput = z.input<typeof partInput>;

export interface PartResult extends Ready {
	gelCoreS: number;
	gelWallS: number;
	peakTempC: number;
	peakMouldFaceC: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * When a section gels at its core and at its wall, from when it may be flexed out, when it is matured and stiff
 * enough
 * to leave the mould, and how hot resin and mould face get. One-dimensional; the sheet's demould time comes back.
 * @throws ZodError out of range; InputError when it would not be firm within sixty days.
 * @example
 * part({
 *   resin: { potLifeS: 150, demouldS: 900, character: 'quick' },
 *   section: { shape: 'slab', thicknessMm: 6 },
 *   mouldWallMm: 12,
 *   startTempC: 23,
 *   mouldTempC: 23,
 *   roomTempC: 23
 * }).demouldS; // 924.73
 */
export const part: (raw: PartInput) => PartResult = remembering(partNow, JSON.stringify, 64);

function partNow(raw: PartInput): PartResult {
	const input = partInput.parse(raw);
	const model = calibrate(raw.resin);
	const { startTempC, mouldTempC, roomTempC, section, mouldWallMm } = input;
	const wall = WALLS[input.wall];
	const run = solvePart(
		model,
		{
			section,
			mouldWallMm,
			wall,
			startTempC,
			mouldTempC,
			roomTempC,
			...(input.open === undefined ? {} : { open: input.open })
		},
		{
			notBefore: {
				maturedS: input.notBefore?.maturedS,
				demouldS: Math.max(
					input.notBefore?.demouldS ?? 0,
					cupGelS(model, { massG: input.resin.potLifeMassG, startTempC, roomTempC })
				)
			}
		}
	);
	if (run.ended === 'too-many-steps') throw new InputError(['resin'], NO_END);
	if (!Number.isFinite(run.demouldS)) {
		throw new InputError(['roomTempC'], 'At this temperature the part is not firm within sixty days.');
	}
	const defaults = model.defaulted.length
		? `defaults, not from your sheet: ${model.defaulted.join(', ')}`
		: 'sheet';
	return {
		...readyOf(run),
		gelCoreS: run.gelCoreS,
		gelWallS: run.gelWallS,
		peakTempC: run.peakTempC,
		peakMouldFaceC: run.peakMouldFaceC,
		working: [
			{
				what: 'Demould',
				sum: `${digits(section.thicknessMm)} mm ${section.shape} in ${digits(mouldWallMm)} mm of ${wall.name}: matured after ${formatTime(run.maturedS)}, ${run.waitedFor === 'stiffness' ? 'stiff once it has cooled' : 'stiff by then'}`,
				result: formatTime(run.demouldS),
				source: `sheet: ${formatTime(input.resin.demouldS)} for ${digits(input.resin.demouldSectionMm)} mm at 23 °C`
			},
			{
				what: 'Hottest inside',
				sum: 'conduction with reaction',
				result: `${digits(run.peakTempC, 0)} °C`,
				source: defaults
			}
		],
		warnings: [
			...model.warnings,
			...heatWarnings(run, crackLimitC(input.resin), input.resin.catalyst !== undefined)
		]
	};
}
