import { mixedDensityGPerMl, viscosityOf, cureOf } from '../../../shelf/resin';
import { digits } from '../../../units';
import { InputError } from '../../../working';
import { cupOf, fillersOf, lengthened } from '../../amounts';
import { copyBalance } from '../filled/filled';
import type { Inputs } from '../../inputs';
import type { ShotContext } from '../../planned';
import { layerShot, stackOf, type PlannedStack } from '../../layerShot';
import { rotocast } from './rotocast';

/**
 * Skin of an earlier cast, by what it weighs: mass over density and wall, mm².
 * @throws RangeError when a number is outside its range.
 * @example
 * castAreaMm2(110, 1.1, 2); // 50000
 */
export function castAreaMm2(massG: number, densityGPerMl: number, wallMm: number): number {
	if (!(massG > 0 && densityGPerMl > 0 && wallMm > 0))
		throw new RangeError(`castAreaMm2: all over 0, got ${massG} g, ${densityGPerMl} g/ml, ${wallMm} mm`);
	return ((massG / densityGPerMl) * 1000) / wallMm;
}

/** The skin to be covered; typed, by an earlier cast, or by the master. */
export function skinFor(inputs: Inputs, context: ShotContext): number {
	const { castMassG, castWallMm } = inputs;
	const byCast =
		castMassG && castWallMm
			? castAreaMm2(castMassG, mixedDensityGPerMl(context.resin), castWallMm)
			: undefined;
	const areaMm2 = inputs.areaMm2 ?? byCast ?? context.skinAreaMm2;
	if (!areaMm2)
		throw new InputError(['areaMm2'], 'Type the skin to cover, such as 420 cm2: this master has none.');
	return areaMm2;
}

/** A hollow cast in rolled layers, its shell filled afterwards or not. */
export function planRolled(
	inputs: Inputs,
	context: ShotContext,
	fill?: Parameters<typeof copyBalance>[0]['fill']
): PlannedStack {
	const areaMm2 = skinFor(inputs, context);
	const fillers = fillersOf(inputs, context);
	// a filler through and through makes every layer heavier or lighter, and thicker
	const { mixed, fillerMix } = cupOf((areaMm2 * inputs.wallMm) / 1000, fillers, inputs, context);
	if (mixed.viscosityFactor === null) {
		throw new InputError(
			['fillerPercent'],
			`So much filler is ${digits(100 * mixed.fillerVolumeFraction, 0)} % of the volume: it no longer runs, and cannot be rolled.`
		);
	}
	const resin = cureOf(lengthened(context, inputs.recipeId).resin, context.rateFactor);
	const one = rotocast({
		resin: { ...resin, ...(fillerMix ? { fillerMix } : {}) },
		areaMm2,
		wallMm: inputs.wallMm,
		...(inputs.layers === undefined ? {} : { layers: inputs.layers }),
		densityGPerMl: mixed.total.massG / mixed.total.volumeMl,
		viscosityMpaS: viscosityOf(context.resin, 23) * mixed.viscosityFactor,
		rimLengthMm: inputs.rimLengthMm,
		turnS: inputs.turnS,
		...(context.radiusMm ? { radiusMm: context.radiusMm } : {}),
		...(context.heightMm ? { drainMm: context.heightMm } : {}),
		roomTempC: inputs.roomTempC,
		mouldTempC: inputs.mouldTempC,
		startTempC: inputs.startTempC,
		mouldWallMm: context.mouldWallMm,
		...(context.wall ? { wall: context.wall } : {}),
		mixS: inputs.mixS,
		school: inputs.school,
		lossPercent: inputs.lossPercent
	});
	const castMl = one.totalVolumeMl / (1 + inputs.lossPercent / 100);
	if (castMl > context.cavityVolumeMl) {
		throw new InputError(
			['wallMm'],
			`A wall of ${digits(inputs.wallMm)} mm takes ${digits(castMl)} ml and the piece holds ${digits(context.cavityVolumeMl)} ml: cast it solid, or take a thinner wall.`
		);
	}
	const balance = copyBalance({
		cavityMl: context.cavityVolumeMl,
		castMl,
		castG: castMl * (mixed.total.massG / mixed.total.volumeMl),
		inserts: inputs.inserts ?? [],
		...(fill ? { fill } : {})
	});
	const planned = layerShot(
		{
			kind: inputs.kind,
			layers: one.layers.map(({ startS, ...l }) => ({
				...l,
				pouredS: startS,
				lockS: l.lockS - startS,
				gelS: l.gelS - startS,
				recoatFromS: l.recoatFromS - startS,
				recoatUntilS: l.recoatUntilS - startS,
				way: 'roll' as const,
				fillers,
				tinted: true
			})),
			run: one,
			stack: stackOf(
				resin,
				{ layersMm: one.layers.map((l) => l.thicknessMm), fillerMix: one.layers.map(() => fillerMix) },
				inputs,
				context
			),
			working: one.working,
			warnings: one.warnings,
			balance,
			verb: 'Pour'
		},
		inputs,
		context
	);
	return { ...planned, rotocast: one };
}
