import { z } from 'zod';
import { sprueInput } from '../flow/sprue';
import type { MasterRecord } from '../master/master';
import { masterVolumeMl } from '../master/master';
import { name, note } from '../shelf/resin';
import type { ThermoplasticRecord } from '../shelf/release';
import { rubberForBlock, type RubberRecord } from '../shelf/rubber';
import { InputError, type Warning, type WorkingLine } from '../working';
import { cavityVolumeMl, mouldBlock, type Cavity, type MouldBlockResult } from './block';
import { base, boardsFor, brickCourses, tubeFor, type CutPiece, type Slice } from './boxing';
import { gridFor, USUAL_GAP_MM, type Grid } from './cavities';
import { CLOSINGS, keysFor, SEAM_SIDES, seamFor, type Keys, type Seam } from './details';
import { jacketInput, planJacket, type JacketPlan } from './jacket';
import { inRubber, MOULD_KINDS, type MouldKind } from './kinds';
import type { MasterSize } from '../master/sizes';
import { blockPlanInput, planBlock } from './plan';
import { planPress } from './press';
import { planRigid, rigidInput, type RigidPlan } from './rigid';
import { planTwoPart, type TwoPartPlan } from './twoPart';

const shape = jacketInput.shape;

const fields = z.object({
	label: name('mould'),
	masterId: z.string().min(1, 'Choose the master that the mould is made from.'),
	/** How it is made and opens. */
	kind: z.enum(MOULD_KINDS).default('one-piece'),
	/** Two halves: parting line above the master's lowest point; its middle unless typed, mm. */
	partingMm: z
		.number({ error: 'Type where the halves part, such as 25 mm, or leave it empty for the middle.' })
		.positive('The parting line runs round the master: above its lowest point.')
		.max(3000, 'Over 3 m: check the unit.')
		.optional(),
	rubberId: z.string().max(40).default(''),
	/** Press mould: what it is pressed from. */
	thermoplasticId: z.string().max(40).default(''),
	/** Lot of the rubber, as its tin says. */
	rubberLot: z.string().trim().max(60, 'Keep the lot under 60 characters.').default(''),
	/** What keeps the rubber off the master; empty: nothing. */
	releaseId: z.string().max(40).default(''),
	shape: z.enum(['box', 'tube', 'bricks']).default('box'),
	clearanceMm: blockPlanInput.shape.clearanceMm,
	coverMm: blockPlanInput.shape.coverMm,
	cavities: z
		.number({ error: 'Type how many cavities, such as 1.' })
		.int('Cavities are whole.')
		.min(1, 'At least one cavity.')
		.max(24, 'At most 24 cavities in one block.')
		.default(1),
	gapMm: z
		.number({ error: 'Type the rubber between two cavities, such as 10 mm.' })
		.positive('Cavities need rubber between them: 10 mm is usual.')
		.max(500, 'Over 500 mm: check the unit.')
		.default(USUAL_GAP_MM),
	boardMm: z
		.number({ error: 'Type how thick the boards are, such as 12 mm.' })
		.positive('Boards are thicker than nothing.')
		.max(100, 'Over 100 mm: check the unit.')
		.default(12),
	brickPitchMm: z
		.number({ error: 'Type how wide one brick is: measure ten and divide.' })
		.min(2, 'Bricks under 2 mm: check the unit.')
		.max(200, 'Over 200 mm: check the unit.')
		.default(10),
	brickHeightMm: z
		.number({ error: 'Type how high one course is: measure ten and divide.' })
		.min(2, 'Courses under 2 mm: check the unit.')
		.max(200, 'Over 200 mm: check the unit.')
		.default(10),
	seamSide: z.enum(SEAM_SIDES).default('back'),
	closing: z.enum(['as its kind', ...CLOSINGS]).default('as its kind'),
	degas: z.enum(['none', 'vacuum', 'pressure']).default('none'),
	/** Casts in it go under pressure. */
	inPot: z.enum(['no', 'yes']).default('no'),
	lossPercent: z
		.number({ error: 'Type the loss in percent, such as 4 %.' })
		.min(0, 'The loss cannot be less than nothing.')
		.max(50, 'Over half lost in the cup: check the loss.'),
	roomTempC: blockPlanInput.shape.roomTempC,
	skinMm: shape.skinMm,
	coats: shape.coats,
	thickenerPercentOfB: shape.thickenerPercentOfB,
	areaMm2: shape.areaMm2,
	shellKind: shape.shellKind,
	shellMm: shape.shellMm,
	shellParts: shape.shellParts,
	flangeMm: shape.flangeMm,
	boltEveryMm: shape.boltEveryMm,
	rigidSource: rigidInput.shape.source,
	rigidParts: rigidInput.shape.parts,
	rigidWallMm: rigidInput.shape.wallMm,
	infillPercent: rigidInput.shape.infillPercent,
	softensC: rigidInput.shape.softensC,
	/** Resin that it will mostly be poured with; empty: not known yet. */
	pourResinId: z.string().max(40).default(''),
	sprueDiameterMm: sprueInput.shape.diameterMm.default(8),
	sprueLengthMm: sprueInput.shape.lengthMm.default(20),
	/** The mould that this one follows; empty: none. */
	predecessorId: z.string().max(40).default(''),
	place: z.string().trim().max(120, 'Keep the place under 120 characters.').default(''),
	note
});

