import { z } from 'zod';
import { arrhenius } from '../cure/kinetics';
import { tempC } from '../cure/cup';
import { bPerAByWeight, ratioInput } from '../mix/ratio';
import { densityGPerMl } from '../mix/mix';
import { digits, formatTime } from '../units';
import { solidVolumeMl } from '../volume/solids';
import { InputError, type Warning, type WorkingLine } from '../working';

const sizeMm = (what: string) =>
	z
		.number({ error: `Type the ${what} of the box, such as 90 mm or 3 1/2 in.` })
		.positive(`The ${what} must be more than nothing.`)
		.max(5000, `The ${what} is over 5 m: check the unit.`);

/** Inner sizes of the box or tube that is filled with rubber, mm. */
export const cavityInput = z.discriminatedUnion('shape', [
	z.strictObject({
		shape: z.literal('box'),
		lengthMm: sizeMm('length'),
		widthMm: sizeMm('width'),
		heightMm: sizeMm('height')
	}),
	z.strictObject({
		shape: z.literal('tube'),
		diameterMm: sizeMm('diameter'),
		heightMm: sizeMm('height')
	}),
	/** Rings of bricks, each with its own inside. */
	z.strictObject({
		shape: z.literal('courses'),
		heightMm: sizeMm('height'),
		courses: z
			.array(
				z.strictObject({
					lengthMm: sizeMm('length'),
					widthMm: sizeMm('width'),
					heightMm: sizeMm('height'),
					units: z.number().int().min(0)
				})
			)
			.min(1, 'Bricks are laid in at least one course.')
			.max(600, 'Over 600 courses: check the height of a brick.')
	})
]);
export type Cavity = z.infer<typeof cavityInput>;

export const rubberInput = z.strictObject({
	densityGPerMl: densityGPerMl('the rubber'),
	ratio: ratioInput,
	workingTimeS: z
		.number({ error: 'Type the working time of the rubber, such as 30 min.' })
		.positive('The working time must be more than nothing.')
		.max(1e6),
	cureTimeS: z
		.number({ error: 'Type the cure time of the rubber, such as 4 h.' })
		.positive('The cure time must be more than nothing.')
		.max(2e6),
	refTempC: tempC('the temperature of the sheet').default(23),
	cureKind: z.enum(['addition', 'condensation']).default('addition')
});

/**
 * Inside of a box, a tube or rings of bricks, ml.
 * @example
 * cavityVolumeMl({ shape: 'box', lengthMm: 60, widthMm: 60, heightMm: 50 }); // 180
 */
export function cavityVolumeMl(cavity: Cavity): number {
	if (cavity.shape !== 'courses') return solidVolumeMl(cavity);
	return cavity.courses.reduce((sum, c) => sum + (c.lengthMm * c.widthMm * c.heightMm) / 1000, 0);
}

/** A block of rubber round a master. */
export const mouldBlockInput = z.strictObject({
	cavity: cavityInput,
	masterVolumeMl: z
		.number({ error: 'Type the volume of the master, such as 85 ml.' })
		.min(0, 'The master cannot be less than nothing.')
		.max(1e6, 'A master over a cubic metre: check the unit.'),
	rubber: rubberInput,
	roomTempC: tempC('the temperature of the room'),
	lossPercent: z
		.number()
		.min(0, 'The loss cannot be less than nothing.')
		.max(50, 'Over half lost in the cup: check the loss.')
		.default(0)
});
type MouldBlockInput = z.input<typeof mouldBlockInput>;

/** A degassing vessel holds the mass risen to this many times its volume (common practice, no source). */
export const DEGAS_RISE = 5;

