import { mixedDensityGPerMl } from '../../../shelf/resinSums';
import type { Filler } from '../../../mix/mix';
import { digits, formatTime } from '../../../units';
import { InputError, type Warning } from '../../../working';
import { cupOf } from '../../amounts';
import { copyBalance } from '../filled/filled';
import type { Inputs } from '../../inputs';
import type { ShotContext } from '../../planned';
import { scooped } from '../../scoops';
import { layerShot, timeLayers, type PlannedStack } from '../../layerShot';
import { skinFor } from '../rotocast/plan';
import { LEVEL_COAT_MM, MOST_COAT_MM, OF_STANDING, SPREAD_MM2_PER_S, STANDS } from './stands';

/** Yield stress of a thickened mix, Pa, by what it is like (from memory, field values). */
export const YIELD_PA = { creamy: 10, paste: 60 } as const;

const G_M_PER_S2 = 9.80665;

/**
 * The thickest coat that stays up on an upright wall, mm: h = τy/(ρ·g).
 * @param yieldPa yield stress, Pa, over 0
 * @example
 * standingCoatMm(30, 1.1); // 2.781
 */
export function standingCoatMm(yieldPa: number, densityGPerMl: number): number {
	return (yieldPa / (densityGPerMl * 1000 * G_M_PER_S2)) * 1000;
}

/** Thickener as its record was found to take: scoops to one of B; to a resin without B, to one of the resin. */
function thickener(inputs: Inputs, context: ShotContext): Filler {
	const { filler, resin } = context;
	if (!filler || !inputs.fillerId)
		throw new InputError(['fillerId'], 'Choose what it is thickened with, such as fumed silica.');
	const needs = STANDS[inputs.stands ?? 'level'].needs;
	const scoops = needs === 'creamy' ? filler.creamyScoopsPerB : filler.pasteScoopsPerB;
	if (scoops === undefined || filler.bulkDensityGPerMl === undefined) {
		throw new InputError(
			['fillerId'],
			`${filler.name} has no record of how many scoops make it ${needs}: try it in a small cup and write it on the shelf.`
		);
	}
	return scooped(filler, scoops, resin);
}

/**
 * Thickened resin brushed into an open mould in coats that follow each other at gel.
 * @throws InputError without a thickener that is known to reach the consistency
 */
export function planBrushed(inputs: Inputs, context: ShotContext): PlannedStack {
	const areaMm2 = skinFor(inputs, context);
	const filler = thickener(inputs, context);
	const { needs, words } = STANDS[inputs.stands ?? 'level'];
	const upright = (inputs.stands ?? 'level') === 'upright';
	const { mixed: sample } = cupOf(100, [filler], inputs, context);
	const density = sample.total.massG / sample.total.volumeMl;
	const yieldPa = context.filler?.yieldPa ?? YIELD_PA[needs];
	const staysMm = standingCoatMm(yieldPa, density);
	const wantedMm =
		inputs.coatMm ?? (upright ? Math.max(0.3, Math.min(MOST_COAT_MM, OF_STANDING * staysMm)) : LEVEL_COAT_MM);
	const count = Math.max(1, Math.ceil(inputs.wallMm / wantedMm - 1e-9));
	const coatMm = inputs.wallMm / count;
	const coatMl = (areaMm2 * coatMm) / 1000;
	const castMl = coatMl * count;
	const layS = inputs.layS ?? areaMm2 / SPREAD_MM2_PER_S;
	if (castMl > context.cavityVolumeMl) {
		throw new InputError(
			['wallMm'],
			`A wall of ${digits(inputs.wallMm)} mm takes ${digits(castMl)} ml and the piece holds ${digits(context.cavityVolumeMl)} ml: thinner, or pour it solid.`
		);
	}
	const timed = timeLayers(
		Array.from({ length: count }, (_, i) => ({
			volumeMl: coatMl,
			thicknessMm: coatMm,
			serves:
				i === 0 ? 'the face: stippled into every corner, no bubble left' : 'strength: cross the strokes',
			way: 'brush' as const,
			fillers: [filler],
			tinted: true,
			layS
		})),
		inputs,
		context
	);
	const { mixed } = cupOf(coatMl, [filler], inputs, context);
	// an open shell: water gets behind it, so it displaces what it is made of
	const setInMl = (inputs.inserts ?? []).reduce((sum, x) => sum + x.volumeMl, 0);
	const balance = copyBalance({
		cavityMl: castMl + setInMl,
		castMl,
		castG: castMl * density,
		inserts: inputs.inserts ?? []
	});
	const dry = timed.layers.find((l) => layS > l.gelS);
	const warnings: Warning[] = [
		...(upright && coatMm > staysMm
			? [
					{
						code: 'sags',
						message: `On an upright wall only ${digits(staysMm, 1)} mm of it stay up, and a coat is ${digits(coatMm, 1)} mm.`,
						action: 'Thinner coats, or stiffer: more thickener than paste needs.'
					}
				]
			: []),
		...(dry
			? [
					{
						code: 'sets-on-the-brush',
						message: `Spreading a coat takes ${formatTime(layS)}, and it gels ${formatTime(dry.gelS)} after it is tipped out.`,
						action: 'Smaller portions, one field after another, a second pair of hands, or a slower resin.'
					}
				]
			: [])
	];
	return layerShot(
		{
			kind: 'brushed',
			layers: timed.layers,
			run: timed.run,
			stack: timed.stack,
			verb: 'Tip it out',
			balance,
			working: [
				{
					what: 'One coat',
					sum: `${digits(areaMm2 / 100)} cm² × ${digits(coatMm)} mm`,
					result: `${digits(coatMl)} ml, ${digits(mixed.total.massG)} g`
				},
				{
					what: 'Spreading a coat',
					sum:
						inputs.layS === undefined
							? `${digits(areaMm2 / 100)} cm² at ${digits((SPREAD_MM2_PER_S * 60) / 100)} cm² a minute`
							: 'as typed',
					result: formatTime(layS),
					...(inputs.layS === undefined ? { source: 'a default of ours' } : {})
				},
				{
					what: `Thickened for ${words}`,
					sum: `${digits(filler.amount)} ${filler.per === 'phr' ? 'parts to 100 of resin' : 'scoops to one of B'}, ${needs}`,
					result: `${digits(mixed.fillers[0]!.massG)} g ${filler.name} a coat`,
					source: 'its record on the shelf'
				},
				{
					what: 'Stays up on a wall',
					sum: `τy ÷ (ρ·g), ${digits(yieldPa)} Pa${context.filler?.yieldPa === undefined ? ' by default' : ''}, ${digits(density, 3)} g/ml`,
					result: `${digits(staysMm, 1)} mm`,
					source:
						context.filler?.yieldPa === undefined ? 'yield stress from memory' : 'its record on the shelf'
				},
				{
					what: 'Density unfilled',
					sum: 'A and B by their ratio',
					result: `${digits(mixedDensityGPerMl(context.resin), 3)} g/ml`
				}
			],
			warnings
		},
		inputs,
		context
	);
}
