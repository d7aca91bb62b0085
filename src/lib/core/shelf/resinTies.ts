/** What the figures of a resin's sheet leave of each other: its rules and its sums alike go by it. */
import type { ViscosityPoint } from '../mix/viscosityAt';

/** Ratios in parts, densities g/ml; any of them may be missing. */
interface Tied {
	weightA?: number | undefined;
	weightB?: number | undefined;
	volumeA?: number | undefined;
	volumeB?: number | undefined;
	densityAGPerMl: number;
	densityBGPerMl?: number | undefined;
}
/** One point of viscosity, mPa·s at °C, or two. */
interface Flowing {
	viscosityMpaS: number;
	viscosityTempC?: number | undefined;
	potLifeTempC: number;
	viscosity2MpaS?: number | undefined;
	viscosity2TempC?: number | undefined;
}

/** Parts of both, where both are said. */
export const pair = (a: number | undefined, b: number | undefined) =>
	a !== undefined && b !== undefined ? { a, b } : undefined;

/** The density of B that the two ratios and the density of A leave, g/ml. */
export function densityBOf(r: Tied): number | undefined {
	const weight = pair(r.weightA, r.weightB);
	const volume = pair(r.volumeA, r.volumeB);
	if (r.densityBGPerMl !== undefined) return r.densityBGPerMl;
	if (!weight || !volume) return undefined;
	return (r.densityAGPerMl * (weight.b / weight.a) * volume.a) / volume.b;
}

/** The sheet's viscosity as points over temperature: one, or two. */
export function viscosityPoints(r: Flowing): ViscosityPoint[] {
	const first = { tempC: r.viscosityTempC ?? r.potLifeTempC, viscosityMpaS: r.viscosityMpaS };
	return r.viscosity2MpaS === undefined || r.viscosity2TempC === undefined
		? [first]
		: [first, { tempC: r.viscosity2TempC, viscosityMpaS: r.viscosity2MpaS }];
}
