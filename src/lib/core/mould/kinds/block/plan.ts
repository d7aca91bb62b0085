import type { MasterRecord } from '../../../master/master';
import { displacedMl } from '../../../master/volume';
import { rubberForBlock, type RubberRecord } from '../../../shelf/rubber';
import { digits } from '../../../units';
import type { Warning } from '../../../working';
import { mouldBlock, type Cavity, type MouldBlockResult } from '../../block';
import { planBlock } from '../../boxedBlock';
import { base, boardsFor, brickCourses, tubeFor, type CutPiece } from '../../boxing';
import { gridFor, type Grid } from '../../cavities';
import { boxedAs, givenBox, withGiven } from '../../given';
import { NO_RUBBER, type MouldInputs } from '../../inputs';
import { wanted, type MouldMaterials, type MouldPlan } from '../../planned';
import { outlineOf, slicesOf } from '../../slices';
import type { TwoPartPlan } from '../twoPart/twoPart';

type Shape = 'box' | 'tube' | 'bricks';
type Sums = MouldBlockResult & Partial<TwoPartPlan>;

/** What a kind of block makes its own sums from. */
export interface BlockCase {
	inputs: MouldInputs;
	master: MasterRecord;
	rubber: ReturnType<typeof rubberForBlock>;
	grid: Grid;
	/** Rings of bricks round it, and the inside that they leave. */
	bricks: Extract<Cavity, { shape: 'courses' }>;
	common: {
		master: Grid['size'];
		masterVolumeMl: number;
		clearanceMm: number;
		coverMm: number;
		rubber: ReturnType<typeof rubberForBlock>;
		roomTempC: number;
		lossPercent: number;
	};
}

/** Covers of rubber above and below each other: one, or one on each side of the halves. */
type Covers = 1 | 2;

/** The sums of a block that is filled in one pour. */
export function onePour(c: BlockCase, as: Shape): Sums {
	const box = givenBox(c.inputs);
	if (as !== 'bricks' && !(box && as === 'box')) return planBlock({ ...c.common, shape: as });
	const { warnings } = planBlock({ ...c.common, shape: 'box' });
	const { masterVolumeMl: ml, roomTempC, lossPercent, rubber } = c.common;
	const cavity: Cavity = box
		? { shape: 'box', ...box, heightMm: c.grid.size.heightMm + c.inputs.coverMm }
		: c.bricks;
	return { ...mouldBlock({ cavity, masterVolumeMl: ml, rubber, roomTempC, lossPercent }), cavity, warnings };
}

/**
 * Plans a block in its box, tube or bricks: cavities in a grid, rubber by shape, what to cut.
 * @param sums rubber of one shape, as the kind pours it
 */
export function planBoxed(
	typed: MouldInputs,
	master: MasterRecord,
	materials: MouldMaterials,
	covers: Covers,
	sums: (c: BlockCase, as: Shape) => Sums
): MouldPlan {
	const inputs = withGiven(typed, master, covers);
	const c = caseOf(inputs, master, wanted(materials.rubber, 'rubberId', NO_RUBBER), covers);
	const plan =
		covers === 1 ? mixedInstead(sums(c, boxedAs(inputs)), inputs.rubberMassG) : sums(c, boxedAs(inputs));
	const cavity = plan.cavity ?? c.bricks;
	return {
		...plan,
		warnings: [...plan.warnings, ...potWarnings(inputs)],
		kind: inputs.kind,
		cavity,
		...(inputs.shape === 'given'
			? { left: { clearanceMm: inputs.clearanceMm, coverMm: inputs.coverMm } }
			: {}),
		grid: c.grid,
		...savings(c, covers, plan.netVolumeMl),
		// a container that is at hand is not weighed against boxes that would have to be built
		...(inputs.shape === 'given'
			? {}
			: {
					others: (['box', 'tube', 'bricks'] as const)
						.map((s) => ({ shape: s, netMl: sums(c, s).netVolumeMl }))
						.sort((a, b) => a.netMl - b.netMl)
				}),
		cutList: cutList(inputs, cavity),
		...(inputs.shape === 'bricks' ? { brickUnits: c.bricks.courses.reduce((s, r) => s + r.units, 0) } : {}),
		pours: [{ name: 'The block', ...plan.rubber, a: plan.a, b: plan.b, startS: 0 }]
	};
}

