import { CRACK_LIMIT_C } from '../../../cure/heat';
import { mixedDensityGPerMl } from '../../../shelf/resinSums';
import { digits, formatTime } from '../../../units';
import { InputError, type Warning } from '../../../working';
import { copyBalance } from '../filled/filled';
import { LEAST_LAYER_MM, type Embed } from '../../embeds';
import type { Inputs } from '../../inputs';
import type { ShotContext } from '../../planned';
import { layerShot, MOST_LAYERS, timeLayers, type PlannedStack } from '../../layerShot';
import type { LayerSpec } from '../../layerSpec';

/** A layer left to cool has come within this of the room, °C (a default of ours). */
const COOLED_C = 6;
/** Outer sizes are measured roughly: a cast may be a little deeper than they say. */
const OUTSIDE = 1.1;
/** A light thing is held by a first layer up to this share of its height (common practice, no source). */
const HELD_SHARE = 1 / 3;

export interface ClearLayer {
	fromMm: number;
	toMm: number;
	/** Resin of the layer, without what is cast in, ml. */
	volumeMl: number;
	/** Set on it when it has gelled. */
	setsIn: string[];
	/** Set in before it: it is what holds them. */
	holds: string[];
}

/**
 * Whether a thing floats in the fresh resin, and with what force it pulls up, grams.
 * @example
 * liftG(fern, 1.11); // 0.932
 */
export function liftG(embed: Pick<Embed, 'massG' | 'volumeMl'>, densityGPerMl: number): number {
	return embed.volumeMl * densityGPerMl - embed.massG;
}

/**
 * Heights of the layers: a boundary under everything that is cast in, one more through the lower third of what
 * would float, and no layer thicker than wanted.
 * @param depthMm of the cast in the mould, mm
 * @param areaMm2 of its plan, mm²: a cast with upright walls
 * @throws InputError when a thing stands out of the resin, or a layer would hold none
 * @example
 * clearLayers(30, 2000, [fern], 15, 1.11).length; // 4
 */
export function clearLayers(
	depthMm: number,
	areaMm2: number,
	embeds: readonly Embed[],
	mostMm: number,
	densityGPerMl: number
): ClearLayer[] {
	embeds.forEach((e, i) => {
		if (e.atMm + e.heightMm > depthMm)
			throw new InputError(
				['embeds', i, 'atMm'],
				`${e.name} would stand ${digits(e.atMm + e.heightMm - depthMm)} mm out of a cast ${digits(depthMm)} mm deep.`
			);
	});
	const cuts = new Set<number>([0, depthMm]);
	for (const e of embeds) {
		cuts.add(e.atMm);
		const held = e.atMm + Math.max(LEAST_LAYER_MM / 2, e.heightMm * HELD_SHARE);
		if (liftG(e, densityGPerMl) > 0 && held < depthMm - 0.5) cuts.add(held);
	}
	const at = [...cuts].sort((a, b) => a - b);
	const layers: ClearLayer[] = [];
	for (let i = 1; i < at.length; i++) {
		const [from, to] = [at[i - 1]!, at[i]!];
		const parts = Math.max(1, Math.ceil((to - from) / mostMm - 1e-9));
		for (let k = 0; k < parts; k++) {
			const fromMm = from + ((to - from) * k) / parts;
			const toMm = from + ((to - from) * (k + 1)) / parts;
			const takenMl = embeds.reduce((sum, e) => {
				const overlap = Math.max(0, Math.min(toMm, e.atMm + e.heightMm) - Math.max(fromMm, e.atMm));
				return sum + (e.volumeMl * overlap) / e.heightMm;
			}, 0);
			const volumeMl = (areaMm2 * (toMm - fromMm)) / 1000 - takenMl;
			if (!(volumeMl > 0)) {
				throw new InputError(
					['embeds', 0, 'volumeMl'],
					`Between ${digits(fromMm)} and ${digits(toMm)} mm what is cast in takes ${digits(takenMl)} ml, more room than there is.`
				);
			}
			layers.push({
				fromMm,
				toMm,
				volumeMl,
				setsIn: embeds.filter((e) => Math.abs(e.atMm - toMm) < 1e-9).map((e) => e.name),
				holds: embeds.filter((e) => Math.abs(e.atMm - fromMm) < 1e-9).map((e) => e.name)
			});
		}
	}
	return layers;
}

interface ClearPlan {
	timed: ReturnType<typeof timeLayers>;
	mostMm: number;
	/** Each layer is left to cool before the next. */
	cooled: boolean;
}

/**
 * The fewest layers whose middle stays under the limit: one on the gel of the other first, then each left to
 * cool, since layer on gel adds heat to heat. Where none stays under it, the coolest. A typed thickness stands.
 */
function coolestPlan(
	specsFor: (mostMm: number) => LayerSpec[],
	depthMm: number,
	limitC: number,
	inputs: Inputs,
	context: ShotContext
): ClearPlan {
	const most = (n: number) => inputs.mostLayerMm ?? depthMm / n;
	const counts = inputs.mostLayerMm === undefined ? [1, 2, 3, 4, 5, 6, 8, 10, 12] : [1];
	let best: ClearPlan | undefined;
	for (const coolToC of [undefined, inputs.roomTempC + COOLED_C]) {
		// thinner layers on gel only get hotter once they follow in each other's heat
		for (const n of coolToC === undefined ? counts.slice(0, 3) : counts) {
			const specs = specsFor(most(n));
			// what lies in it cuts layers of its own
			if (best && specs.length > MOST_LAYERS) break;
			if (specs.length > 1 || coolToC === undefined) {
				const timed = timeLayers(specs, inputs, context, coolToC);
				const plan = { timed, mostMm: most(n), cooled: coolToC !== undefined && specs.length > 1 };
				if (timed.run.peakTempC <= limitC) return plan;
				if (!best || timed.run.peakTempC < best.timed.run.peakTempC) best = plan;
			}
		}
	}
	if (!best) throw new RangeError(`coolestPlan: no plan for a depth of ${depthMm} mm`);
	return best;
}