/** What the maker types to plan a mould of any kind. */
export const mouldInputs = fields.superRefine((m, ctx) => {
	const need = (path: 'rubberId' | 'thermoplasticId', message: string) =>
		ctx.addIssue({ code: 'custom', path: [path], message });
	if (inRubber(m.kind) && !m.rubberId) need('rubberId', 'Choose a rubber from the shelf.');
	if (m.kind === 'press' && !m.thermoplasticId)
		need('thermoplasticId', 'Choose what it is pressed from: a thermoplastic from the shelf.');
});
export type MouldInputs = z.output<typeof mouldInputs>;
export type MouldInputsTyped = z.input<typeof mouldInputs>;

/** The materials that a mould is made of. */
export interface MouldMaterials {
	rubber?: RubberRecord | undefined;
	thermoplastic?: ThermoplasticRecord | undefined;
}

type Parts = { massG: number };
/** Something that is mixed or softened at once. */
export interface MouldPour {
	name: string;
	volumeMl: number;
	massG: number;
	/** Nothing for a thermoplastic. */
	a?: Parts;
	b?: Parts;
	/** Weighed into B first. */
	thickenerG?: number;
	/** Seconds after the first pour's start. */
	startS: number;
}

/** A mould of any kind, as planned. */
export interface MouldPlan {
	kind: MouldKind;
	/** What touches the copies: rubber or thermoplastic to mix or melt; nothing for a rigid mould. */
	rubber: { volumeMl: number; massG: number };
	a: Parts;
	b: Parts;
	pours: MouldPour[];
	/** Inside of the box with the master in it; of a jacket and a rigid mould nothing. */
	grossVolumeMl: number;
	netVolumeMl: number;
	degasVesselMl: number;
	readyInS: number;
	workingTimeS: number;
	working: WorkingLine[];
	warnings: Warning[];
	cavity?: Cavity;
	grid?: Grid;
	/** Rubber that separate moulds would take more, ml. */
	savedMl?: number;
	/** Rubber in a box, a tube and close-fitting bricks with the same clearance, ml; the least first. */
	others?: { shape: 'box' | 'tube' | 'bricks'; netMl: number }[];
	cutList?: CutPiece[];
	/** Bricks of one pitch in all courses together. */
	brickUnits?: number;
	partingMm?: number;
	clay?: { volumeMl: number; massG: number };
	first?: Omit<TwoPartPlan['first'], 'a' | 'b' | 'degasVesselMl'> & { a?: Parts; b?: Parts };
	second?: MouldPlan['first'];
	keys?: Keys;
	seam?: Seam;
	jacket?: Pick<JacketPlan, 'areaMm2' | 'outerAreaMm2' | 'keys' | 'keyMm' | 'shell' | 'thickenerG' | 'coats'>;
	rigid?: Pick<RigidPlan, 'outerMm' | 'material' | 'seamMm' | 'putty' | 'bands'>;
}

const NO_RUBBER = { rubber: { volumeMl: 0, massG: 0 }, a: { massG: 0 }, b: { massG: 0 }, pours: [] };

type Planned = Omit<MouldInputs, 'label' | 'masterId' | 'rubberId' | 'place' | 'note'>;

