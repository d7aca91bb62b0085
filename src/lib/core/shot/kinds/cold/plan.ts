import { mixedDensityGPerMl, viscosityOf } from '../../../shelf/resinSums';
import { settlingMm } from '../../../shelf/filler';
import { digits } from '../../../units';
import { InputError, type Warning, type WorkingLine } from '../../../working';
import { RATIO_TOLERANCE_PERCENT } from '../../../mix/weighingError';
import { cupOf, fillersOf, insertsMl } from '../../amounts';
import { copyBalance } from '../filled/filled';
import type { Inputs } from '../../inputs';
import type { ShotContext, ShotFiller } from '../../planned';
import { copiesTogether, layerShot, timeLayers, type PlannedStack } from '../../layerShot';
import type { LayerSpec } from '../../layerSpec';
import { skinFor } from '../rotocast/plan';
import { DUST_G_PER_M2 } from './dust';

/**
 * A metal cold cast: the mould dusted, a face loaded with the same powder, and plain resin, tinted dark, behind
 * it. Volumes add up to the cavity with the solid density of the powder.
 * @throws InputError without a metal powder, or when the face alone is more than the piece
 */
export function planCold(inputs: Inputs, context: ShotContext): PlannedStack {
	const filler = powderOf(inputs, context);
	const areaMm2 = skinFor(inputs, context);
	const dustG = (areaMm2 / 1e6) * (inputs.dustGPerM2 ?? DUST_G_PER_M2);
	const dustMl = dustG / filler.densityGPerMl;
	if (inputs.coldSchool === 'one-pour') return onePour(inputs, context, areaMm2, dustG);
	const faceMl = (areaMm2 * inputs.faceMm) / 1000;
	const backingMl = context.cavityVolumeMl - faceMl - dustMl - insertsMl(inputs, context);
	if (!(backingMl > 0)) {
		throw new InputError(
			['faceMm'],
			`A face of ${digits(inputs.faceMm)} mm takes ${digits(faceMl)} ml and the piece holds ${digits(context.cavityVolumeMl)} ml: a thinner face, or cast it loaded through and through.`
		);
	}
	const specs: LayerSpec[] = [
		{
			volumeMl: faceMl,
			thicknessMm: inputs.faceMm,
			serves:
				'the loaded face: it must cover everywhere, let the stream land where a bare spot can be hidden',
			way: 'roll',
			fillers: fillersOf(inputs, context)
		},
		{
			volumeMl: backingMl,
			// what is behind the face, as a slab of the same skin
			thicknessMm: Math.max(0.5, (backingMl / areaMm2) * 1000),
			serves: 'the backing, tinted dark so that thin places do not shine through',
			way: 'flat',
			fillers: [],
			tinted: true
		}
	];
	const face = cupOf(faceMl, specs[0]!.fillers, inputs, context).mixed;
	const least = smallestCup(face, faceMl, copiesTogether(inputs, context), context);
	if (least) specs[0]!.leastMl = least.volumeMl;
	const timed = timeLayers(specs, inputs, context);
	const density = mixedDensityGPerMl(context.resin);
	const sinkMm = filler.grainMm
		? settlingMm(
				{ grainMm: filler.grainMm, densityGPerMl: filler.densityGPerMl },
				density,
				viscosityOf(context.resin, inputs.startTempC) * (face.viscosityFactor ?? Infinity),
				timed.layers[0]!.gelS
			)
		: undefined;
	const balance = copyBalance({
		cavityMl: context.cavityVolumeMl,
		castMl: faceMl + backingMl + dustMl,
		castG: face.total.massG + backingMl * density + dustG,
		inserts: inputs.inserts ?? []
	});
	const planned = layerShot(
		{
			kind: 'cold',
			layers: timed.layers,
			run: timed.run,
			stack: timed.stack,
			verb: 'Pour',
			balance,
			working: [
				dustLine(inputs, areaMm2, dustG),
				{
					what: 'Face',
					sum: `${digits(areaMm2 / 100)} cm² × ${digits(inputs.faceMm)} mm, ${digits(inputs.fillerPercent)} % ${filler.name} by weight`,
					result: `${digits(faceMl)} ml, ${digits(face.total.massG)} g`
				},
				{
					what: 'Backing',
					sum: `${digits(context.cavityVolumeMl)} − ${digits(faceMl)} − ${digits(dustMl, 1)} ml`,
					result: `${digits(backingMl)} ml`
				}
			],
			warnings: [
				...(least ? [least.warning] : []),
				...rollsDust(dustG),
				...coldWarnings(sinkMm, inputs.faceMm, Boolean(inputs.recipeId))
			]
		},
		inputs,
		context
	);
	return { ...planned, dust: { name: filler.name, massG: dustG } };
}

/** More than so many times what is needed is not mixed for the sake of a scale (a default of ours). */
const MOST_OVER = 3;

/**
 * Where the face is too little for the scale, the smallest cup that it weighs within the resin's tolerance: the error of
 * a ratio goes with one over the mass.
 */
