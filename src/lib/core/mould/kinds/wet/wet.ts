import { z } from 'zod';
import { plasterParts, WATER_PER_PLASTER } from '../../../mix/plaster';
import { masterSizeInput } from '../../../master/sizes';
import { CASTABLE_USUAL } from '../../../shelf/castable';
import { digits, formatTime } from '../../../units';
import { InputError, type Warning, type WorkingLine } from '../../../working';
import { cavityVolumeMl, type Cavity } from '../../block';
import { blockPlanInput, cavityFor } from '../../boxedBlock';

/** The water that a tin's times are told for, °C (common practice, no source). */
const TIN_WATER_C = 20;
/**
 * Warmer water by so much halves the time to set, °C: about a minute less of three and a half in 10 °C (a
 * textbook rule for dental impressions, from memory).
 */
const HALVING_C = 20;
/** Wetting and stirring the powder without lumps, s (common practice, no source). */
export const WET_STIR_S = 60;

const seconds = (what: string, example: string) =>
	z
		.number({ error: `Type ${what}, such as ${example}.` })
		.min(20, 'Under 20 s: check the unit.')
		.max(7200, 'Over two hours: check the unit.');

/** What a wet mould adds to the fields of a mould. */
export const wetFields = {
	/** Water to one of powder, by weight, as its tin says. */
	waterPerPowder: z
		.number({ error: 'Type the water to one of powder by weight, such as 2.' })
		.min(0.5, 'Under half of water to one of powder: check which is which.')
		.max(10, 'Over ten of water to one of powder: check it.')
		.default(2),
	/** How long it is workable with water of 20 °C, s. */
	wetWorkS: seconds('how long it is workable', '2 min').default(120),
	/** When it has set with water of 20 °C, s. */
	wetSetS: seconds('when it has set', '4 min').default(240),
	waterTempC: z
		.number({ error: 'Type how warm the water is, such as 20 C.' })
		.min(1, 'Water, not ice: 1 °C or more.')
		.max(45, 'Over 45 °C it sets in the bowl: take cooler water.')
		.default(TIN_WATER_C),
	/** How long after setting it still holds its size, s. */
	wetUsableS: z
		.number({ error: 'Type within which time it is cast, such as 1 h.' })
		.min(60, 'Under a minute: check the unit.')
		.max(86_400, 'It has shrunk long before a day is over.')
		.default(3600),
	/** What goes into it. */
	wetCast: z
		.enum(['plaster', 'wax'], { error: 'Plaster or wax: urethane foams on its water.' })
		.default('plaster'),
	/** Water to one of plaster, by weight, as its bag says. */
	waterPerPlaster: z
		.number({ error: 'Type the water to one of plaster by weight, such as 0.6.' })
		.min(0.2, 'Under 0.2 it does not stir: check the ratio.')
		.max(2, 'Over 2 it does not set hard: check the ratio.')
		.default(WATER_PER_PLASTER)
};

/** A wet, short-lived mould round a master in a box or a tube. */
export const wetInput = z.strictObject({
	master: masterSizeInput,
	masterVolumeMl: blockPlanInput.shape.masterVolumeMl,
	shape: z.enum(['box', 'tube']),
	clearanceMm: blockPlanInput.shape.clearanceMm,
	coverMm: blockPlanInput.shape.coverMm,
	lossPercent: blockPlanInput.shape.lossPercent,
	/** Density of the set gel, g/ml (from memory). */
	mixDensityGPerMl: z.number().min(0.9).max(1.5).default(1.1),
	...wetFields
});
export type WetInput = z.input<typeof wetInput>;