/** A cast in clear layers with things in it: heights, what they displace, gel times, and what floats. */
export function planClear(inputs: Inputs, context: ShotContext): PlannedStack {
	const embeds = inputs.embeds ?? [];
	const depthMm = inputs.depthMm ?? context.heightMm;
	if (!depthMm) throw new InputError(['depthMm'], 'Type how deep the cast is in its mould, such as 40 mm.');
	if (inputs.inserts?.length) {
		throw new InputError(
			['inserts'],
			'In a clear cast everything lies at a height: name it among what is cast in, with its place.'
		);
	}
	const { heightMm, radiusMm } = context;
	const cornerMm = heightMm && radiusMm ? Math.hypot(heightMm, 2 * radiusMm) : Infinity;
	if (depthMm > cornerMm * OUTSIDE) {
		throw new InputError(
			['depthMm'],
			`The piece measures ${digits(cornerMm)} mm from corner to corner: no cast in it is ${digits(depthMm)} mm deep.`
		);
	}
	const areaMm2 = (context.cavityVolumeMl * 1000) / depthMm;
	const density = mixedDensityGPerMl(context.resin);
	const limitC = inputs.crackLimitC ?? CRACK_LIMIT_C;
	if (limitC <= Math.max(inputs.roomTempC, inputs.startTempC)) {
		throw new InputError(
			['crackLimitC'],
			`It is poured into ${digits(Math.max(inputs.roomTempC, inputs.startTempC), 0)} °C: the middle is warmer than that however thin the layer.`
		);
	}
	const specsFor = (mostMm: number): LayerSpec[] =>
		clearLayers(depthMm, areaMm2, embeds, mostMm, density).map((l) => ({
			volumeMl: l.volumeMl,
			thicknessMm: l.toMm - l.fromMm,
			serves: l.holds.length
				? `holds ${l.holds.join(', ')}`
				: l.fromMm === 0
					? 'the face: what lies lowest is seen first'
					: l.toMm === depthMm
						? 'the back'
						: 'builds up',
			way: 'flat',
			fillers: [],
			tinted: true,
			levelMm: l.toMm,
			setsIn: l.setsIn
		}));
	const { timed, mostMm, cooled } = coolestPlan(specsFor, depthMm, limitC, inputs, context);
	const castMl = timed.layers.reduce((sum, l) => sum + l.volumeMl, 0) / (1 + inputs.lossPercent / 100);
	const balance = copyBalance({
		cavityMl: context.cavityVolumeMl,
		castMl,
		castG: castMl * density,
		inserts: embeds.map(({ name, massG, volumeMl }) => ({ name, massG, volumeMl }))
	});
	return layerShot(
		{
			kind: 'clear',
			layers: timed.layers,
			run: timed.run,
			stack: timed.stack,
			crackLimitC: limitC,
			verb: 'Pour level',
			balance,
			working: [
				{
					what: 'Plan of the cast',
					sum: `${digits(context.cavityVolumeMl)} ml ÷ ${digits(depthMm)} mm`,
					result: `${digits(areaMm2 / 100)} cm²`,
					source: 'upright walls taken'
				},
				...embeds.map((e) => {
					const lift = liftG(e, density);
					return {
						what: `${e.name} in fresh resin`,
						sum: `${digits(e.volumeMl)} ml × ${digits(density, 3)} g/ml − ${digits(e.massG)} g`,
						result: lift > 0 ? `floats, pulls up with ${digits(lift)} g` : `sinks with ${digits(-lift)} g`,
						source: 'Archimedes'
					};
				}),
				{
					what: 'Layers',
					sum: `at most ${digits(mostMm)} mm each; peak in the middle ${digits(timed.run.peakTempC, 0)} °C, limit ${digits(limitC, 0)} °C`,
					result: `${timed.layers.length}, each ${cooled ? 'on the last once it has cooled' : 'on the gel of the last'}: ${timed.layers.map((l) => formatTime(l.recoatFromS)).join(', ')}`,
					source: 'part model, layer on layer'
				}
			],
			warnings: [
				...clearWarnings(embeds, density),
				...(cooled
					? [
							{
								code: 'let-it-cool',
								message: `Layer on gel would crack it: each layer is left to cool for ${formatTime(timed.layers[0]!.recoatFromS)} or so before the next.`,
								action:
									'Cover it from dust, leave the face tacky, and do not wipe it: the next layer bonds to the tack.'
							}
						]
					: [])
			]
		},
		inputs,
		context
	);
}

function clearWarnings(embeds: readonly Embed[], density: number): Warning[] {
	const floats = embeds.filter((e) => liftG(e, density) > 0);
	return [
		...(floats.length
			? [
					{
						code: 'floats',
						message: `${floats.map((e) => e.name).join(', ')} would float in the fresh resin.`,
						action:
							'Set on the gelled layer; the next one comes only to a third of its height, and holds it once it has gelled.'
					}
				]
			: []),
		...(embeds.length
			? [
					{
						code: 'dry',
						message: 'Only dry things are cast in: moisture fogs the resin round them and lets them rot.',
						action: 'Dry them for days, seal what is porous, and wet them with resin before they are set.'
					}
				]
			: [])
	];
}
