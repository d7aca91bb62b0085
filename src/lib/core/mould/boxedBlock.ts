import { z } from 'zod';
import { masterSizeInput, outerVolumeMl, type MasterSize } from '../master/sizes';
import { digits } from '../units';
import { InputError, type Warning } from '../working';
import { mouldBlock, mouldBlockInput, type Cavity, type MouldBlockResult } from './block';

/** Cover and clearance that makers leave, mm (common practice, no source). */
const USUAL_COVER_MM = 12;
const LEAST_CLEARANCE_MM = 6;

const gap = (what: string) =>
	z
		.number({ error: `Type the ${what}, such as 12 mm or 1/2 in.` })
		.positive(`The ${what} must be more than nothing: 12 mm is usual.`)
		.max(500, `The ${what} is over 500 mm: check the unit.`);

/** A block planned from its master: the box follows from clearance and cover. */
export const blockPlanInput = z.object({
	master: masterSizeInput,
	masterVolumeMl: mouldBlockInput.shape.masterVolumeMl,
	shape: z.enum(['box', 'tube']),
	clearanceMm: gap('clearance on each side'),
	coverMm: gap('cover above the master'),
	rubber: mouldBlockInput.shape.rubber,
	roomTempC: mouldBlockInput.shape.roomTempC,
	lossPercent: mouldBlockInput.shape.lossPercent
});
export type BlockPlanInput = z.input<typeof blockPlanInput>;

export interface BlockPlan extends MouldBlockResult {
	cavity: Cavity;
	/** Rubber that the other shape would take with the same clearance, ml. */
	otherShapeNetMl: number;
}

/**
 * Inside of a box or tube round a master with this clearance and cover.
 * @example
 * cavityFor(cube, 'box', 10, 10); // { shape: 'box', lengthMm: 60, widthMm: 60, heightMm: 50 }
 */
export function cavityFor(
	master: MasterSize,
	shape: 'box' | 'tube',
	clearanceMm: number,
	coverMm: number
): Cavity {
	const heightMm = master.heightMm + coverMm;
	const widthMm = master.footprint === 'round' ? master.lengthMm : master.widthMm;
	if (shape === 'box') {
		return {
			shape,
			lengthMm: master.lengthMm + 2 * clearanceMm,
			widthMm: widthMm + 2 * clearanceMm,
			heightMm
		};
	}
	const across = master.footprint === 'round' ? master.lengthMm : Math.hypot(master.lengthMm, master.widthMm);
	return { shape, diameterMm: across + 2 * clearanceMm, heightMm };
}

/**
 * Plans a one-piece block round a master standing on its base board.
 * @throws InputError when the volume cannot be inside the outer sizes.
 * @example
 * planBlock({
 *   master: { footprint: 'rectangular', lengthMm: 40, widthMm: 40, heightMm: 40 },
 *   masterVolumeMl: 64,
 *   shape: 'box',
 *   clearanceMm: 10,
 *   coverMm: 10,
 *   rubber: rubberForBlock(blue),
 *   lossPercent: 0,
 *   roomTempC: 23
 * }).netVolumeMl; // 116
 */
export function planBlock(raw: BlockPlanInput): BlockPlan {
	const input = blockPlanInput.parse(raw);
	const bounds = outerVolumeMl(input.master);
	if (input.masterVolumeMl > bounds * 1.001) {
		throw new InputError(
			['masterVolumeMl'],
			`${digits(input.masterVolumeMl)} ml is more than its outer sizes hold (${digits(bounds)} ml): check volume and sizes.`
		);
	}
	const shapes = { box: 'tube', tube: 'box' } as const;
	const cavity = cavityFor(input.master, input.shape, input.clearanceMm, input.coverMm);
	const common = {
		masterVolumeMl: input.masterVolumeMl,
		rubber: input.rubber,
		roomTempC: input.roomTempC,
		lossPercent: input.lossPercent
	};
	const other = cavityFor(input.master, shapes[input.shape], input.clearanceMm, input.coverMm);
	const result = mouldBlock({ cavity, ...common });
	return {
		...result,
		cavity,
		otherShapeNetMl: mouldBlock({ cavity: other, ...common }).netVolumeMl,
		warnings: [...result.warnings, ...gapWarnings(input.clearanceMm, input.coverMm)]
	};
}

function gapWarnings(clearanceMm: number, coverMm: number): Warning[] {
	const warnings: Warning[] = [];
	if (coverMm < USUAL_COVER_MM) {
		warnings.push({
			code: 'thin-cover',
			message: `${digits(coverMm)} mm of cover is thin: the floor of the mould will bulge.`,
			action: `Leave ${USUAL_COVER_MM} mm (½ in) or more, or stand the mould on a board.`
		});
	}
	if (clearanceMm < LEAST_CLEARANCE_MM) {
		warnings.push({
			code: 'thin-wall',
			message: `${digits(clearanceMm)} mm of wall will not hold its shape.`,
			action: `Leave ${LEAST_CLEARANCE_MM} mm for a small soft block, 12 mm for a large one.`
		});
	}
	return warnings;
}
