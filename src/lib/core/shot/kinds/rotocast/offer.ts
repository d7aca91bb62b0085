import { EINSTEIN_COEFFICIENT, MAX_PACKING } from '../../../mix/viscosityFactor';
import { CREAMY_MPAS } from '../../../shelf/filler';
import { mixable, viscosityOf } from '../../../shelf/resinSums';
import type { ShotContext, ShotFiller, ThickenOffer } from '../../planned';

/**
 * What would keep a layer up that needs a mix so many times as thick: the filler of the shelf of which the least is
 * scooped. Round grains by Krieger & Dougherty; fibre and silica by the scoops that their records were found to take.
 * Nothing when none of the shelf does it and still runs.
 * @param times how much thicker the mix must be, over 1
 */
export function thickenOffer(times: number, tempC: number, context: ShotContext): ThickenOffer | undefined {
	const wanted = viscosityOf(context.resin, tempC) * times;
	const offers = (context.fillers ?? []).flatMap((f): ThickenOffer[] => {
		// water makes foam of a urethane, and metal would sink out of a layer
		if (f.family === 'water' || f.family === 'metal powder') return [];
		const scoops = f.creamyScoopsPerB ?? roundScoops(times, f, context);
		if (scoops === undefined || !(scoops > 0)) return [];
		if (f.creamyScoopsPerB !== undefined && wanted > CREAMY_MPAS) return [];
		if (scoops >= (f.pasteScoopsPerB ?? Infinity)) return [];
		// as it is measured: a tenth of a scoop, rounded up
		return [{ fillerId: f.id, name: f.name, scoops: Math.ceil(scoops * 10 - 1e-9) / 10 }];
	});
	return offers.sort((a, b) => a.scoops - b.scoops)[0];
}

/** Scoops of round grains to one of B that make a mix so many times as thick; nothing where that is not known. */
function roundScoops(times: number, f: ShotFiller, context: ShotContext): number | undefined {
	if (f.bulkDensityGPerMl === undefined || f.pasteScoopsPerB !== undefined) return undefined;
	// Krieger & Dougherty the other way round
	const fraction = MAX_PACKING * (1 - times ** (-1 / (EINSTEIN_COEFFICIENT * MAX_PACKING)));
	const { densityAGPerMl, densityBGPerMl, ratio } = mixable(context.resin);
	// one of B by volume, and the A that goes with it
	const aMl =
		!ratio || densityBGPerMl === undefined
			? 0
			: ratio.by === 'volume'
				? ratio.a / ratio.b
				: ((ratio.a / ratio.b) * densityBGPerMl) / densityAGPerMl;
	return (((1 + aMl) * fraction) / (1 - fraction)) * (f.densityGPerMl / f.bulkDensityGPerMl);
}
