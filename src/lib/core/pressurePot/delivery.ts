import { STANDARD_ATMOSPHERE_KPA } from './atmosphere';

/** What a compressor delivers: free air at no gauge pressure, and against a pressure if that is known. */
export interface Delivery {
	freeAirLPerMin: number;
	second?: { gaugeKpa: number; freeAirLPerMin: number } | undefined;
}

/**
 * Free air against a gauge pressure, l/min; linear between the two points and beyond, never under nothing.
 * @example
 * deliveredLPerMin({ freeAirLPerMin: 120, second: { gaugeKpa: 400, freeAirLPerMin: 80 } }, 200); // 100
 */
export function deliveredLPerMin({ freeAirLPerMin, second }: Delivery, gaugeKpa: number): number {
	if (!second) return freeAirLPerMin;
	return Math.max(
		0,
		freeAirLPerMin + ((second.freeAirLPerMin - freeAirLPerMin) * gaugeKpa) / second.gaugeKpa
	);
}

/**
 * Time from nothing to a gauge pressure, s. Isothermal: p_atm·q(p)·dt = V·dp. With q constant that is
 * V·p ÷ (p_atm·q); falling linearly, q = q₀ + m·p, it is V ÷ (p_atm·m)·ln(q(p)/q₀).
 * @returns Infinity when the compressor stalls before the pressure
 * @throws RangeError when a number is outside its range.
 * @example
 * pumpUpS(15, 275, { freeAirLPerMin: 90 }); // 27.14
 */
export function pumpUpS(
	freeVolumeL: number,
	gaugeKpa: number,
	delivery: Delivery,
	atmosphereKpa = STANDARD_ATMOSPHERE_KPA
): number {
	if (!(freeVolumeL >= 0 && gaugeKpa >= 0 && delivery.freeAirLPerMin > 0))
		throw new RangeError(
			`pumpUpS: volume and pressure from 0 and a delivery over 0, got ${freeVolumeL} l, ${gaugeKpa} kPa, ${delivery.freeAirLPerMin} l/min`
		);
	const q0 = delivery.freeAirLPerMin / 60;
	const q1 = deliveredLPerMin(delivery, gaugeKpa) / 60;
	if (!(q1 > 0)) return Infinity;
	const m = (q1 - q0) / Math.max(gaugeKpa, 1e-12);
	const constantS = (freeVolumeL * gaugeKpa) / (atmosphereKpa * q0);
	if (Math.abs(m * gaugeKpa) < 1e-9 * q0) return constantS;
	return (freeVolumeL / (atmosphereKpa * m)) * Math.log(q1 / q0);
}

/**
 * Air lost in a hold at constant temperature: pressure a minute, and as free air.
 * @throws RangeError when a number is outside its range.
 * @example
 * leak(15, 275, 260, 600); // { kpaPerMin: 1.5, freeAirLPerMin: 0.22206 }
 */
export function leak(
	freeVolumeL: number,
	fromGaugeKpa: number,
	toGaugeKpa: number,
	holdS: number,
	atmosphereKpa = STANDARD_ATMOSPHERE_KPA
): { kpaPerMin: number; freeAirLPerMin: number } {
	if (!(holdS > 0)) throw new RangeError(`leak: the hold must last, got ${holdS} s`);
	const kpaPerMin = ((fromGaugeKpa - toGaugeKpa) * 60) / holdS;
	return { kpaPerMin, freeAirLPerMin: (freeVolumeL * kpaPerMin) / atmosphereKpa };
}
