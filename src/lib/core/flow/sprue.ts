import { z } from 'zod';
import { digits, formatTime } from '../units';
import type { Warning, WorkingLine } from '../working';

const GRAVITY_M_PER_S2 = 9.80665;
/** Above this Reynolds number a pipe's flow is no longer laminar (common textbook limit). */
const LAMINAR_RE = 2000;
/** Share of the remaining time that filling may take before another way is proposed. */
const FILL_SHARE = 0.5;

const length = (what: string, most: number) =>
	z
		.number({ error: `Type the ${what}, such as 8 mm.` })
		.min(0.2, `The ${what} is under 0.2 mm: check the unit.`)
		.max(most, `The ${what} is over ${most} mm: check the unit.`);

/** A cavity that is filled through a sprue by the resin's own weight. */
export const sprueInput = z.strictObject({
	volumeMl: z
		.number({ error: 'Type the volume that runs through the sprue.' })
		.positive('The volume must be more than nothing.')
		.max(1e6, 'Over a cubic metre: check the unit.'),
	diameterMm: length('diameter of the sprue', 200),
	lengthMm: length('length of the sprue', 2000),
	/** Resin above the sprue's lower end, mm; the sprue's own length unless a funnel stands on it. */
	headMm: length('height of resin above', 3000).optional(),
	viscosityMpaS: z
		.number({ error: 'Type the viscosity, such as 150 mPas.' })
		.min(0.1, 'Thinner than any liquid here: check the unit.')
		.max(1e7, 'Over ten thousand Pa·s: check the unit.'),
	densityGPerMl: z
		.number({ error: 'Type the density, such as 1.05 g/ml.' })
		.min(0.1, 'Under 0.1 g/ml: check the unit.')
		.max(20, 'Over 20 g/ml: check the unit.'),
	/** Time that is left when pouring begins: pot life less mixing, s. */
	remainingS: z
		.number({ error: 'Type the time that is left for pouring, such as 1:30.' })
		.positive('No time is left for pouring.')
		.max(1e6, 'Over eleven days: check the unit.')
		.optional()
});
export type SprueInput = z.input<typeof sprueInput>;

export interface SprueResult {
	/** Time to run through, s. */
	fillS: number;
	flowMlPerS: number;
	reynolds: number;
	/** Volume of the sprue itself, ml. */
	sprueVolumeMl: number;
	/** Diameter that fills in half of the time that is left, mm; only when this one does not. */
	neededDiameterMm?: number;
	working: WorkingLine[];
	warnings: Warning[];
}

/**
 * How long a cavity takes to fill through a round sprue by gravity. The head is shared between friction and speed,
 * ρ·g·h = 8·μ·L·v/r² + ρ·v²: Hagen–Poiseuille and the exit loss of a laminar stream, one quadratic in v. The width
 * that would do is solved from the same law.
 * @throws ZodError when the input is outside its schema.
 * @example
 * sprue({ volumeMl: 120, diameterMm: 8, lengthMm: 25, viscosityMpaS: 150, densityGPerMl: 1.06 }).fillS; // 18.482
 */
export function sprue(raw: SprueInput): SprueResult {
	const input = sprueInput.parse(raw);
	const radiusM = input.diameterMm / 2000;
	const headM = (input.headMm ?? input.lengthMm) / 1000;
	const density = input.densityGPerMl * 1000;
	const viscosity = input.viscosityMpaS / 1000;
	const pressurePa = density * GRAVITY_M_PER_S2 * headM;
	const friction = (8 * viscosity * (input.lengthMm / 1000)) / radiusM ** 2;
	// the root without the loss of digits that a small speed term would bring
	const speed = (2 * pressurePa) / (friction + Math.sqrt(friction ** 2 + 4 * density * pressurePa));
	const flow = Math.PI * radiusM ** 2 * speed;
	const fillS = (input.volumeMl * 1e-6) / flow;
	const reynolds = (density * (flow / (Math.PI * radiusM ** 2)) * 2 * radiusM) / viscosity;
	const needed = neededDiameterMm(input, fillS, pressurePa);
	return {
		fillS,
		flowMlPerS: flow * 1e6,
		reynolds,
		sprueVolumeMl: Math.PI * (input.diameterMm / 2) ** 2 * input.lengthMm * 1e-3,
		...(needed === undefined ? {} : { neededDiameterMm: needed }),
		working: [
			{
				what: 'Through the sprue',
				sum: `⌀ ${digits(input.diameterMm)} mm, ${digits(input.lengthMm)} mm long, ${digits(headM * 1000)} mm of resin above, ${digits(input.viscosityMpaS, 0)} mPa·s`,
				result: `${digits(flow * 1e6)} ml/s`,
				source: `ρ·g·h = 8·μ·L·v/r² + ρ·v²: friction takes ${digits((100 * friction * speed) / pressurePa, 0)} % of the head`
			},
			{ what: 'To fill', sum: `${digits(input.volumeMl)} ml`, result: formatTime(fillS) }
		],
		warnings: warningsFor(input, fillS, reynolds, needed)
	};
}

/** The width that fills in the share of the time that is left: with v = Q/(π·r²) both terms of the law go with r⁻⁴. */
function neededDiameterMm(
	input: z.output<typeof sprueInput>,
	fillS: number,
	pressurePa: number
): number | undefined {
	if (input.remainingS === undefined || fillS <= FILL_SHARE * input.remainingS) return undefined;
	const flow = (input.volumeMl * 1e-6) / (FILL_SHARE * input.remainingS);
	const friction = (8 * (input.viscosityMpaS / 1000) * (input.lengthMm / 1000) * flow) / Math.PI;
	const speed = input.densityGPerMl * 1000 * (flow / Math.PI) ** 2;
	return 2000 * ((friction + speed) / pressurePa) ** 0.25;
}

function warningsFor(
	input: z.output<typeof sprueInput>,
	fillS: number,
	reynolds: number,
	needed: number | undefined
): Warning[] {
	const warnings: Warning[] = [];
	if (needed !== undefined)
		warnings.push({
			code: fillS > input.remainingS! ? 'never-fills' : 'fills-slowly',
			...(fillS > input.remainingS! ? { severity: 'harm' as const } : {}),
			message: `It takes ${formatTime(fillS)} to run through this sprue, and ${formatTime(input.remainingS!)} are left.`,
			action: `A sprue ${digits(Math.ceil(needed * 2) / 2, 1)} mm wide fills in half of the time that is left; or syringe it from the lowest point, vents at the tops; or take a thinner or slower resin.`
		});
	if (reynolds > LAMINAR_RE)
		warnings.push({
			code: 'rushes',
			message: 'It rushes in and takes air with it.',
			action: 'Tilt the mould and pour a thin stream down the side of the sprue.'
		});
	return warnings;
}
