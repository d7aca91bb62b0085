import { viscosityFactor } from '../mix/viscosityFactor';
import { consistency, settlingMm } from '../shelf/filler';
import { mixedDensityGPerMl, viscosityOf } from '../shelf/resinSums';
import { digits } from '../units';
import type { Warning } from '../working';
import type { Inputs } from './inputs';
import type { ShotContext } from './planned';
import type { ShotBatch } from './batch';

/** A filler that moves less than this before gel is not seen, mm (a default of ours). */
const SEEN_MM = 1;

/**
 * What a filler through and through does to a cast that stands still until it gels: whether it still runs, and how
 * far it sinks or rises (Stokes, in the mix as thick as the filler makes it, which overstates it as the resin cures).
 * @param gelS until the slowest place has gelled, s
 */
export function fillerWarnings(
	batch: Pick<ShotBatch, 'fillers' | 'volumeMl' | 'b'>,
	gelS: number,
	inputs: Inputs,
	context: ShotContext
): Warning[] {
	const { filler } = context;
	const [used] = batch.fillers;
	if (!filler || !used) return [];
	const fresh = viscosityOf(context.resin, inputs.startTempC);
	const factor = viscosityFactor(used.volumeMl / batch.volumeMl) ?? null;
	// past the packing limit the sum of the mix says so
	if (factor === null) return [];
	const scoopsPerB =
		batch.b.volumeMl > 0 && used.looseVolumeMl !== undefined ? used.looseVolumeMl / batch.b.volumeMl : 0;
	const flow = consistency(fresh, factor, [{ record: filler, scoopsPerB }]);
	const mm = settlingMm(
		{ grainMm: filler.grainMm, densityGPerMl: filler.densityGPerMl },
		mixedDensityGPerMl(context.resin),
		fresh * factor,
		gelS
	);
	return [
		...(flow.consistency === 'pours'
			? []
			: [
					{
						code: flow.consistency === 'paste' ? 'paste' : 'thick-mix',
						message: `With so much ${filler.name} the mix is ${flow.consistency === 'paste' ? 'a paste' : 'creamy'}: it does not run through a sprue.`,
						action: 'Press or brush it into an open face, or take less filler.'
					}
				]),
		...(mm === undefined || Math.abs(mm) < SEEN_MM
			? []
			: [
					{
						code: 'settles',
						message:
							mm > 0
								? `${filler.name} sinks up to ${digits(mm, 1)} mm before gel: rich below as it is poured, pale on top.`
								: `${filler.name} rises up to ${digits(-mm, 1)} mm before gel: rich on top as it is poured, plain below.`,
						action: 'Use it, or turn the mould until it gels, or thicken the mix a little.'
					}
				])
	];
}