/** The sums with the rubber that somebody mixes in its place: as much more, or too little, and said so. */
function mixedInstead(plan: Sums, massG: number | undefined): Sums {
	if (massG === undefined) return plan;
	const share = massG / plan.rubber.massG;
	const neededG = (plan.netVolumeMl * plan.rubber.massG) / plan.rubber.volumeMl;
	return {
		...plan,
		rubber: { massG, volumeMl: plan.rubber.volumeMl * share },
		a: { massG: plan.a.massG * share },
		b: { massG: plan.b.massG * share },
		degasVesselMl: plan.degasVesselMl * share,
		working: [
			...plan.working,
			{
				what: 'You mix',
				sum: `${digits(massG)} g instead of ${digits(plan.rubber.massG)} g`,
				result: `${digits(massG - neededG)} g over what stays in it`,
				source: 'typed'
			}
		],
		warnings: [
			...plan.warnings,
			...(massG < neededG
				? [
						{
							code: 'too-little-rubber',
							severity: 'harm' as const,
							message: `${digits(massG)} g do not fill it: ${digits(neededG)} g stand in it, and some stays in the cup.`,
							action: `Mix ${digits(plan.rubber.massG, 0)} g, or lower the fill.`
						}
					]
				: [])
		]
	};
}

function caseOf(inputs: MouldInputs, master: MasterRecord, record: RubberRecord, covers: Covers): BlockCase {
	const rubber = rubberForBlock(record);
	const grid = gridFor(
		inputs.cavities,
		master,
		inputs.gapMm,
		boxedAs(inputs),
		inputs.shape === 'given' ? 0 : inputs.clearanceMm
	);
	const courses = brickCourses(
		grid.size,
		inputs.clearanceMm,
		covers * inputs.coverMm,
		{ pitchMm: inputs.brickPitchMm, heightMm: inputs.brickHeightMm },
		// halves are closed on each other: their bricks do not follow the master
		inputs.cavities === 1 && covers === 1 ? slicesOf(master) : []
	);
	return {
		inputs,
		master,
		rubber,
		grid,
		bricks: { shape: 'courses', heightMm: courses.reduce((s, r) => s + r.heightMm, 0), courses },
		common: {
			master: grid.size,
			masterVolumeMl: inputs.cavities * displacedMl(master),
			clearanceMm: inputs.clearanceMm,
			coverMm: inputs.coverMm,
			rubber,
			roomTempC: inputs.roomTempC,
			lossPercent: inputs.lossPercent
		}
	};
}

/** What is cut for this cavity. */
export function cutList(inputs: MouldInputs, cavity: Cavity): CutPiece[] {
	if (inputs.shape === 'given') return [];
	switch (cavity.shape) {
		case 'tube':
			return tubeFor(cavity, inputs.boardMm);
		case 'courses': {
			const { lengthMm, widthMm } = outlineOf(cavity);
			const wallsMm = 2 * inputs.brickPitchMm;
			return [base(lengthMm + wallsMm, widthMm + wallsMm, inputs.boardMm)];
		}
		case 'box':
			if (inputs.shape !== 'bricks') return boardsFor(cavity, inputs.boardMm);
			return [
				base(
					cavity.lengthMm + 2 * inputs.brickPitchMm,
					cavity.widthMm + 2 * inputs.brickPitchMm,
					inputs.boardMm
				)
			];
	}
}

/** Bubbles left in the rubber shrink in the pot, and the face above them follows (common practice, no source). */
function potWarnings(inputs: MouldInputs): Warning[] {
	if (inputs.inPot === 'no' || inputs.degas !== 'none') return [];
	return [
		{
			code: 'not-for-the-pot',
			message: 'Rubber that is neither degassed nor cured under pressure dimples in the pot.',
			action: 'Degas it, let it cure in the pot, or cast in it without pressure.'
		}
	];
}

function savings({ inputs, master, rubber }: BlockCase, covers: Covers, netVolumeMl: number) {
	if (inputs.cavities === 1) return {};
	const single = planBlock({
		master,
		masterVolumeMl: displacedMl(master),
		shape: boxedAs(inputs) === 'tube' ? 'tube' : 'box',
		clearanceMm: inputs.clearanceMm,
		coverMm: inputs.coverMm * covers,
		rubber,
		roomTempC: inputs.roomTempC,
		lossPercent: 0
	});
	return { savedMl: inputs.cavities * single.netVolumeMl - netVolumeMl };
}
