import { z } from 'zod';
import { bPerAByWeight } from '../../../mix/ratio';
import { digits, formatTime } from '../../../units';
import { InputError, type Warning, type WorkingLine } from '../../../working';
import { tackS } from './tack';
import { roomFactor, rubberInput } from '../../block';
import { masterSizeInput, skinOfSizesMm2, type MasterSize } from '../../../master/sizes';

/** Plaster bandage as it is sold and laid (common practice, no source). */
const BANDAGE_LAYER_MM = 1;
const BANDAGE_OVERLAP = 0.3;
/** From laying a part of the shell until it may be lifted, s (common practice, no source). */
export const SHELL_SET_S = { resin: 4 * 3600, plaster: 3600, printed: 0 } as const;
/** Bands that hold a printed support together (common practice, no source). */
export const PRINTED_BANDS = 3;
/** Keys on the skin that the shell holds: one in so much area, mm² (common practice, no source). */
const AREA_PER_KEY_MM2 = 5000;
/** A half-round key of this diameter, mm. */
const KEY_MM = 20;
/** The first coat shows the face: thin and without thickener, mm (common practice, no source). */
export const PRINT_COAT_MM = 1;

const mm = (what: string, most: number) =>
	z
		.number({ error: `Type the ${what}, such as 6 mm or 1/4 in.` })
		.positive(`The ${what} must be more than nothing.`)
		.max(most, `The ${what} is over ${most} mm: check the unit.`);

/** A rubber skin brushed on in coats, held by a rigid shell in parts. */
export const jacketInput = z.strictObject({
	master: masterSizeInput,
	/** Skin that the rubber covers, without the foot; from the outer sizes when absent. */
	areaMm2: z
		.number({ error: 'Type the area to cover, such as 420 cm2, or leave it empty.' })
		.positive('The area must be more than nothing.')
		.max(1e9, 'Over a thousand square metres: check the unit.')
		.optional(),
	skinMm: mm('thickness of the skin', 60).default(8),
	coats: z
		.number({ error: 'Type how many coats, such as 4.' })
		.int('Coats are whole.')
		.min(2, 'A print coat and at least one that carries: two coats.')
		.max(12, 'Over twelve coats: pour it instead.')
		.default(4),
	/** Thickener in all coats after the first, percent of B by weight. */
	thickenerPercentOfB: z
		.number({ error: 'Type the thickener in percent of B.' })
		.min(0, 'It cannot be less than nothing.')
		.max(30, 'Over 30 % of B: look at the sheet.')
		.default(3),
	shellKind: z.enum(['resin', 'plaster', 'printed']).default('resin'),
	shellMm: mm('thickness of the shell', 100).default(6),
	shellDensityGPerMl: z.number().positive().max(5).default(1.15),
	shellParts: z
		.number({ error: 'Type 2, 3 or 4.' })
		.int('Parts are whole.')
		.min(2, 'A shell in one part does not come off.')
		.max(4, 'At most four parts are planned here.')
		.default(2),
	flangeMm: mm('width of the flange', 200).default(30),
	boltEveryMm: mm('distance between bolts', 1000).default(80),
	/** When the next coat may follow at the sheet's temperature, s; once it has gelled when its sheet gives none. */
	recoatS: z.number().positive().max(200_000).optional(),
	rubber: rubberInput,
	roomTempC: z.number().min(-20).max(60),
	lossPercent: z
		.number()
		.min(0, 'The loss cannot be less than nothing.')
		.max(50, 'Over half lost: check the loss.')
		.default(0)
});
type JacketInput = z.input<typeof jacketInput>;

/** What a jacket adds to the fields of a mould. */
export const jacketFields = {
	skinMm: jacketInput.shape.skinMm,
	coats: jacketInput.shape.coats,
	thickenerPercentOfB: jacketInput.shape.thickenerPercentOfB,
	areaMm2: jacketInput.shape.areaMm2,
	shellKind: jacketInput.shape.shellKind,
	shellMm: jacketInput.shape.shellMm,
	shellParts: jacketInput.shape.shellParts,
	flangeMm: jacketInput.shape.flangeMm,
	boltEveryMm: jacketInput.shape.boltEveryMm
};

export interface Coat {
	name: string;
	thicknessMm: number;
	massG: number;
	a: { massG: number };
	b: { massG: number };
	/** Weighed into B first. */
	thickenerG: number;
	/** Seconds after the first coat's start when it may go on. */
	startS: number;
}