/**
 * Plans the mould for a master and the materials from the shelf.
 * @param faceTempC hottest that the resin makes the mould's face, for a rigid one
 * @throws InputError at the field with what would do
 */
export function planMould(
	inputs: Planned,
	master: MasterRecord,
	materials: MouldMaterials,
	faceTempC?: number
): MouldPlan {
	switch (inputs.kind) {
		case 'jacket':
			return asJacket(
				inputs,
				master,
				wanted(materials.rubber, 'rubberId', 'Choose a rubber from the shelf.')
			);
		case 'press':
			return asPress(
				inputs,
				master,
				wanted(materials.thermoplastic, 'thermoplasticId', 'Choose a thermoplastic from the shelf.')
			);
		case 'rigid':
			return asRigid(inputs, master, faceTempC);
		default:
			return asBlock(inputs, master, wanted(materials.rubber, 'rubberId', 'Choose a rubber from the shelf.'));
	}
}

function wanted<T>(thing: T | undefined, path: string, message: string): T {
	if (thing === undefined) throw new InputError([path], message);
	return thing;
}

/** Widths of the master by height, foot first, from its 3D file; none without one. */
export function slicesOf(master: MasterRecord): Slice[] {
	const profile = master.shape?.findings.profile ?? [];
	const sizes = master.shape?.findings.sizesMm;
	// only while the file still describes the piece as it is planned
	if (!sizes || Math.abs(sizes[2] - master.heightMm) > 0.02 * master.heightMm) return [];
	const stepMm = master.heightMm / Math.max(1, profile.length);
	return profile.map((reachMm, i) => ({ fromMm: i * stepMm, toMm: (i + 1) * stepMm, reachMm }));
}

function asBlock(inputs: Planned, master: MasterRecord, record: RubberRecord): MouldPlan {
	const rubber = rubberForBlock(record);
	const grid = gridFor(inputs.cavities, master, inputs.gapMm, inputs.shape, inputs.clearanceMm);
	const oneMl = masterVolumeMl(master);
	const common = {
		master: grid.size,
		masterVolumeMl: inputs.cavities * oneMl,
		clearanceMm: inputs.clearanceMm,
		coverMm: inputs.coverMm,
		rubber,
		roomTempC: inputs.roomTempC,
		lossPercent: inputs.lossPercent
	};
	const slices = inputs.cavities === 1 ? slicesOf(master) : [];
	const courses = brickCourses(
		grid.size,
		inputs.clearanceMm,
		inputs.kind === 'two-part' ? 2 * inputs.coverMm : inputs.coverMm,
		{ pitchMm: inputs.brickPitchMm, heightMm: inputs.brickHeightMm },
		inputs.kind === 'two-part' ? [] : slices
	);
	const bricks: Cavity = {
		shape: 'courses',
		heightMm: courses.reduce((s, c) => s + c.heightMm, 0),
		courses
	};
	const planned = (as: 'box' | 'tube' | 'bricks'): MouldBlockResult & Partial<TwoPartPlan> => {
		if (inputs.kind === 'two-part') {
			const partingMm = inputs.partingMm ?? master.heightMm / 2;
			const { lengthMm, widthMm } = courses[0]!;
			const inside = as === 'bricks' ? { inside: { lengthMm, widthMm } } : {};
			const plan = planTwoPart({ ...common, partingMm, shape: as === 'tube' ? 'tube' : 'box', ...inside });
			return { ...plan, warnings: [...plan.warnings, ...planBlock({ ...common, shape: 'box' }).warnings] };
		}
		if (as !== 'bricks') return planBlock({ ...common, shape: as });
		const { warnings } = planBlock({ ...common, shape: 'box' });
		const { masterVolumeMl: ml, roomTempC, lossPercent } = common;
		const block = { cavity: bricks, masterVolumeMl: ml, rubber, roomTempC, lossPercent };
		return { ...mouldBlock(block), warnings };
	};
	const plan = planned(inputs.shape);
	const cavity = plan.cavity ?? bricks;
	const outline = outlineOf(cavity);
	return {
		...plan,
		warnings: [...plan.warnings, ...potWarnings(inputs)],
		kind: inputs.kind,
		cavity,
		grid,
		...savings(inputs, master, rubber, plan.netVolumeMl),
		others: (['box', 'tube', 'bricks'] as const)
			.map((s) => ({ shape: s, netMl: planned(s).netVolumeMl }))
			.sort((a, b) => a.netMl - b.netMl),
		cutList:
			inputs.shape === 'bricks'
				? [
						base(
							outline.lengthMm + 2 * inputs.brickPitchMm,
							outline.widthMm + 2 * inputs.brickPitchMm,
							inputs.boardMm
						)
					]
				: cavity.shape === 'tube'
					? tubeFor(cavity, inputs.boardMm)
					: cavity.shape === 'box'
						? boardsFor(cavity, inputs.boardMm)
						: [],
		...(inputs.shape === 'bricks' ? { brickUnits: courses.reduce((s, c) => s + c.units, 0) } : {}),
		pours:
			plan.first && plan.second
				? [
						{ name: 'First half, on the clay', ...plan.first, startS: 0 },
						{ name: 'Second half, where the clay was', ...plan.second, startS: plan.readyInS / 2 }
					]
				: [{ name: 'The block', ...plan.rubber, a: plan.a, b: plan.b, startS: 0 }],
		...(inputs.kind === 'two-part'
			? { keys: keysFor(outline.lengthMm, outline.widthMm, inputs.clearanceMm, outline.round) }
			: {}),
		...(inputs.kind === 'one-piece' ? { seam: seamFor(inputs.seamSide, inputs.clearanceMm) } : {})
	};
}

