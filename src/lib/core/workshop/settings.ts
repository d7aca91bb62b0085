import { z } from 'zod';
import { tempC } from '../cure/cup';
import { MEASURING_SCHOOLS } from '../mix/measuring';

const gear = (what: string, example: string) =>
	z
		.number({ error: `Type ${what}, ${example}.` })
		.positive('It must take something.')
		.max(1e6, 'Check the unit.');

/** Sizes of paper that a workshop's printer takes. */
export const PAPERS = ['A4', 'Letter'] as const;
export type Paper = (typeof PAPERS)[number];

/** What holds for the whole workshop. */
export const workshopSettings = z
	.object({
		units: z.enum(['metric', 'us']),
		roomTempC: tempC('the temperature of the room'),
		relativeHumidity: z
			.number({ error: 'Type the relative humidity in percent, such as 45.' })
			.min(1, 'Relative humidity is 1–100 %.')
			.max(100, 'Relative humidity is 1–100 %.'),
		/** From this humidity on urethane is not poured here: 40 % in dry country, 50 % elsewhere (common practice, no source). */
		stopHumidityPercent: z
			.number({ error: 'Type the humidity from which you stop pouring, such as 50 %.' })
			.min(10, 'It lies between 10 and 100 %.')
			.max(100, 'It lies between 10 and 100 %.')
			.default(50),
		altitudeM: z
			.number({ error: 'Type the altitude in metres.' })
			.min(-500, 'The altitude is −500 to 9000 m.')
			.max(9000, 'The altitude is −500 to 9000 m.'),
		scaleResolutionG: z
			.number({ error: 'Type the smallest step of your scale, such as 1 g or 0.1 g.' })
			.positive('The step of the scale must be more than nothing.')
			.max(100, 'A scale of over 100 g steps cannot weigh resin.'),
		marginPercent: z
			.number({ error: 'Type the part of the pot life kept back, such as 15 %.' })
			.min(0, 'Keep back 0–60 %.')
			.max(60, 'Keep back 0–60 %.'),
		potName: z.string().trim().min(1, 'Give the pot a name.').max(60, 'Keep it under 60 characters.'),
		potVolumeL: z
			.number({ error: 'Type the volume of the pot, such as 9.5 l or 2 1/2 gal.' })
			.positive('The pot must hold something.')
			.max(1000, 'Over a cubic metre: check the unit.'),
		potRatedGaugeKpa: z
			.number({ error: 'Type the pressure on the rating plate, such as 60 psi.' })
			.positive('The rating must be more than nothing.')
			.max(2000, 'Over 20 bar: check the rating plate and the unit.'),
		potTargetGaugeKpa: z
			.number({ error: 'Type the pressure that you cast at, such as 40 psi.' })
			.positive('The pressure must be more than nothing.')
			.max(2000, 'Over 20 bar: check the unit.'),
		freeAirLPerMin: z
			.number({ error: 'Type what the compressor delivers, such as 100 l/min or 3.5 cfm.' })
			.positive('The compressor must deliver something.')
			.max(10_000, 'Over 10 m³ a minute: check the unit.'),
		/** A second point of the compressor, from the pot's own record. */
		secondGaugeKpa: z.number().positive().max(2000).optional(),
		secondLPerMin: z.number().positive().max(10_000).optional(),
		scaleCapacityG: gear('what the scale weighs at most', 'such as 3 kg').default(3000),
		mixingCupMl: gear('the largest mixing cup', 'such as 1 l').default(1000),
		vacuumVesselMl: gear('the vessel for degassing', 'such as 3 l').default(3000),
		vacuumChamberL: z
			.number({ error: 'Type the volume of the vacuum chamber, such as 12 l.' })
			.positive('The chamber must hold something.')
			.max(1000, 'Over a cubic metre: check the unit.')
			.default(12),
		vacuumPumpLPerMin: z
			.number({ error: 'Type what the pump moves, such as 70 l/min or 2.5 cfm.' })
			.positive('The pump must move something.')
			.max(10_000, 'Over 10 m³ a minute: check the unit.')
			.default(70),
		vacuumKpa: z
			.number({ error: 'Type the absolute pressure that the pump reaches, such as 3 kPa.' })
			.min(0.6, 'Under 0.6 kPa is rarely reached: read the gauge.')
			.max(90, 'That is hardly a vacuum: give the absolute pressure.')
			.default(3),
		/** Where other devices reach this workshop, such as `http://192.168.1.20:4620`: printed codes lead there. */
		address: z
			.string()
			.trim()
			.max(200, 'Keep the address under 200 characters.')
			.refine(
				(a) => a === '' || /^https?:\/\/[^\s/?#]+\/?$/i.test(a),
				'Type it whole and without a path, such as http://192.168.1.20:4620.'
			)
			.default(''),
		/** Sheets are laid out for it. */
		paper: z.enum(PAPERS).default('A4'),
		/** Times of the day, by a clock of so many hours. */
		clockHours: z.enum(['24', '12']).default('24'),
		/** How the two parts are measured unless a shot says otherwise. */
		measuring: z.enum(MEASURING_SCHOOLS).default('two-cups'),
		/** What an hour of work costs; nothing: it is not counted. */
		hourly: z
			.number({ error: 'Type what an hour costs, such as 20, or 0.' })
			.min(0, 'An hour does not cost less than nothing.')
			.max(10_000, 'Over 10 000 an hour: check it.')
			.default(0),
		/** What a cycle of the pot costs: air, and wear of gasket and hoses; nothing: it is not counted. */
		potCycleCost: z
			.number({ error: 'Type what a cycle of the pot costs, such as 0.50, or 0.' })
			.min(0, 'A cycle does not cost less than nothing.')
			.max(1000, 'Over 1000 a cycle: check it.')
			.default(0),
		currency: z
			.string()
			.trim()
			.min(1, 'Type a sign or three letters.')
			.max(4, 'At most four letters.')
			.default('€')
	})
	.superRefine((s, ctx) => {
		if (s.potTargetGaugeKpa > s.potRatedGaugeKpa) {
			ctx.addIssue({
				code: 'custom',
				path: ['potTargetGaugeKpa'],
				message: `This is past the rating of ${Math.round(s.potRatedGaugeKpa)} kPa on the plate: stay at or below it.`
			});
		}
	});
/** What a workshop begins with, until somebody says otherwise (common practice, no source). */
export const WORKSHOP_DEFAULTS: WorkshopSettings = {
	units: 'metric',
	roomTempC: 21,
	relativeHumidity: 45,
	stopHumidityPercent: 50,
	altitudeM: 0,
	scaleResolutionG: 1,
	marginPercent: 15,
	potName: 'Pot',
	potVolumeL: 9.5,
	potRatedGaugeKpa: 400,
	potTargetGaugeKpa: 275,
	freeAirLPerMin: 100,
	scaleCapacityG: 3000,
	mixingCupMl: 1000,
	vacuumVesselMl: 3000,
	vacuumChamberL: 12,
	vacuumPumpLPerMin: 70,
	vacuumKpa: 3,
	address: '',
	paper: 'A4',
	clockHours: '24',
	measuring: 'two-cups',
	hourly: 0,
	potCycleCost: 0,
	currency: '€'
};

export type WorkshopSettings = z.output<typeof workshopSettings>;

const { units, roomTempC, relativeHumidity, scaleResolutionG, mixingCupMl } = workshopSettings.shape;
/** What a new workshop is asked first; everything else can wait. */
export const firstSettings = z.object({
	units,
	roomTempC,
	relativeHumidity,
	scaleResolutionG,
	mixingCupMl,
	/** Materials that are typical of their kinds are put on the shelf. */
	starterShelf: z.boolean().default(true)
});
