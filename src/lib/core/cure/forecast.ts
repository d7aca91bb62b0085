import { z } from 'zod';
import { InputError, type Warning } from '../working';
import { bandOfTime, cupBands, sectionsBands, surer, type TimeBand } from './bands';
import { calibrate } from './calibrate';
import { cup, cupInput, NO_END, tempC, type CupResult } from './cup';
import { cupGelS } from './cupModel';
import { cupFit, cupFitInput, UNSETTLED, type CupFitResult } from './cupFit';
import { crackLimitC, heatWarnings } from './heat';
import { solvePart, type PartPoint } from './partModel';
import { readyOf, type Ready } from './ripening';
import { WALL_KINDS, WALLS } from './wall';

/** Conversion past which a new layer may peel off (a field of the record; default common practice, no source). */
export const RECOAT_CONVERSION = 0.8;

/** A resin in its cup and in its mould, at once. */
export const forecastInput = cupInput.extend({
	thicknessMm: z
		.number({ error: 'Type the thickness of the section, such as 6 mm.' })
		.min(0.2, 'Under 0.2 mm there is no section to speak of.')
		.max(300, 'Over 300 mm: check the unit.'),
	shape: z.enum(['slab', 'cylinder', 'sphere']).default('slab'),
	mouldWallMm: z
		.number({ error: 'Type the wall of the mould, such as 12 mm.' })
		.min(0.5, 'A mould wall is at least 0.5 mm.')
		.max(300, 'A mould wall over 300 mm: check the unit.'),
	wall: z.enum(WALL_KINDS).default('silicone'),
	mouldTempC: tempC('the temperature of the mould'),
	readings: cupFitInput.shape.readings
		.max(60, 'At most 60 readings.')
		.or(z.array(z.never()).length(0))
		.default([])
});
export type ForecastInput = z.input<typeof forecastInput>;

export interface Forecast extends Ready {
	cup: CupResult;
	/** The cup corrected by the readings, when there are any. */
	fit?: CupFitResult;
	gelCoreS: number;
	gelWallS: number;
	/** A new layer holds from the gel of the slowest place until its conversion passes the record's (0.80). */
	recoatFromS: number;
	recoatUntilS: number;
	peakTempC: number;
	peakMouldFaceC: number;
	part: PartPoint[];
	/** Where the cured resin softens, °C. */
	softensC?: number;
	defaulted: readonly string[];
	warnings: Warning[];
}

/** How sure the figures of a forecast are. */
export interface ForecastBands {
	potLife: TimeBand;
	demould: TimeBand;
	flexible: TimeBand;
	/** What would make them surer, the most first. */
	surer: string[];
}

/**
 * Where four of five fall; a pot life that readings corrected has the band that they leave, and a part goes by the
 * speed that they taught.
 * @throws as `forecast` does.
 * @example
 * forecastBands(whiteInMould, forecast(whiteInMould)).potLife.mostly; // 'this batch against its sheet'
 */
export function forecastBands(raw: ForecastInput, { fit, cup: sheet, ...ready }: Forecast): ForecastBands {
	const input = forecastInput.parse(raw);
	const { massG, startTempC, roomTempC, mouldTempC } = input;
	const resin = fit ? { ...raw.resin, rateFactor: fit.rateFactor * (raw.resin.rateFactor ?? 1) } : raw.resin;
	const inCup = cupBands({ resin, massG, startTempC, roomTempC }).potLifeS;
	const part = sectionsBands({
		resin,
		where: {
			section: { shape: input.shape, thicknessMm: input.thicknessMm },
			mouldWallMm: input.mouldWallMm,
			wall: input.wall
		},
		startTempC,
		mouldTempC,
		roomTempC
	});
	return {
		potLife: fit
			? { lowS: fit.potLifeLowS, highS: fit.potLifeHighS, mostly: 'the thermometer' }
			: bandOfTime(sheet.potLifeS, inCup),
		demould: bandOfTime(ready.demouldS, part.demouldS),
		flexible: bandOfTime(ready.flexibleS, part.flexibleS),
		surer: surer([inCup, part.demouldS, part.flexibleS])
	};
}

const POINTS = 140;

/**
 * Cup and part of one resin together; with readings, both go at the speed that the readings tell.
 * @throws ZodError out of range; InputError when it would never be firm.
 * @example
 * forecast(whiteInMould).cup.potLifeS; // 150
 */
export function forecast(raw: ForecastInput): Forecast {
	const input = forecastInput.parse(raw);
	const cupRaw = {
		resin: raw.resin,
		massG: input.massG,
		startTempC: input.startTempC,
		roomTempC: input.roomTempC,
		...(input.pourTempC === undefined ? {} : { pourTempC: input.pourTempC }),
		...(input.cupDiameterMm === undefined ? {} : { cupDiameterMm: input.cupDiameterMm })
	};
	const tried = input.readings.length > 0 ? cupFit({ ...cupRaw, readings: input.readings }) : undefined;
	// what did not settle is neither shown nor used
	const fit = tried?.converged ? tried : undefined;
	const rateFactor = (raw.resin.rateFactor ?? 1) * (fit?.rateFactor ?? 1);
	const model = calibrate(fit ? { ...raw.resin, rateFactor } : raw.resin);
	const run = solvePart(
		model,
		{
			section: { shape: input.shape, thicknessMm: input.thicknessMm },
			mouldWallMm: input.mouldWallMm,
			wall: WALLS[input.wall],
			startTempC: input.startTempC,
			mouldTempC: input.mouldTempC,
			roomTempC: input.roomTempC
		},
		{
			watchConversions: [raw.resin.recoatConversion ?? RECOAT_CONVERSION],
			series: true,
			notBefore: {
				demouldS: cupGelS(model, {
					massG: input.resin.potLifeMassG,
					startTempC: input.startTempC,
					roomTempC: input.roomTempC
				})
			}
		}
	);
	if (run.ended === 'too-many-steps') throw new InputError(['resin'], NO_END);
	if (!Number.isFinite(run.demouldS)) {
		throw new InputError(['roomTempC'], 'At this temperature the part is not firm within sixty days.');
	}
	const sheet = cup(cupRaw);
	return {
		cup: sheet,
		...(fit ? { fit } : {}),
		gelCoreS: run.gelCoreS,
		gelWallS: run.gelWallS,
		recoatFromS: Math.max(run.gelCoreS, run.gelWallS),
		recoatUntilS: run.watchedS[0]!,
		...readyOf(run),
		peakTempC: run.peakTempC,
		peakMouldFaceC: run.peakMouldFaceC,
		part: thin(run.series, POINTS),
		...(model.kinetics.glass ? { softensC: model.kinetics.glass.curedC } : {}),
		defaulted: model.defaulted,
		warnings: [
			...(tried && !fit ? [UNSETTLED] : []),
			...sheet.warnings,
			...heatWarnings(run, crackLimitC(raw.resin), raw.resin.catalyst !== undefined)
		]
	};
}

/** Every so many points of a curve, so that about `count` stay and the last one is among them. */
function thin(points: readonly PartPoint[], count: number): PartPoint[] {
	const every = Math.max(1, Math.floor(points.length / count));
	return points.filter((_, i) => i % every === 0 || i === points.length - 1);
}