export interface WetPlan {
	cavity: Cavity;
	grossVolumeMl: number;
	netVolumeMl: number;
	mix: { volumeMl: number; massG: number };
	powder: { massG: number };
	water: { massG: number };
	workS: number;
	setS: number;
	usableS: number;
	/** Casts that it stands. */
	pulls: number;
	/** What one cast of it takes. */
	cast: { volumeMl: number; massG: number; powderG?: number; waterG?: number };
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * How much longer it takes with water of this temperature than the tin says, above 0.
 * @example
 * waterFactor(40); // 0.5
 */
export const waterFactor = (waterTempC: number): number => 2 ** ((TIN_WATER_C - waterTempC) / HALVING_C);

/**
 * Powder and water for a wet mould, how long it is workable with water of this temperature, within what time
 * it is cast, and what goes into it.
 * @throws InputError when the master does not fit its box
 */
export function planWet(raw: WetInput): WetPlan {
	const input = wetInput.parse(raw);
	const cavity = cavityFor(input.master, input.shape, input.clearanceMm, input.coverMm);
	const grossVolumeMl = cavityVolumeMl(cavity);
	const netVolumeMl = grossVolumeMl - input.masterVolumeMl;
	if (!(netVolumeMl > 0))
		throw new InputError(['masterVolumeMl'], 'The master fills its box: give it more clearance.');
	const volumeMl = netVolumeMl * (1 + input.lossPercent / 100);
	const massG = volumeMl * input.mixDensityGPerMl;
	const powderG = massG / (1 + input.waterPerPowder);
	const factor = waterFactor(input.waterTempC);
	const [workS, setS] = [input.wetWorkS * factor, input.wetSetS * factor];
	return {
		cavity,
		grossVolumeMl,
		netVolumeMl,
		mix: { volumeMl, massG },
		powder: { massG: powderG },
		water: { massG: massG - powderG },
		workS,
		setS,
		usableS: input.wetUsableS,
		pulls: 2,
		cast: castOf(input),
		working: working(input, grossVolumeMl, volumeMl, massG, setS),
		warnings: warningsOf(input, workS)
	};
}

/** What one cast takes: plaster with its water, or wax. */
function castOf({ masterVolumeMl: volumeMl, wetCast, waterPerPlaster }: z.output<typeof wetInput>) {
	if (wetCast === 'wax') return { volumeMl, massG: volumeMl * CASTABLE_USUAL.wax.densityGPerMl };
	const { powderG, waterG } = plasterParts(volumeMl, waterPerPlaster);
	return { volumeMl, massG: powderG + waterG, powderG, waterG };
}

function warningsOf(input: z.output<typeof wetInput>, workS: number): Warning[] {
	const warnings: Warning[] = [
		{
			code: 'wet-shrinks',
			message: `It loses water and shrinks: cast in it within ${formatTime(input.wetUsableS)}, under a damp cloth until then.`,
			action:
				'A size that matters is cast at once; for more copies make a mould of rubber from the first cast.'
		}
	];
	if (workS < WET_STIR_S + 30) {
		const coolC = TIN_WATER_C - HALVING_C * Math.log2((WET_STIR_S + 30) / input.wetWorkS);
		warnings.push({
			code: 'wet-too-fast',
			message: `With this water it is workable for ${formatTime(workS)}: stirring alone takes ${formatTime(WET_STIR_S)}.`,
			action:
				coolC >= 1
					? `Take water of ${digits(Math.floor(coolC), 0)} °C or colder.`
					: 'Even ice water leaves no time to pour: take a slower powder.'
		});
	}
	if (input.wetSetS < input.wetWorkS)
		throw new InputError(['wetSetS'], 'It has set after it was workable: check both times of the tin.');
	return warnings;
}

function working(
	input: z.output<typeof wetInput>,
	grossMl: number,
	volumeMl: number,
	massG: number,
	setS: number
): WorkingLine[] {
	return [
		{
			what: 'Mix in the box',
			sum: `(${digits(grossMl)} − ${digits(input.masterVolumeMl)} ml of master) × ${digits(1 + input.lossPercent / 100)}`,
			result: `${digits(volumeMl)} ml, ${digits(massG)} g`,
			source: `${digits(input.mixDensityGPerMl, 2)} g/ml: from memory`
		},
		{
			what: 'Powder and water',
			sum: `${digits(massG)} g ÷ (1 + ${digits(input.waterPerPowder)})`,
			result: `${digits(massG / (1 + input.waterPerPowder))} g of powder`
		},
		{
			what: 'Sets in',
			sum: `${formatTime(input.wetSetS)} × 2^((${TIN_WATER_C} − ${digits(input.waterTempC)} °C) ÷ ${HALVING_C})`,
			result: formatTime(setS),
			source: 'half the time in water 20 °C warmer: a textbook rule, from memory; a test cup says it better'
		}
	];
}
