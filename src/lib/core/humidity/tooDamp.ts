/**
 * Whether urethane is better not poured in this air: the limit is the workshop's own, 40 % in dry country and 50 %
 * elsewhere (common practice, no source).
 * @param air humidity and limit, percent
 * @example
 * isTooDamp({ relativeHumidity: 45, stopHumidityPercent: 40 }); // true
 */
export const isTooDamp = (air: { relativeHumidity: number; stopHumidityPercent: number }): boolean =>
	air.relativeHumidity >= air.stopHumidityPercent;
