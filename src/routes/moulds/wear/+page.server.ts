import { productLimit, weibullSurvival } from '$lib/core/wear';
import { listMoulds } from '$lib/server/repositories/moulds';
import { families, forecastScore, mouldWears } from '$lib/server/repositories/wear';
import type { PageServerLoad } from './$types';

/** Moulds in use that are looked at together. */
const MOST = 60;
const CURVE_POINTS = 40;

export const load: PageServerLoad = async () => {
	const [moulds, lives, score] = await Promise.all([listMoulds(), families(), forecastScore()]);
	const used = moulds.filter((m) => m.state === 'active' || m.state === 'resting').slice(0, MOST);
	const wears = await mouldWears(used, lives);
	return {
		rows: wears
			.map((w) => ({
				id: w.mould.id,
				name: `M${w.mould.number} ${w.mould.label}`,
				number: w.mould.number,
				pulls: w.mould.pulls,
				low: w.forecast.pullsLeftLow,
				median: w.forecast.pullsLeftMedian,
				high: w.forecast.pullsLeftHigh,
				thin: w.forecast.thin,
				successorByMs: w.successorByMs,
				advice: w.advice[0]?.what ?? ''
			}))
			.sort((a, b) => a.median - b.median),
		families: lives.map(({ family, lives, fit }) => {
			const most = Math.max(...lives.map((l) => l.pulls)) * 1.2;
			return {
				family,
				retired: lives.filter((l) => l.retired).length,
				alive: lives.filter((l) => !l.retired).length,
				fit: fit && { shape: fit.shape, scale: fit.scale, medianPulls: fit.medianPulls },
				steps: productLimit(lives),
				curve: fit
					? Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
							const pulls = (most * i) / CURVE_POINTS;
							return { pulls, share: weibullSurvival(fit, pulls) };
						})
					: []
			};
		}),
		score
	};
};
