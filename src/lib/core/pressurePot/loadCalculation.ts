import { z } from 'zod';
import { calculation } from '../calculation';
import { planLoad } from './loadPlan';
import { INSPECTION_DEFAULTS, vesselRecord } from './vessel';

const sizeMm = (what: string) =>
	z
		.number({ error: `Type the ${what}, such as 80 mm.` })
		.positive(`The ${what} must be more than nothing.`)
		.max(5000, `The ${what} is over 5 m: check the unit.`);

/** Moulds that are to go into a vessel together, mm and ml. */
const loadQuery = z.strictObject({
	vessel: vesselRecord,
	loads: z
		.array(
			z.strictObject({
				name: z.string().min(1, 'Give the mould a name.').max(60),
				footprint: z.discriminatedUnion('shape', [
					z.strictObject({ shape: z.literal('round'), diameterMm: sizeMm('diameter') }),
					z.strictObject({
						shape: z.literal('rectangular'),
						lengthMm: sizeMm('length'),
						widthMm: sizeMm('width')
					})
				]),
				heightMm: sizeMm('height'),
				outsideMl: z.number().positive('A mould takes up room.').max(1e6, 'Over a thousand litres: check it.')
			})
		)
		.min(1, 'Give at least one mould.')
		.max(60, 'At most 60 moulds.'),
	altitudeM: z.number().min(-430, 'It lies above −430 m.').max(5000, 'It lies under 5000 m.').default(0),
	/** When the resin has gelled, s after it was poured. */
	gelS: z.number().positive().max(1e7).optional(),
	targetGaugeKpa: z.number().positive().max(5000).optional()
});

/** `load-plan` of the open interface. */
export const loadPlanCalculation = calculation(
	'load-plan',
	'Which moulds go into a pressure pot together, on which shelf, and what time and pressure do then.',
	loadQuery,
	{
		vessel: {
			kind: 'pot',
			name: 'Pot',
			volumeL: 18,
			diameterMm: 260,
			shelvesMm: [180, 100],
			ratedGaugeKpa: 413,
			targetGaugeKpa: 275,
			freeAirLPerMin: 90,
			dues: INSPECTION_DEFAULTS
		},
		loads: [
			{ name: 'M4', footprint: { shape: 'round', diameterMm: 80 }, heightMm: 90, outsideMl: 450 },
			{
				name: 'M5',
				footprint: { shape: 'rectangular', lengthMm: 90, widthMm: 60 },
				heightMm: 70,
				outsideMl: 380
			}
		],
		gelS: 300
	},
	({ vessel, loads, ...about }) => planLoad(vessel, loads, about)
);
