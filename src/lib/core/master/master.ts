import { z } from 'zod';
import { masterSizeInput, outerVolumeMl } from '../mould/plan';
import { name, note } from '../shelf/resin';
import { digits } from '../units';
import { displacement, displacementInput } from '../volume/displacement';
import { solidInput, solidVolumeMl } from '../volume/solids';
import type { WorkingLine } from '../working';
import { MASTER_MATERIALS } from './materials';

/** How the volume of a master is known. */
export const volumeReading = z.discriminatedUnion('method', [
	z.object({ method: z.literal('overflow'), ...displacementInput.shape }),
	z.object({ method: z.literal('solid'), solid: solidInput }),
	z.object({
		method: z.literal('typed'),
		volumeMl: z
			.number({ error: 'Type the volume, such as 85 ml or 3 oz (fluid).' })
			.positive('The volume must be more than nothing.')
			.max(1e6, 'Over a cubic metre: check the unit.')
	})
]);
export type VolumeReading = z.infer<typeof volumeReading>;

/** Volume in ml with the sum that made it. */
export function readVolume(reading: VolumeReading): { volumeMl: number; working: WorkingLine } {
	switch (reading.method) {
		case 'overflow': {
			const { volumeMl, densityGPerMl } = displacement({
				overflowMassG: reading.overflowMassG,
				waterTempC: reading.waterTempC
			});
			return {
				volumeMl,
				working: {
					what: 'Volume by overflow',
					sum: `${Number(reading.overflowMassG.toPrecision(6))} g of water ÷ ${digits(densityGPerMl, 5)} g/ml at ${digits(reading.waterTempC)} °C`,
					result: `${digits(volumeMl)} ml`,
					source: 'Kell 1975'
				}
			};
		}
		case 'solid': {
			const volumeMl = solidVolumeMl(reading.solid);
			return {
				volumeMl,
				working: {
					what: `Volume of a ${reading.solid.shape}`,
					sum: 'from its sizes',
					result: `${digits(volumeMl)} ml`
				}
			};
		}
		case 'typed':
			return {
				volumeMl: reading.volumeMl,
				working: { what: 'Volume', sum: 'as typed', result: `${digits(reading.volumeMl)} ml` }
			};
	}
}

/** A master as it is kept. */
export const masterRecord = z
	.object({
		name: name('master'),
		material: z.enum(MASTER_MATERIALS, { error: 'Choose what the master is made of.' }),
		...masterSizeInput.shape,
		reading: volumeReading,
		note
	})
	.superRefine((m, ctx) => {
		const { volumeMl } = readVolume(m.reading);
		const bounds = outerVolumeMl(m);
		if (volumeMl > bounds * 1.02) {
			const path = {
				overflow: ['reading', 'overflowMassG'],
				solid: ['reading', 'solid', 'shape'],
				typed: ['reading', 'volumeMl']
			}[m.reading.method];
			ctx.addIssue({
				code: 'custom',
				path,
				message: `${digits(volumeMl)} ml is more than the outer sizes hold (${digits(bounds)} ml): check volume and sizes.`
			});
		}
	});
export type MasterRecord = z.output<typeof masterRecord>;