/** Bubbles left in the rubber shrink in the pot, and the face above them follows (common practice, no source). */
function potWarnings(inputs: Planned): Warning[] {
	if (inputs.inPot === 'no' || inputs.degas !== 'none') return [];
	return [
		{
			code: 'not-for-the-pot',
			message: 'Rubber that is neither degassed nor cured under pressure dimples in the pot.',
			action: 'Degas it, let it cure in the pot, or cast in it without pressure.'
		}
	];
}

/** The box round the widest course, or round a tube. */
function widest(courses: readonly { lengthMm: number; widthMm: number }[], heightMm: number) {
	return {
		shape: 'box' as const,
		lengthMm: Math.max(...courses.map((c) => c.lengthMm)),
		widthMm: Math.max(...courses.map((c) => c.widthMm)),
		heightMm
	};
}

function savings(
	inputs: Planned,
	master: MasterRecord,
	rubber: ReturnType<typeof rubberForBlock>,
	netVolumeMl: number
) {
	if (inputs.cavities === 1) return {};
	const single = planBlock({
		master,
		masterVolumeMl: masterVolumeMl(master),
		shape: inputs.shape === 'tube' ? 'tube' : 'box',
		clearanceMm: inputs.clearanceMm,
		coverMm: inputs.coverMm * (inputs.kind === 'two-part' ? 2 : 1),
		rubber,
		roomTempC: inputs.roomTempC,
		lossPercent: 0
	});
	return { savedMl: inputs.cavities * single.netVolumeMl - netVolumeMl };
}

function asJacket(inputs: Planned, master: MasterRecord, record: RubberRecord): MouldPlan {
	const areaMm2 = inputs.areaMm2 ?? master.shape?.findings.skinAreaMm2;
	const plan = planJacket({
		master: sizeOf(master),
		...(areaMm2 ? { areaMm2 } : {}),
		skinMm: inputs.skinMm,
		coats: inputs.coats,
		thickenerPercentOfB: inputs.thickenerPercentOfB,
		shellKind: inputs.shellKind,
		shellMm: inputs.shellMm,
		shellParts: inputs.shellParts,
		flangeMm: inputs.flangeMm,
		boltEveryMm: inputs.boltEveryMm,
		...(record.recoatS === undefined ? {} : { recoatS: record.recoatS }),
		rubber: rubberForBlock(record),
		roomTempC: inputs.roomTempC,
		lossPercent: inputs.lossPercent
	});
	const { areaMm2: skinAreaMm2, outerAreaMm2, keys, keyMm, shell, thickenerG, coats } = plan;
	const reach = inputs.skinMm + inputs.shellMm + inputs.flangeMm;
	const warnings =
		record.use === 'brush-on' || inputs.thickenerPercentOfB > 0
			? plan.warnings
			: [
					...plan.warnings,
					{
						code: 'runs-off',
						message: 'A pouring rubber without thickener runs off upright faces.',
						action: 'Give the later coats a thickener, or take a rubber for brushing.'
					}
				];
	return {
		kind: 'jacket',
		rubber: plan.rubber,
		a: plan.a,
		b: plan.b,
		pours: coats.map((c) => ({
			name: c.name,
			volumeMl: c.massG / record.densityGPerMl,
			massG: c.massG,
			a: c.a,
			b: c.b,
			...(c.thickenerG > 0 ? { thickenerG: c.thickenerG } : {}),
			startS: c.startS
		})),
		grossVolumeMl: plan.rubber.volumeMl,
		netVolumeMl: plan.rubber.volumeMl / (1 + inputs.lossPercent / 100),
		degasVesselMl: 0,
		readyInS: plan.readyInS,
		workingTimeS: plan.workingTimeS,
		working: plan.working,
		warnings,
		cutList: [
			base(
				master.lengthMm + 2 * reach,
				(master.footprint === 'round' ? master.lengthMm : master.widthMm) + 2 * reach,
				inputs.boardMm
			)
		],
		jacket: { areaMm2: skinAreaMm2, outerAreaMm2, keys, keyMm, shell, thickenerG, coats }
	};
}

