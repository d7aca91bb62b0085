import type { TimeBand } from './bands';
import type { Forecast, ForecastBands } from './forecast';

/**
 * Bands that go along while their times change: the same shares either side, until they are worked out anew.
 * @example
 * const f = forecast(whiteInMould);
 * bandsAlong(forecastBands(whiteInMould, f), f, f).demould.mostly; // 'what the sheet means by demould'
 */
export function bandsAlong(bands: ForecastBands, before: Forecast, now: Forecast): ForecastBands {
	const along = (band: TimeBand, of: (f: Forecast) => number): TimeBand => {
		const share = of(now) / of(before);
		return { ...band, lowS: band.lowS * share, highS: band.highS * share };
	};
	return {
		...bands,
		potLife: along(bands.potLife, (f) => f.fit?.potLifeS ?? f.cup.potLifeS),
		demould: along(bands.demould, (f) => f.demouldS),
		flexible: along(bands.flexible, (f) => f.flexibleS)
	};
}
