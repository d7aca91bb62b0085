import type { MasterSize } from '../master/sizes';
import { digits } from '../units';
import { InputError } from '../working';
import { gridFor } from './cavities';
import type { MouldInputs } from './inputs';

const known = (value: number | undefined, field: keyof MouldInputs, what: string): number => {
	if (value !== undefined && value > 0) return value;
	throw new InputError([field], `Type the ${what}, measured inside.`);
};

/** Inside of the container as a box, or as the tube that holds as much. */
function inside(i: MouldInputs): { lengthMm: number; widthMm: number } | { diameterMm: number } {
	if (i.givenAs === 'box')
		return {
			lengthMm: known(i.givenLengthMm, 'givenLengthMm', 'length'),
			widthMm: known(i.givenWidthMm, 'givenWidthMm', 'width')
		};
	const floor = known(i.givenDiameterMm, 'givenDiameterMm', 'diameter');
	if (i.givenAs === 'tube') return { diameterMm: floor };
	const mark = known(i.givenTopMm, 'givenTopMm', 'diameter at the fill mark');
	// a frustum holds as much as a tube of this width (Heron, Metrica II)
	return { diameterMm: Math.sqrt((floor ** 2 + floor * mark + mark ** 2) / 3) };
}

/** The inside of a given box, mm; nothing for what is round. */
export function givenBox(inputs: MouldInputs): { lengthMm: number; widthMm: number } | undefined {
	const box = inputs.shape === 'given' ? inside(inputs) : undefined;
	return box && 'lengthMm' in box ? box : undefined;
}

/** The shape by which the sums of a block go. */
export const boxedAs = (inputs: MouldInputs): 'box' | 'tube' | 'bricks' =>
	inputs.shape !== 'given' ? inputs.shape : inputs.givenAs === 'box' ? 'box' : 'tube';

/**
 * Clearance and cover that a given container leaves round a master; inputs that go by clearances come back as they are.
 * @param covers of rubber above each other: one, or two where halves are closed on each other
 * @throws InputError at the size that is missing, or in which the master does not stand
 * @example
 * const typed = { ...mouldOf('one-piece').inputs, shape: 'given' as const, givenDiameterMm: 80, givenFillMm: 55 };
 * withGiven(typed, cube, 1).coverMm; // 15
 */
export function withGiven(inputs: MouldInputs, master: MasterSize, covers: 1 | 2): MouldInputs {
	if (inputs.shape !== 'given') return inputs;
	const hole = inside(inputs);
	const fillMm = known(inputs.givenFillMm, 'givenFillMm', 'height to which the rubber is to stand');
	const { size } = gridFor(inputs.cavities, master, inputs.gapMm, boxedAs(inputs), 0);
	const coverMm = (fillMm - master.heightMm) / covers;
	if (!(coverMm > 0))
		throw new InputError(
			['givenFillMm'],
			`The piece is ${digits(master.heightMm)} mm high: at ${digits(fillMm)} mm it would stand out of the rubber.`
		);
	const widthMm = size.footprint === 'round' ? size.lengthMm : size.widthMm;
	const round = 'diameterMm' in hole;
	const acrossMm = size.footprint === 'round' ? size.lengthMm : Math.hypot(size.lengthMm, size.widthMm);
	const floorMm = inputs.givenAs === 'bucket' ? inputs.givenDiameterMm! : round ? hole.diameterMm : Infinity;
	if (round ? acrossMm >= floorMm : size.lengthMm >= hole.lengthMm || widthMm >= hole.widthMm)
		throw new InputError(
			[round ? 'givenDiameterMm' : size.lengthMm >= hole.lengthMm ? 'givenLengthMm' : 'givenWidthMm'],
			round
				? `${inputs.cavities > 1 ? 'The pieces are' : 'The piece is'} ${digits(acrossMm)} mm across the corners and stands in ${digits(floorMm)} mm: a wider one.`
				: `${inputs.cavities > 1 ? 'The pieces take' : 'The piece takes'} ${digits(size.lengthMm)} × ${digits(widthMm)} mm of the floor: a wider box.`
		);
	const clearanceMm = round
		? (hole.diameterMm - acrossMm) / 2
		: Math.min(hole.lengthMm - size.lengthMm, hole.widthMm - widthMm) / 2;
	return { ...inputs, clearanceMm, coverMm };
}