function smallestCup(
	face: ReturnType<typeof cupOf>['mixed'],
	faceMl: number,
	together: number,
	{ resin, settings }: ShotContext
): { volumeMl: number; warning: Warning } | undefined {
	const tolerance = resin.ratioTolerancePercent ?? RATIO_TOLERANCE_PERCENT;
	const times = face.ratioErrorPercent / tolerance;
	if (!(times > together)) return undefined;
	const takes = `The face takes ${digits(face.total.massG * together)} g, and a scale of ${digits(settings.scaleResolutionG)} g weighs no cup under ${digits(face.total.massG * times)} g within ${digits(tolerance)} %`;
	if (times > MOST_OVER * together)
		return {
			volumeMl: 0,
			warning: {
				code: 'smallest-cup',
				severity: 'harm',
				message: `${takes}.`,
				action: 'A finer scale, more copies at once, or the simple school: dust, and one pour.'
			}
		};
	return {
		volumeMl: faceMl * times,
		warning: {
			code: 'smallest-cup',
			message: `${takes}: at least that is mixed.`,
			action: 'What is over fills a spare mould; a finer scale, or more copies at once, wastes less.'
		}
	};
}

function powderOf(inputs: Inputs, { filler }: ShotContext): ShotFiller {
	if (!filler || !inputs.fillerId)
		throw new InputError(['fillerId'], 'Choose the metal powder for the face.');
	return filler;
}

/** The simple school: dusted, what was knocked out stirred into B with a tint, one slow pour. */
function onePour(inputs: Inputs, context: ShotContext, areaMm2: number, dustG: number): PlannedStack {
	const filler = powderOf(inputs, context);
	const dustMl = dustG / filler.densityGPerMl;
	const castMl = context.cavityVolumeMl - dustMl - insertsMl(inputs, context);
	const spareMl = inputs.sparePowderG / filler.densityGPerMl;
	if (!(castMl - spareMl > 0))
		throw new InputError(
			['sparePowderG'],
			`So much powder takes ${digits(spareMl)} ml and the piece holds ${digits(castMl)} ml.`
		);
	const density = mixedDensityGPerMl(context.resin);
	const resinG = (castMl - spareMl) * density;
	const percent = (100 * inputs.sparePowderG) / (inputs.sparePowderG + resinG);
	const { name, densityGPerMl, bulkDensityGPerMl } = filler;
	const spec: LayerSpec = {
		volumeMl: castMl,
		thicknessMm: Math.max(0.5, (castMl / areaMm2) * 1000),
		serves: 'one slow pour to a place that does not show, never down a wall: the stream washes the dust away',
		way: 'flat',
		fillers:
			percent > 0
				? [
						{
							name,
							densityGPerMl,
							...(bulkDensityGPerMl === undefined ? {} : { bulkDensityGPerMl }),
							amount: percent,
							per: 'total-mass-percent'
						}
					]
				: [],
		tinted: true
	};
	const timed = timeLayers([spec], inputs, context);
	const planned = layerShot(
		{
			kind: 'cold',
			layers: timed.layers,
			run: timed.run,
			stack: timed.stack,
			verb: 'Pour',
			balance: copyBalance({
				cavityMl: context.cavityVolumeMl,
				castMl: castMl + dustMl,
				castG: resinG + inputs.sparePowderG + dustG,
				inserts: inputs.inserts ?? []
			}),
			working: [
				dustLine(inputs, areaMm2, dustG),
				{
					what: 'One pour',
					sum: `${digits(context.cavityVolumeMl)} − ${digits(dustMl, 1)} ml, ${digits(inputs.sparePowderG)} g of ${name} in it`,
					result: `${digits(resinG + inputs.sparePowderG)} g`
				}
			],
			warnings: coldWarnings(undefined, 0, Boolean(inputs.recipeId))
		},
		inputs,
		context
	);
	return { ...planned, dust: { name, massG: dustG } };
}

const dustLine = (inputs: Inputs, areaMm2: number, dustG: number): WorkingLine => ({
	what: 'Dust on the face',
	sum: `${digits(areaMm2 / 100)} cm² × ${digits(inputs.dustGPerM2 ?? DUST_G_PER_M2)} g/m²`,
	result: `${digits(dustG, 1)} g`,
	source: 'common practice, no source'
});

/** A face that is rolled over loose dust takes it along. */
const rollsDust = (dustG: number): Warning[] =>
	dustG > 0
		? [
				{
					code: 'rolls-dust',
					message: 'The face is rolled over fresh dust: a quick turn washes it off in streaks.',
					action:
						'Let the first of it lie until it has wetted the dust, then turn slowly; or dust and pour once.'
				}
			]
		: [];

function coldWarnings(sinkMm: number | undefined, faceMm: number, tinted: boolean): Warning[] {
	return [
		...(sinkMm !== undefined && sinkMm > faceMm / 4
			? [
					{
						code: 'settles',
						// it sinks no deeper than its layer
						message:
							sinkMm >= faceMm
								? `Before gel the powder sinks through the whole face of ${digits(faceMm)} mm: upright faces stay poor, what lies below gets rich.`
								: `The powder sinks about ${digits(sinkMm, 1)} mm of ${digits(faceMm)} mm before gel: upright faces stay poor, what lies below gets rich.`,
						action: 'Turn the mould until it gels, or thicken the face a little.'
					}
				]
			: []),
		...(tinted
			? []
			: [
					{
						code: 'pale-backing',
						message: 'The backing has no colour: pale resin shines through a thin face.',
						action: 'Choose a dark recipe for it.'
					}
				]),
		{
			code: 'thin-skin',
			message: 'The metal is only a skin.',
			action: 'Buff it with fine wool; sanding goes through.'
		}
	];
}
