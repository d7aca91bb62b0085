import { mixedDensityGPerMl, viscosityOf, cureOf } from '../../../shelf/resinSums';
import { CREAMY_MPAS } from '../../../shelf/filler';
import { digits } from '../../../units';
import { InputError } from '../../../working';
import { cupOf, fillersOf, lengthened } from '../../amounts';
import { copyBalance } from '../filled/filled';
import type { Inputs } from '../../inputs';
import type { ShotContext } from '../../planned';
import { layerShot, stackOf, type PlannedStack } from '../../layerShot';
import type { FillerMix } from '../../../cure/record';
import type { Filler, MixResult } from '../../../mix/mix';
import { thickenOffer } from './offer';
import { EVERYWHERE, PLACE_WORDS } from './places';
import { rotocast } from './rotocast';
import type { LayerRow } from './layerRow';
import { laidRows, type LaidRow } from './rows';

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

/** What is offered keeps a layer up also when grains slow its cure, so many times over (a default of ours). */
const SURELY = 1.3;

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
	runs(mixed, inputs, context);
	const resin = cureOf(lengthened(context, slowestRecipe(inputs, context)).resin, context.rateFactor);
	const densityOf = (of: Filler[]) => {
		const { total } = of.length ? cupOf(100, of, inputs, context).mixed : mixed;
		return total.massG / total.volumeMl;
	};
	const rows = inputs.layerRows?.length ? laidRows(inputs, context, areaMm2, densityOf) : undefined;
	/** What is stirred into a layer: its own filler, else the one of the whole shot. */
	const into = (i: number) => (rows?.[i]?.fillers.length ? rows[i]!.fillers : fillers);
	const one = rotocast({
		areaMm2,
		wallMm: inputs.wallMm,
		...(inputs.layers === undefined ? {} : { layers: inputs.layers }),
		...(rows
			? {
					rows: rows.map((r, i) => {
						const cup = into(i).length ? cupOf(r.volumeMl, into(i), inputs, context) : undefined;
						return {
							cover: r.cover,
							thicknessMm: r.thicknessMm,
							densityGPerMl: densityOf(into(i)),
							...(cup?.fillerMix ? { fillerMix: asFound(cup.fillerMix, r, inputs, context) } : {}),
							...(r.row.place === 'rim' ? { rim: true } : {})
						};
					})
				}
			: {}),
		resin: { ...resin, ...(!rows && fillerMix ? { fillerMix } : {}) },
		densityGPerMl: mixed.total.massG / mixed.total.volumeMl,
		viscosityMpaS: viscosityOf(context.resin, 23) * (rows ? 1 : mixed.viscosityFactor!),
		rimLengthMm: inputs.rimLengthMm,
		rimMm: inputs.rimMm,
		...(inputs.rimThickMm === undefined ? {} : { rimThickMm: inputs.rimThickMm }),
		trimMm: inputs.trimMm,
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
		castG: one.totalMassG / (1 + inputs.lossPercent / 100),
		inserts: inputs.inserts ?? [],
		...(fill ? { fill } : {})
	});
	const last = one.layers.at(-1)!;
	const offer = last.sags ? thickenOffer(last.thicken * SURELY, inputs.startTempC, context) : undefined;
	const planned = layerShot(
		{
			kind: inputs.kind,
			layers: one.layers.map(({ startS, ...l }, i) => ({
				...l,
				pouredS: startS,
				lockS: l.lockS - startS,
				gelS: l.gelS - startS,
				recoatFromS: l.recoatFromS - startS,
				recoatUntilS: l.recoatUntilS - startS,
				way: 'roll' as const,
				fillers: into(i),
				tinted: true,
				...(rows ? { serves: rowServes(rows[i]!.row, l.serves), recipeId: rows[i]!.row.recipeId } : {})
			})),
			run: one,
			stack: stackOf(
				resin,
				{
					layersMm: one.layers.map((l, i) => rows?.[i]?.meanMm ?? l.thicknessMm),
					fillerMix: one.layers.map((_, i) =>
						rows ? (into(i).length ? cupOf(100, into(i), inputs, context).fillerMix : undefined) : fillerMix
					)
				},
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
	return { ...planned, rotocast: one, ...(offer ? { offer } : {}) };
}

/** Refuses a mix that no longer runs: past its packing, or past what its record calls paste. */
function runs(mixed: MixResult, inputs: Inputs, { filler }: ShotContext): void {
	if (mixed.viscosityFactor === null)
		throw new InputError(
			['fillerPercent'],
			`So much filler is ${digits(100 * mixed.fillerVolumeFraction, 0)} % of the volume: it no longer runs, and cannot be rolled.`
		);
	const loose = mixed.fillers[0]?.looseVolumeMl;
	const scoopsPerB = loose === undefined ? 0 : loose / (mixed.b.volumeMl || mixed.a.volumeMl);
	const paste = filler?.pasteScoopsPerB ?? Infinity;
	if (scoopsPerB >= paste)
		throw new InputError(
			['fillerPercent'],
			`${digits(inputs.fillerPercent)} % is ${digits(scoopsPerB, 2)} scoops to one of B; by its record ${filler!.name} is a paste from ${digits(paste, 2)}: it cannot be rolled. Take less, or brush it.`
		);
}

/** Of the colours in the layers the one that slows the resin most. */
const slowestRecipe = (inputs: Inputs, context: ShotContext): string =>
	[inputs.recipeId, ...(inputs.layerRows ?? []).map((r) => r.recipeId)]
		.filter(Boolean)
		.map((id) => ({ id, percent: context.recipes?.find((r) => r.id === id)?.lengtheningPercent ?? 0 }))
		.sort((a, b) => b.percent - a.percent)[0]?.id ?? '';

/** What a layer of a table is for, in the maker's own words where there are some. */
function rowServes({ place, note }: LayerRow, usual: string): string {
	const words = PLACE_WORDS[place as keyof typeof PLACE_WORDS] ?? place;
	return [place === EVERYWHERE ? usual : words, note].filter(Boolean).join('; ');
}

/** A thickener that is known by its scoops is as thick as its record was found to make it, whatever round grains would do. */
function asFound(mix: FillerMix, { row }: LaidRow, inputs: Inputs, context: ShotContext): FillerMix {
	const filler = context.fillers?.find((f) => f.id === row.fillerId);
	if (row.scoops < (filler?.creamyScoopsPerB ?? Infinity)) return mix;
	const creamy = CREAMY_MPAS / viscosityOf(context.resin, inputs.startTempC);
	return { ...mix, viscosityFactor: Math.max(mix.viscosityFactor, creamy) };
}