export interface JacketPlan {
	areaMm2: number;
	outerAreaMm2: number;
	coats: Coat[];
	rubber: { volumeMl: number; massG: number };
	a: { massG: number };
	b: { massG: number };
	thickenerG: number;
	keys: number;
	/** Diameter of a half-round key, mm. */
	keyMm: number;
	shell: {
		/** Laid of resin or of plaster, or a printed support with a cover and a hole. */
		kind: 'resin' | 'plaster' | 'printed';
		areaMm2: number;
		/** With its flanges. */
		volumeMl: number;
		massG: number;
		/** Plaster bandage laid, with its overlap, mm²; nothing for resin. */
		bandageMm2: number;
		layers: number;
		/** Outside of the skin and both sides of the flanges, of all parts, mm². */
		faceMm2: number;
		flangeLengthMm: number;
		bolts: number;
		parts: number;
	};
	readyInS: number;
	workingTimeS: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * Volume of a layer on a rounded body: that of a ball of the same area, 4/3·π·((R + t)³ − R³), the least that
 * any body without hollows takes (Steiner's formula with Minkowski's inequality M² ≥ 4πA for its middle term).
 * @returns ml for an area in mm² and a thickness in mm
 */
export function layerVolumeMl(areaMm2: number, thicknessMm: number): number {
	const r = Math.sqrt(areaMm2 / (4 * Math.PI));
	return ((4 / 3) * Math.PI * ((r + thicknessMm) ** 3 - r ** 3)) / 1000;
}

/** Area outside such a layer, mm². */
export function areaOutsideMm2(areaMm2: number, thicknessMm: number): number {
	return 4 * Math.PI * (Math.sqrt(areaMm2 / (4 * Math.PI)) + thicknessMm) ** 2;
}

/** Length of all the joints between the parts of a shell: from the foot over the top and down. */
function jointLengthMm(m: MasterSize, growMm: number, parts: number): number {
	const widthMm = m.footprint === 'round' ? m.lengthMm : Math.min(m.lengthMm, m.widthMm);
	return parts * (m.heightMm + growMm + (widthMm + 2 * growMm) / 2);
}

/**
 * A jacket: rubber in coats by area and thickness, and the shell round it by the area outside the rubber.
 * @throws InputError when the skin is thinner than its print coat
 * @example
 * planJacket(MOULD_MODULES.jacket.calculation.example).coats.length; // 4
 */
export function planJacket(raw: JacketInput): JacketPlan {
	const input = jacketInput.parse(raw);
	const { rubber, skinMm } = input;
	// a printed support stands round the master, and the rubber is poured into the gap in one go
	const printed = input.shellKind === 'printed';
	const count = printed ? 1 : input.coats;
	if (skinMm <= PRINT_COAT_MM) {
		throw new InputError(
			['skinMm'],
			`The print coat alone is ${PRINT_COAT_MM} mm: a skin that holds wants ${digits(6)} mm or more.`
		);
	}
	const areaMm2 = input.areaMm2 ?? skinOfSizesMm2(input.master);
	const heat = roomFactor(rubber.cureKind, rubber.refTempC, input.roomTempC);
	const everyS = (input.recoatS ?? tackS(rubber.workingTimeS, rubber.cureTimeS)) / heat;
	const bPerA = bPerAByWeight(rubber.ratio, rubber.densityGPerMl, rubber.densityGPerMl);
	const keys = Math.max(4, Math.round(areaMm2 / AREA_PER_KEY_MM2));
	const keysMl = (keys * (2 / 3) * Math.PI * (KEY_MM / 2) ** 3) / 1000;
	let grownMm = 0;
	const coats = Array.from({ length: count }, (_, i): Coat => {
		const thicknessMm = printed ? skinMm : i === 0 ? PRINT_COAT_MM : (skinMm - PRINT_COAT_MM) / (count - 1);
		const volumeMl =
			layerVolumeMl(areaMm2, grownMm + thicknessMm) -
			layerVolumeMl(areaMm2, grownMm) +
			(i === count - 1 ? keysMl : 0);
		grownMm += thicknessMm;
		const massG = volumeMl * (1 + input.lossPercent / 100) * rubber.densityGPerMl;
		const a = massG / (1 + bPerA);
		return {
			name: printed ? 'Through the hole' : i === 0 ? 'Print coat' : `Coat ${i + 1}`,
			thicknessMm,
			massG,
			a: { massG: a },
			b: { massG: massG - a },
			thickenerG: i === 0 ? 0 : ((massG - a) * input.thickenerPercentOfB) / 100,
			startS: i * everyS
		};
	});
	const sum = (of: (c: Coat) => number) => coats.reduce((s, c) => s + of(c), 0);
	const massG = sum((c) => c.massG);
	const outerAreaMm2 = areaOutsideMm2(areaMm2, skinMm);
	const shell = shellOf(input, outerAreaMm2);
	const curedS = (count - 1) * everyS + rubber.cureTimeS / heat;
	const readyInS = curedS + shell.parts * SHELL_SET_S[shell.kind];
	return {
		areaMm2,
		outerAreaMm2,
		coats,
		rubber: { volumeMl: massG / rubber.densityGPerMl, massG },
		a: { massG: sum((c) => c.a.massG) },
		b: { massG: sum((c) => c.b.massG) },
		thickenerG: sum((c) => c.thickenerG),
		keys,
		keyMm: KEY_MM,
		shell,
		readyInS,
		workingTimeS: rubber.workingTimeS / heat,
		working: [
			{
				what: 'Area to cover',
				sum: input.areaMm2 ? 'of its 3D file, or as typed' : 'of its outer sizes, without the foot',
				result: `${digits(areaMm2 / 100)} cm²`
			},
			{
				what: 'Rubber skin',
				sum: `${digits(areaMm2 / 100)} cm² × ${digits(skinMm)} mm, a little more on the outside, ${keys} keys, ${digits(input.lossPercent)} % lost`,
				result: `${digits(massG)} g`,
				source: 'layer on a ball of the same area: Steiner’s formula, the least for a body without hollows'
			},
			{
				what: 'Shell',
				sum: `${digits(outerAreaMm2 / 100)} cm² × ${digits(input.shellMm)} mm + flanges ${digits(shell.flangeLengthMm)} mm long`,
				result:
					shell.kind === 'resin'
						? `${digits(shell.massG)} g`
						: shell.kind === 'printed'
							? `${digits(shell.volumeMl)} ml of print, solid`
							: `${digits(shell.bandageMm2 / 1e6, 2)} m² of bandage`
			},
			{
				what: 'Ready in',
				sum: printed
					? `cure ${formatTime(rubber.cureTimeS / heat)}`
					: `${count - 1} × ${formatTime(everyS)} between coats + cure ${formatTime(rubber.cureTimeS / heat)} + ${shell.parts} × ${formatTime(SHELL_SET_S[shell.kind])} for the shell`,
				result: formatTime(readyInS),
				source: `next coat ${input.recoatS === undefined ? 'at gel: working time and cure of its sheet, Flory’s gel point' : 'as its sheet says'}; shell times: common practice, no source`
			}
		],
		warnings:
			skinMm < 5
				? [
						{
							code: 'thin-skin',
							message: `A skin of ${digits(skinMm)} mm tears at the edges.`,
							action: 'Brush on 6 to 10 mm, more at undercuts and rims.'
						}
					]
				: []
	};
}

function shellOf(input: z.output<typeof jacketInput>, outerAreaMm2: number): JacketPlan['shell'] {
	const flangeLengthMm = jointLengthMm(input.master, input.skinMm, input.shellParts);
	// each joint has a flange on both sides
	const flangesMl = (2 * flangeLengthMm * input.flangeMm * input.shellMm) / 1000;
	const volumeMl = layerVolumeMl(outerAreaMm2, input.shellMm) + flangesMl;
	const layers = Math.max(2, Math.ceil(input.shellMm / BANDAGE_LAYER_MM - 1e-9));
	const plaster = input.shellKind === 'plaster';
	const printed = input.shellKind === 'printed';
	const faceMm2 = outerAreaMm2 + 2 * flangeLengthMm * input.flangeMm;
	return {
		kind: input.shellKind,
		areaMm2: outerAreaMm2,
		volumeMl,
		massG: plaster || printed ? 0 : volumeMl * input.shellDensityGPerMl * (1 + input.lossPercent / 100),
		bandageMm2: plaster ? faceMm2 * layers * (1 + BANDAGE_OVERLAP) : 0,
		layers: plaster ? layers : 0,
		faceMm2,
		flangeLengthMm,
		bolts: printed ? 0 : Math.max(3 * input.shellParts, Math.ceil(flangeLengthMm / input.boltEveryMm)),
		parts: input.shellParts
	};
}
