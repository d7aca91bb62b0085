import { z } from 'zod';
import { calibrate } from '../../../cure/calibrate';
import { tempC } from '../../../cure/cup';
import { RECOAT_CONVERSION } from '../../../cure/forecast';
import { solveLayered, type LayerRun } from '../../../cure/layered';
import { cureRecord, fillerMixInput, type FillerMix } from '../../../cure/record';
import { readyOf, type Ready } from '../../../cure/ripening';
import { WALL_KINDS, WALLS } from '../../../cure/wall';
import { carriedFilmMm, curingViscosity, keptFilmMm, lockingViscosityMpaS } from '../../../flow/film';
import { viscosityAt } from '../../../mix/viscosityAt';
import { digits, formatTime } from '../../../units';
import { RECOAT_SCHOOLS, TURNS_WANTED } from './schools';
import { InputError, type Warning, type WorkingLine } from '../../../working';

/** A layer that keeps the detail and the shape is about this thick at most, mm (common practice, no source). */
const USUAL_LAYER_MM = 1.2;
/** Rim round an opening, mm (¼ in: common practice, no source). */
export const RIM_MM = 6;

export const rotocastInput = z.strictObject({
	resin: cureRecord,
	areaMm2: z
		.number({ error: 'Type the skin to cover, such as 420 cm2.' })
		.positive('The skin must have an area.')
		.max(1e9, 'Over a thousand square metres: check the unit.'),
	wallMm: z
		.number({ error: 'Type the wall, such as 4 mm.' })
		.min(0.3, 'Under 0.3 mm nothing holds: check the unit.')
		.max(60, 'Over 60 mm: pour it solid, or check the unit.'),
	layers: z
		.number({ error: 'Type how many layers, or leave it empty.' })
		.int('Layers are whole.')
		.min(1, 'At least one layer.')
		.max(20, 'Over twenty layers: thicker ones.')
		.optional(),
	densityGPerMl: z.number().positive('The density must be more than nothing.').max(10),
	/** Of the fresh mix at 23 °C. */
	viscosityMpaS: z
		.number({ error: 'Type the viscosity, such as 150 mPas.' })
		.positive('The viscosity must be more than nothing.')
		.max(1e7, 'Over 10 000 Pa·s it does not flow: check the unit.'),
	rimLengthMm: z.number().min(0, 'The rim cannot be shorter than nothing.').max(1e5).default(0),
	/** Height of the rim as it stays. */
	rimMm: z
		.number({ error: 'Type how high the rim is, such as 6 mm.' })
		.min(0, 'The rim is no lower than nothing.')
		.max(300, 'A rim over 300 mm: check the unit.')
		.default(RIM_MM),
	/** Its thickness, thicker or thinner than the wall; as its height unless said. */
	rimThickMm: z
		.number({ error: 'Type how thick the rim is, such as 6 mm, or leave it empty.' })
		.min(0.3, 'Under 0.3 mm nothing holds: check the unit.')
		.max(100, 'A rim over 100 mm thick: check the unit.')
		.optional(),
	/** Cut off above it afterwards. */
	trimMm: z
		.number({ error: 'Type what is cut off the rim, such as 6 mm, or 0.' })
		.min(0, 'No less than nothing is cut off.')
		.max(300, 'Over 300 mm cut off: check the unit.')
		.default(0),
	/** Layers that differ, the first on the face first; without them they are alike. */
	rows: z
		.array(
			z.strictObject({
				/** Part of the skin that it covers, and its thickness there. */
				cover: z.number().positive().max(1).default(1),
				thicknessMm: z.number().positive().max(200, 'A layer over 200 mm: check the amounts.'),
				densityGPerMl: z.number().positive().max(20).optional(),
				fillerMix: fillerMixInput.optional(),
				rim: z.boolean().optional()
			})
		)
		.min(1)
		.max(20, 'Over twenty layers: thicker ones.')
		.optional(),
	turnS: z
		.number({ error: 'Type how long one turn takes, such as 12 s.' })
		.min(0.5, 'Over two turns a second it is flung: check the unit.')
		.max(600, 'Over ten minutes a turn: check the unit.')
		.default(12),
	radiusMm: z.number().positive('The radius must be more than nothing.').max(5000).default(40),
	/** Upright height that drains when it is left, mm. */
	drainMm: z.number().positive().max(10_000).default(100),
	roomTempC: tempC('the temperature of the room'),
	mouldTempC: tempC('the temperature of the mould'),
	startTempC: tempC('the temperature of the resin').optional(),
	mouldWallMm: z
		.number({ error: 'Type the wall of the mould, such as 12 mm.' })
		.min(0.5, 'A mould wall is at least 0.5 mm.')
		.max(500, 'A mould wall over 500 mm: check the unit.'),
	/** What the wall is made of. */
	wall: z.enum(WALL_KINDS).default('silicone'),
	/** From combining until it is poured, s. */
	mixS: z.number().min(0, 'Mixing takes no less than no time.').max(36_000).default(45),
	school: z.enum(['kicking', 'gel', 'hard']).default('gel'),
	/** Stays in the cup, percent of each layer. */
	lossPercent: z
		.number()
		.min(0, 'The loss cannot be less than nothing.')
		.max(100, 'Over as much again lost.')
		.default(0)
});
export type RotocastInput = z.input<typeof rotocastInput>;
type Parsed = z.output<typeof rotocastInput>;

