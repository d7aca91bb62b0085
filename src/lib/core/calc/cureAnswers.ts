import { z } from 'zod';
import { cup, cupBands, part, partInput, sectionsBands, type Band, type CupInput } from '../cure';
import { HOLD_MARGIN } from '../shot';

const filler = z.strictObject({
	name: z.string().max(60).default('filler'),
	massShare: z
		.number({ error: 'Type the filler’s share of the whole mix, 0 to 0.95.' })
		.min(0, 'A share of the mass is 0 to 0.95.')
		.max(0.95, 'A share of the mass is 0 to 0.95.'),
	densityGPerMl: z.number().min(0.02, 'A density is 0.02–20 g/ml.').max(20, 'A density is 0.02–20 g/ml.'),
	/** Of a mineral, where nothing is said (from memory). */
	specificHeatJPerGK: z.number().min(0.1).max(6).default(0.85),
	conductivityWPerMK: z.number().min(0.01).max(500).default(2)
});

/** A section as scripts ask for it, with what is stirred into its resin. */
export const partQuery = partInput.extend({ fillers: z.array(filler).max(10).default([]) });

/** The band of one figure as the open interface has it: four of five, and what it comes from. */
const bandAnswer = <F extends string>(figure: F, { low, high, mainly }: Band) =>
	({ [figure]: { low, high }, mainly }) as { [K in F]: { low: number; high: number } } & {
		mainly: Band['mainly'];
	};

/** `cup` with its band. */
export const cupAnswer = (raw: CupInput) => ({
	...cup(raw),
	band: bandAnswer('potLifeS', cupBands(raw).potLifeS)
});

/** `part` with its flexible window, its hold and its band. @throws as `part` does */
export function partAnswer(raw: z.input<typeof partQuery>) {
	const { fillers: typed, ...rest } = raw;
	const { fillers } = partQuery.parse(raw);
	const resin = typed?.length
		? { ...rest.resin, fillerMix: { fillers: fillers.map(({ name: _name, ...f }) => f), viscosityFactor: 1 } }
		: rest.resin;
	const { flexibleS, ...result } = part({ ...rest, resin });
	const { section, mouldWallMm, wall, open, startTempC, mouldTempC, roomTempC } = rest;
	const band = sectionsBands({
		resin,
		where: { section, mouldWallMm, ...(wall ? { wall } : {}), ...(open ? { open } : {}) },
		startTempC,
		mouldTempC,
		roomTempC
	}).demouldS;
	return {
		...result,
		flexibleFromS: flexibleS,
		flexibleUntilS: result.demouldS,
		holdUntilS: Math.max(result.gelCoreS, result.gelWallS) * (1 + HOLD_MARGIN),
		band: bandAnswer('demouldS', band)
	};
}
