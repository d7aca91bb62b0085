import { z } from 'zod';
import { calculation } from '../calculation';
import { masterRecord } from '../master';
import { rubberRecord, thermoplasticRecord } from '../shelf';
import { chooseMould } from './chooser';
import { chooserInput } from './chooserInput';

/** `chooser` of the open interface. */
export const chooserCalculation = calculation(
	'chooser',
	'Every way to make a mould of a master, the fitting ones first, with reasons, rubber and hours.',
	z.strictObject({
		master: masterRecord,
		answers: chooserInput.omit({ masterId: true, rubberId: true, thermoplasticId: true, resinId: true }),
		rubber: rubberRecord.optional(),
		thermoplastic: thermoplasticRecord.optional(),
		/** What an hour of work costs; 0: what is usual. */
		hourly: z.number().min(0).max(10_000).default(0),
		roomTempC: z.number().min(-20, 'It lies above −20 °C.').max(60, 'It lies under 60 °C.').default(21)
	}),
	{
		master: {
			name: 'Fossil',
			material: 'plaster',
			footprint: 'round',
			lengthMm: 57,
			widthMm: 57,
			heightMm: 76,
			readings: [{ method: 'typed', volumeMl: 90 }]
		},
		answers: { undercuts: 'shallow', copies: 10 },
		rubber: {
			name: 'Blue',
			cureKind: 'addition',
			densityGPerMl: 1.1,
			ratioA: 1,
			ratioB: 1,
			workingTimeS: 1800,
			cureTimeS: 14_400,
			viscosityMpaS: 20_000,
			note: ''
		}
	},
	({ master, answers, rubber, thermoplastic, roomTempC, hourly }) => ({
		ways: chooseMould(master, chooserInput.parse(answers), { rubber, thermoplastic }, roomTempC, hourly)
	})
);