function asPress(inputs: Planned, master: MasterRecord, material: ThermoplasticRecord): MouldPlan {
	const plan = planPress({
		master: sizeOf(master),
		masterVolumeMl: masterVolumeMl(master),
		clearanceMm: inputs.clearanceMm,
		coverMm: inputs.coverMm,
		partingMm: inputs.partingMm ?? master.heightMm / 2,
		material: {
			densityGPerMl: material.densityGPerMl,
			softenTempC: material.softenTempC,
			coolS: material.coolS
		},
		roomTempC: inputs.roomTempC
	});
	const cavity = plan.cavity as Extract<Cavity, { shape: 'box' }>;
	return {
		kind: 'press',
		rubber: plan.rubber,
		a: { massG: 0 },
		b: { massG: 0 },
		pours: [
			{ name: 'First half, on the clay', ...plan.first, startS: 0 },
			{ name: 'Second half, on the cold first', ...plan.second, startS: plan.readyInS / 2 }
		],
		grossVolumeMl: cavityVolumeMl(cavity),
		netVolumeMl: plan.netVolumeMl,
		degasVesselMl: 0,
		readyInS: plan.readyInS,
		workingTimeS: 0,
		working: plan.working,
		warnings: plan.warnings,
		cavity,
		partingMm: plan.partingMm,
		clay: plan.clay,
		first: plan.first,
		second: plan.second,
		cutList: boardsFor(cavity, inputs.boardMm),
		keys: keysFor(cavity.lengthMm, cavity.widthMm, inputs.clearanceMm, false)
	};
}

function asRigid(inputs: Planned, master: MasterRecord, faceTempC: number | undefined): MouldPlan {
	const plan = planRigid({
		master: sizeOf(master),
		masterVolumeMl: masterVolumeMl(master),
		source: inputs.rigidSource,
		parts: inputs.rigidParts,
		wallMm: inputs.rigidWallMm,
		infillPercent: inputs.infillPercent,
		...(inputs.softensC === undefined ? {} : { softensC: inputs.softensC }),
		...(faceTempC === undefined ? {} : { faceTempC })
	});
	const { outerMm, material, seamMm, putty, bands } = plan;
	return {
		kind: 'rigid',
		...NO_RUBBER,
		grossVolumeMl: 0,
		netVolumeMl: 0,
		degasVesselMl: 0,
		readyInS: 0,
		workingTimeS: 0,
		working: plan.working,
		warnings: plan.warnings,
		rigid: { outerMm, material, seamMm, putty, bands }
	};
}

function sizeOf(m: MasterRecord): MasterSize {
	return { footprint: m.footprint, lengthMm: m.lengthMm, widthMm: m.widthMm, heightMm: m.heightMm };
}

/** Inside of the block for a drawing of its outline, whatever it is boxed in. */
export function outlineOf(cavity: Cavity): { lengthMm: number; widthMm: number; round: boolean } {
	if (cavity.shape === 'tube')
		return { lengthMm: cavity.diameterMm, widthMm: cavity.diameterMm, round: true };
	const box = cavity.shape === 'courses' ? widest(cavity.courses, cavity.heightMm) : cavity;
	return { lengthMm: box.lengthMm, widthMm: box.widthMm, round: false };
}