export interface MouldBlockResult {
	/** Inside of the box, ml. */
	grossVolumeMl: number;
	/** Rubber that stays in the box, ml. */
	netVolumeMl: number;
	/** Rubber to mix, what stays in the cup included. */
	rubber: { volumeMl: number; massG: number };
	a: { massG: number };
	b: { massG: number };
	degasVesselMl: number;
	readyInS: number;
	workingTimeS: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * Rubber for a one-piece block: inside of the box less the master, by weight, with what stays in the cup.
 * Addition (platinum) cure follows the room's temperature (about a factor two in 10 °C); condensation (tin) cure is
 * slowed by cold and not hurried by heat.
 * @throws InputError when the master does not fit its cavity.
 * @example
 * mouldBlock({
 *   cavity: { shape: 'box', lengthMm: 60, widthMm: 60, heightMm: 50 },
 *   masterVolumeMl: 64,
 *   rubber: rubberForBlock(blue),
 *   lossPercent: 0,
 *   roomTempC: 23
 * }).rubber; // { volumeMl: 116, massG: 127.6 }
 */
export function mouldBlock(raw: MouldBlockInput): MouldBlockResult {
	const input = mouldBlockInput.parse(raw);
	const { rubber } = input;
	const grossVolumeMl = cavityVolumeMl(input.cavity);
	if (input.masterVolumeMl >= grossVolumeMl) {
		throw new InputError(
			['masterVolumeMl'],
			`A master of ${digits(input.masterVolumeMl)} ml does not fit a cavity of ${digits(grossVolumeMl)} ml: the box must be larger.`
		);
	}
	if (rubber.ratio.b === 0) {
		throw new InputError(['rubber', 'ratio', 'b'], 'A mould rubber has two parts: type the parts of B.');
	}
	const netVolumeMl = grossVolumeMl - input.masterVolumeMl;
	const volumeMl = netVolumeMl * (1 + input.lossPercent / 100);
	const massG = volumeMl * rubber.densityGPerMl;
	// a rubber's sheet gives one density; by volume the parts are taken to be alike
	const bPerA = bPerAByWeight(rubber.ratio, rubber.densityGPerMl, rubber.densityGPerMl);
	const a = { massG: massG / (1 + bPerA) };
	const b = { massG: massG - a.massG };
	const heat = roomFactor(rubber.cureKind, rubber.refTempC, input.roomTempC);
	const readyInS = rubber.cureTimeS / heat;
	return {
		grossVolumeMl,
		netVolumeMl,
		rubber: { volumeMl, massG },
		a,
		b,
		degasVesselMl: DEGAS_RISE * volumeMl,
		readyInS,
		workingTimeS: rubber.workingTimeS / heat,
		working: [
			{ what: 'Inside of the box', sum: cavitySum(input.cavity), result: `${digits(grossVolumeMl)} ml` },
			{
				what: 'Rubber in the box',
				sum: `${digits(grossVolumeMl)} − ${digits(input.masterVolumeMl)} ml of master`,
				result: `${digits(netVolumeMl)} ml`
			},
			{
				what: 'Rubber to mix',
				sum: `${digits(netVolumeMl)} ml × ${digits(1 + input.lossPercent / 100)} × ${digits(rubber.densityGPerMl, 3)} g/ml`,
				result: `${digits(massG)} g`,
				source: `${digits(input.lossPercent)} % stays in the cup`
			},
			{
				what: 'A and B',
				sum: `${digits(rubber.ratio.a)} : ${digits(rubber.ratio.b)} by ${rubber.ratio.by}`,
				result: `A ${digits(100 / (1 + bPerA))} %, B the rest`
			},
			{
				what: 'Degassing vessel',
				sum: `${DEGAS_RISE} × ${digits(volumeMl)} ml`,
				result: `${digits(DEGAS_RISE * volumeMl)} ml`,
				source: 'rises to 4–5 times its volume: common practice, no source'
			},
			{
				what: 'Ready in',
				sum:
					rubber.cureKind === 'addition'
						? `${formatTime(rubber.cureTimeS)} ÷ ${digits(heat)} for ${digits(input.roomTempC)} °C against ${digits(rubber.refTempC)} °C`
						: heat < 1
							? `${formatTime(rubber.cureTimeS)} ÷ ${digits(heat)}: cold slows a condensation cure`
							: `${formatTime(rubber.cureTimeS)}: heat does not hurry a condensation cure`,
				result: formatTime(readyInS),
				source: `sheet; Arrhenius, ${SILICONE_KJ_PER_MOL[rubber.cureKind]} kJ/mol is a default`
			}
		],
		warnings: []
	};
}

/** Activation energies of silicone's two cures, kJ/mol (from memory). */
const SILICONE_KJ_PER_MOL = { addition: 60, condensation: 25 } as const;

/**
 * How much faster a rubber cures in this room than on its sheet. A condensation cure wants moisture and chemistry: it is
 * slower in the cold, and warmth past its sheet does not hurry it (common practice, no source).
 */
export function roomFactor(kind: 'addition' | 'condensation', refC: number, roomC: number): number {
	const ea = SILICONE_KJ_PER_MOL[kind] * 1000;
	const factor = arrhenius(ea, roomC) / arrhenius(ea, refC);
	return kind === 'condensation' ? Math.min(1, factor) : factor;
}

function cavitySum(cavity: Cavity): string {
	if (cavity.shape === 'courses') return `${cavity.courses.length} courses of bricks, each by its own inside`;
	return cavity.shape === 'box'
		? `${digits(cavity.lengthMm)} × ${digits(cavity.widthMm)} × ${digits(cavity.heightMm)} mm`
		: `π ÷ 4 × ${digits(cavity.diameterMm)}² × ${digits(cavity.heightMm)} mm`;
}
