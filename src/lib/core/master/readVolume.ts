/** Readings of a master's volume in millilitres; apart from the rules by which they are typed. */
import { digits } from '../units';
import { solidsVolumeMl, solidVolumeMl } from '../volume/solids';
import { waterDensityGPerMl } from '../volume/waterDensity';
import type { WorkingLine } from '../working';
import type { ReadingMethod, VolumeReading } from './reading';

/** What each way is called. */
export const METHOD_NAMES: Readonly<Record<ReadingMethod, string>> = {
	overflow: 'Overflow, weighed',
	rise: 'Rise in a cup',
	'mould-water': 'Water out of the mould',
	cast: 'An earlier cast, weighed',
	solids: 'Plain solids',
	mesh: '3D file',
	typed: 'Known already'
};

const weight = (massG: number) => `${Number(massG.toPrecision(6))} g`;

/**
 * Volume in ml with the sum that made it.
 * @example
 * readVolume({ method: 'rise', beforeMl: 200, afterMl: 242 }).volumeMl; // 42
 */
export function readVolume(reading: VolumeReading): { volumeMl: number; working: WorkingLine } {
	const line = (what: string, sum: string, volumeMl: number, source?: string) => ({
		volumeMl,
		working: { what, sum, result: `${digits(volumeMl)} ml`, ...(source ? { source } : {}) }
	});
	const byWater = (what: string, massG: number, tempC: number) => {
		const density = waterDensityGPerMl(tempC);
		const sum = `${weight(massG)} of water ÷ ${digits(density, 5)} g/ml at ${digits(tempC)} °C`;
		return line(what, sum, massG / density, 'Kell 1975');
	};
	switch (reading.method) {
		case 'overflow':
			return byWater('Volume by overflow', reading.overflowMassG, reading.waterTempC);
		case 'mould-water':
			return byWater('Volume of the cavity', reading.waterMassG, reading.waterTempC);
		case 'rise':
			return line(
				'Volume by rise',
				`${digits(reading.afterMl)} − ${digits(reading.beforeMl)} ml`,
				reading.afterMl - reading.beforeMl
			);
		case 'cast':
			return line(
				'Volume of an earlier cast',
				`${weight(reading.castMassG)} ÷ ${digits(reading.castDensityGPerMl, 3)} g/ml`,
				reading.castMassG / reading.castDensityGPerMl
			);
		case 'solids':
			return line(
				reading.pieces.length === 1 ? `Volume of a ${reading.pieces[0]!.solid.shape}` : 'Volume of solids',
				reading.pieces
					.map(
						(p, i) =>
							`${p.sign === 'subtract' ? '− ' : i > 0 ? '+ ' : ''}${digits(solidVolumeMl(p.solid))} (${p.solid.shape})`
					)
					.join(' '),
				solidsVolumeMl(reading.pieces)
			);
		case 'mesh':
			return line(
				reading.pictured ? `Volume by ${reading.pictured.pictures} pictures` : 'Volume of the 3D file',
				`${reading.fileName} in ${reading.unit}${reading.scale === 1 ? '' : ` × ${digits(reading.scale, 4)}`}`,
				reading.volumeMl,
				reading.pictured ? 'visual hull: Laurentini, IEEE PAMI 16 (1994) 150' : 'signed tetrahedra'
			);
		case 'typed':
			return line('Volume', 'as typed', reading.volumeMl);
	}
}

/** How several readings of one piece agree. */
export interface Spread {
	count: number;
	lowMl: number;
	highMl: number;
	meanMl: number;
	/** Half of the range, as a share of the mean. */
	halfShare: number;
}

/** Past this half-range readings do not agree well enough for a small shot (common practice, no source). */
export const SPREAD_LIMIT = 0.03;

/**
 * Lowest, highest and mean of several readings; nothing for fewer than two.
 * @example
 * spreadOf([
 *   { method: 'typed', volumeMl: 100 },
 *   { method: 'typed', volumeMl: 104 }
 * ])?.meanMl; // 102
 */
export function spreadOf(readings: readonly VolumeReading[]): Spread | undefined {
	if (readings.length < 2) return undefined;
	const all = readings.map((r) => readVolume(r).volumeMl);
	const [lowMl, highMl] = [Math.min(...all), Math.max(...all)];
	const meanMl = all.reduce((sum, v) => sum + v, 0) / all.length;
	return { count: all.length, lowMl, highMl, meanMl, halfShare: (highMl - lowMl) / 2 / meanMl };
}