export interface RotocastLayer {
	massG: number;
	volumeMl: number;
	thicknessMm: number;
	/** All clocks in seconds after the first layer was poured. */
	startS: number;
	/** Thick enough to be carried round and stay. */
	lockS: number;
	gelS: number;
	recoatFromS: number;
	recoatUntilS: number;
	/** Turns between locking and gel. */
	turns: number;
	/** What it is for. */
	serves: string;
	/** Times thicker it should be to stay on an upright wall while it drains; 1 when it does. */
	thicken: number;
	/** Left standing it runs down before it gels; what keeps the rim up is said, never mixed in unasked. */
	sags: boolean;
}

export interface Rotocast extends Ready {
	layers: RotocastLayer[];
	totalMassG: number;
	totalVolumeMl: number;
	rimVolumeMl: number;
	peakTempC: number;
	peakMouldFaceC: number;
	/** Thickest layer that this resin carries for the turns wanted, mm. */
	thickestMm: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/** Viscosity of a layer along its course, mPa·s. */
function viscosityCourse(layer: LayerRun, input: Pick<Parsed, 'viscosityMpaS'>, gelConversion: number) {
	return layer.course.map(({ timeS, conversion, tempC: at }) => ({
		timeS,
		mpaS: curingViscosity(
			viscosityAt([{ tempC: 23, viscosityMpaS: input.viscosityMpaS }], at),
			conversion,
			gelConversion
		)
	}));
}

/** When a course passes a viscosity, by straight lines between its points, s. */
function passes(course: readonly { timeS: number; mpaS: number }[], mpaS: number): number {
	const i = course.findIndex((p) => p.mpaS >= mpaS);
	if (i < 0) return course[course.length - 1]!.timeS;
	const [b, a] = [course[i]!, course[i - 1]];
	if (!a || !Number.isFinite(b.mpaS)) return b.timeS;
	return a.timeS + ((b.timeS - a.timeS) * (mpaS - a.mpaS)) / (b.mpaS - a.mpaS);
}

/** ∫dt/μ over a course, s/(mPa·s), by the trapezium rule. */
function fluidity(course: readonly { timeS: number; mpaS: number }[]): number {
	let sum = 0;
	for (let i = 1; i < course.length; i++) {
		const [a, b] = [course[i - 1]!, course[i]!];
		sum += ((b.timeS - a.timeS) * (1 / a.mpaS + 1 / b.mpaS)) / 2;
	}
	return Math.max(sum, 1e-12);
}

/**
 * A hollow cast in rolled layers: mass, rolling time and recoat window of each, the mould warming from one to
 * the next. Film carried by a turning wall after Moffatt, film kept on a standing wall after Jeffreys,
 * viscosity to gel after Castro & Macosko; layers one on another in the part model.
 * @throws ZodError out of range; InputError when it would not be firm within sixty days
 * @example
 * rotocast({
 *   resin: { potLifeS: 150, demouldS: 900, character: 'gradual' },
 *   areaMm2: 42_000,
 *   wallMm: 4,
 *   densityGPerMl: 1.05,
 *   viscosityMpaS: 150,
 *   roomTempC: 23,
 *   mouldTempC: 23,
 *   mouldWallMm: 12
 * }).layers.length; // 4
 */
export function rotocast(raw: RotocastInput): Rotocast {
	const input = rotocastInput.parse(raw);
	const model = calibrate(raw.resin);
	const school = RECOAT_SCHOOLS[input.school];
	const recoatUntil = Math.max(raw.resin.recoatConversion ?? RECOAT_CONVERSION, model.gelConversion + 0.01);
	const run = (layersMm: number[], fillerMix?: (FillerMix | undefined)[]) =>
		solveLayered(model, {
			layersMm,
			...(fillerMix ? { fillerMix } : {}),
			mouldWallMm: input.mouldWallMm,
			wall: WALLS[input.wall],
			startTempC: input.startTempC ?? input.roomTempC,
			mouldTempC: input.mouldTempC,
			roomTempC: input.roomTempC,
			mixS: input.mixS,
			nextAt: Math.min(model.gelConversion * school.of, recoatUntil - 0.005),
			recoatUntil
		});
	const thickestMm = thickest(
		run([Math.min(input.wallMm, USUAL_LAYER_MM)]).layers[0]!,
		input,
		model.gelConversion
	);
	const rows = input.rows ?? alike(input, thickestMm);
	const count = rows.length;
	// what lies beside one another does not lie on one another: heat goes through the mean of it
	const solved = run(
		rows.map((r) => r.thicknessMm * r.cover),
		rows.map((r) => r.fillerMix)
	);
	if (!Number.isFinite(solved.demouldS))
		throw new InputError(['roomTempC'], 'At this temperature the wall is not firm within sixty days.');
	const wallMm = rows.reduce((sum, r) => sum + r.thicknessMm * r.cover, 0);
	const rimVolumeMl = rimMl(input, wallMm);
	const rimAt = rows.findLastIndex((r) => r.rim);
	const layers = solved.layers.map((l, i): RotocastLayer => {
		const { thicknessMm, cover, fillerMix, densityGPerMl = input.densityGPerMl } = rows[i]!;
		const locking = lockingViscosityMpaS(thicknessMm, densityGPerMl, input.turnS, input.radiusMm);
		const viscosityMpaS = input.viscosityMpaS * (fillerMix?.viscosityFactor ?? 1);
		const course = viscosityCourse(l, { viscosityMpaS }, model.gelConversion);
		const last = i === count - 1;
		const volumeMl =
			((input.areaMm2 * cover * thicknessMm) / 1000 +
				(i === (rimAt < 0 ? count - 1 : rimAt) ? rimVolumeMl : 0)) *
			(1 + input.lossPercent / 100);
		// kept moving as long as it would run without its filler: set down at once, a thick mix creeps all the longer
		const plain = viscosityCourse(l, input, model.gelConversion);
		const lockS = Math.min(passes(plain, locking), l.gelFirstS);
		// rolled until it is carried, then left upside down to drain: only the last one has to stay by itself
		const kept = keptFilmMm(input.drainMm, densityGPerMl, fluidity(course.filter((p) => p.timeS >= lockS)));
		const thicken = last && count > 1 ? Math.max(1, (thicknessMm / kept) ** 2) : 1;
		return {
			massG: volumeMl * densityGPerMl,
			volumeMl,
			thicknessMm,
			startS: l.startS,
			lockS,
			gelS: l.gelLastS,
			recoatFromS: l.recoatFromS,
			recoatUntilS: l.recoatUntilS,
			turns: Math.max(0, l.gelFirstS - lockS) / input.turnS,
			serves: serves(i, count),
			thicken,
			sags: thicken > 1
		};
	});
	const first = layers[0]!;
	const locking = lockingViscosityMpaS(first.thicknessMm, input.densityGPerMl, input.turnS, input.radiusMm);
	const totalVolumeMl = layers.reduce((s, l) => s + l.volumeMl, 0);
	return {
		layers,
		totalMassG: layers.reduce((sum, l) => sum + l.massG, 0),
		totalVolumeMl,
		rimVolumeMl,
		...readyOf(solved),
		peakTempC: solved.peakTempC,
		peakMouldFaceC: solved.peakMouldFaceC,
		thickestMm,
		working: workingOf(input, layers, locking, thickestMm, rimVolumeMl),
		warnings: warningsOf(input, layers, model.warnings)
	};
}

/** As many layers alike as the wall needs, each no thicker than this resin carries. */
function alike(input: Parsed, thickestMm: number): NonNullable<Parsed['rows']> {
	const count =
		input.layers ??
		Math.min(
			20,
			Math.max(1, Math.ceil(input.wallMm / Math.min(USUAL_LAYER_MM, Math.max(0.2, thickestMm)) - 1e-9))
		);
	return Array.from({ length: count }, () => ({ cover: 1, thicknessMm: input.wallMm / count }));
}

/** What the rim takes beside the wall, with what is cut off it, ml. */
function rimMl(input: Parsed, wallMm: number): number {
	const thickMm = input.rimThickMm ?? input.rimMm;
	const staysMm2 = input.rimMm * Math.max(0, thickMm - wallMm);
	return (input.rimLengthMm * (staysMm2 + input.trimMm * Math.max(thickMm, wallMm))) / 1000;
}

function serves(i: number, count: number): string {
	if (i === 0) return count === 1 ? 'the whole wall' : 'detail: it must reach everywhere';
	if (i === count - 1) return 'drained upside down: evens wall and rim';
	return 'steered to thin places and edges';
}

/** Film that is still carried when the turns wanted are left before gel, mm. */
function thickest(layer: LayerRun, input: Parsed, gelConversion: number): number {
	const untilS = layer.gelFirstS - TURNS_WANTED * input.turnS;
	const course = viscosityCourse(layer, input, gelConversion);
	const at = [...course].reverse().find((p) => p.timeS <= untilS && Number.isFinite(p.mpaS));
	return at ? carriedFilmMm(at.mpaS, input.densityGPerMl, input.turnS, input.radiusMm) : 0;
}

function workingOf(
	input: Parsed,
	layers: readonly RotocastLayer[],
	locking: number,
	thickestMm: number,
	rimVolumeMl: number
): WorkingLine[] {
	const first = layers[0]!;
	return [
		{
			what: 'One layer',
			sum: `${digits(input.areaMm2 / 100)} cm² × ${digits(first.thicknessMm)} mm × ${digits(input.densityGPerMl, 3)} g/ml, ${digits(input.lossPercent)} % lost`,
			result: `${digits(first.massG)} g`
		},
		...(rimVolumeMl > 0
			? [
					{
						what: 'Rim, with the last layer',
						sum: `${digits(input.rimLengthMm)} × ${digits(input.rimMm)} × (${digits(input.rimThickMm ?? input.rimMm)} − ${digits(input.wallMm)}) mm${input.trimMm > 0 ? `, and ${digits(input.trimMm)} mm to be cut off` : ''}`,
						result: `${digits(rimVolumeMl)} ml`
					}
				]
			: []),
		{
			what: 'Carried round from',
			sum: `ρ·g·h² ÷ (0.497·ω·R), h ${digits(first.thicknessMm)} mm, a turn in ${digits(input.turnS)} s, R ${digits(input.radiusMm)} mm`,
			result: `${digits(locking, 0)} mPa·s, ${formatTime(first.lockS)} after it was poured`,
			source: 'Moffatt 1977; viscosity to gel by Castro & Macosko 1982'
		},
		{
			what: 'Turns before it gels',
			sum: `${formatTime(first.gelS)} − ${formatTime(first.lockS)}, a turn in ${digits(input.turnS)} s`,
			result: `${digits(first.turns, 1)}; thickest layer for ${TURNS_WANTED} turns ${digits(thickestMm)} mm`
		},
		{
			what: 'Layers',
			sum: layers.map((l) => formatTime(l.gelS - l.startS)).join(', '),
			result: 'each gels after its pour',
			source: 'part model, layer on layer: the mould warms'
		}
	];
}

function warningsOf(input: Parsed, layers: readonly RotocastLayer[], more: readonly Warning[]): Warning[] {
	const warnings: Warning[] = [...more];
	const worst = layers.reduce((least, l) => (l.turns < least.turns ? l : least));
	if (worst.turns < TURNS_WANTED) {
		warnings.push({
			code: 'puddle',
			message: `It sets within ${digits(worst.turns, 1)} turns of being thick enough to stay: it tends to set as a puddle.`,
			action: `A gradual resin, thinner layers, a cooler mould or quicker turns; ${TURNS_WANTED} turns make an even layer. Quick hands may go on.`
		});
	}
	const sagging = layers.at(-1)!;
	if (sagging.sags) {
		warnings.push({
			code: 'sags',
			message: `Left standing the last layer will sag: an upright wall keeps it only in a mix ${digits(sagging.thicken, 1)} times as thick.`,
			action: 'Drain it upside down, which evens the rim, or thicken that layer.'
		});
	}
	const late = layers.slice(0, -1).find((l, i) => layers[i + 1]!.startS > l.recoatUntilS);
	if (late) {
		warnings.push({
			code: 'recoat-late',
			message: 'The next layer comes when the last is too far cured: it may peel off.',
			action: 'Pour it earlier: at gel.'
		});
	}
	return warnings;
}
