import { z } from 'zod';
import { masterVolumeMl, type MasterRecord } from '../master/master';
import { digits } from '../units';
import { InputError } from '../working';
import { mouldInputs, planMould, type MouldMaterials } from './inputs';
import { MOULD_KINDS, type MouldKind } from './kinds';

const yesNo = z.enum(['no', 'yes']).default('no');

/** What decides between the six ways, beside the master's own record. */
export const chooserInput = z.object({
	masterId: z.string().max(40).default(''),
	flatBack: yesNo,
	/** Undercuts when no file says them. */
	undercuts: z.enum(['as its file', 'none', 'shallow', 'deep']).default('as its file'),
	fragile: yesNo,
	hollow: yesNo,
	/** Cold-cast metal skin, which cannot be dressed: no seam. */
	metalSkin: yesNo,
	copies: z
		.number({ error: 'Type how many copies, such as 20.' })
		.int('Copies are whole.')
		.min(1, 'At least one copy.')
		.max(100_000, 'Over a hundred thousand copies: this is not a bench.')
		.default(10),
	rubberId: z.string().max(40).default(''),
	thermoplasticId: z.string().max(40).default(''),
	/** Resin that it will mostly be poured with; empty: not known yet. */
	resinId: z.string().max(40).default('')
});
export type ChooserInput = z.output<typeof chooserInput>;

/** One way to make the mould: whether it fits, why, and what it costs. */
export interface MouldOption {
	kind: MouldKind;
	fit: 'fits' | 'with care' | 'does not fit';
	why: string[];
	/** Rubber or thermoplastic that it takes, g; nothing where it is bought or printed. */
	massG: number;
	costPerKg?: number;
	/** Hands on, s (common practice, no source). */
	handsS: number;
	/** From the first pour until it may be used, s. */
	readyInS: number;
	/** What goes wrong most, in a few words. */
	risk: string;
}

/** Hands-on time beside what grows with size, s (common practice, no source). */
const HANDS_S: Readonly<Record<MouldKind, number>> = {
	'open-face': 2700,
	'one-piece': 4500,
	'two-part': 10_800,
	jacket: 18_000,
	press: 5400,
	rigid: 1800
};
const RISK: Readonly<Record<MouldKind, string>> = {
	'open-face': 'a back that is not level',
	'one-piece': 'a cut that wanders into the face',
	'two-part': 'a step at the joint, flash',
	jacket: 'a skin that folds in its shell, leaks at the flange',
	press: 'soft detail, warping in hot resin',
	rigid: 'resin that sticks, warping'
};
/** Larger than this, a block swallows rubber, mm (common practice, no source). */
const LARGE_MM = 180;
const SMALL_MM = 70;
/** Pulls that a pressed mould is made for, and from which a rigid one pays (common practice, no source). */
const FEW = 15;
const MANY = 60;

type Lock = 'none' | 'shallow' | 'deep' | 'not known';

/** How deep the master locks, from its file or as the maker says it. */
export function locksOf(master: MasterRecord, said: ChooserInput['undercuts']): Lock {
	if (said !== 'as its file') return said;
	const f = master.shape?.findings;
	if (!f) return 'not known';
	const smallest = Math.min(master.heightMm, master.lengthMm, master.widthMm);
	if (f.undercutShare < 0.02) return 'none';
	return f.undercutDepthMm / smallest < 0.08 ? 'shallow' : 'deep';
}

/**
 * The six ways for one master, the fitting ones first and among them the least rubber and work first. The
 * figures are those of the planner with usual sizes; the reasons are common practice, no source.
 */
export function chooseMould(
	master: MasterRecord,
	answers: ChooserInput,
	materials: MouldMaterials,
	roomTempC: number
): MouldOption[] {
	const lock = locksOf(master, answers.undercuts);
	const order = { fits: 0, 'with care': 1, 'does not fit': 2 };
	return MOULD_KINDS.map((kind): MouldOption => {
		const { bad, care, good } = reasons(kind, master, answers, lock);
		const figures = figuresOf(kind, master, materials, roomTempC);
		return {
			kind,
			fit: bad.length > 0 ? 'does not fit' : care.length > 0 ? 'with care' : 'fits',
			why: [...bad, ...care, ...good],
			...figures,
			handsS: HANDS_S[kind] * (1 + masterVolumeMl(master) / 2000),
			risk: RISK[kind]
		};
	}).sort((a, b) => order[a.fit] - order[b.fit] || weigh(a) - weigh(b));
}

/** Rubber and work against each other: an hour counts like 600 g (common practice, no source). */
const weigh = (o: MouldOption) => o.massG + o.handsS / 6;

function figuresOf(kind: MouldKind, master: MasterRecord, materials: MouldMaterials, roomTempC: number) {
	const inputs = mouldInputs.safeParse({
		label: 'x',
		masterId: 'x',
		rubberId: 'x',
		thermoplasticId: 'x',
		kind,
		clearanceMm: 12,
		coverMm: 12,
		lossPercent: 4,
		roomTempC
	});
	try {
		const plan = planMould(inputs.data!, master, materials);
		const price = kind === 'press' ? materials.thermoplastic?.pricePerKg : materials.rubber?.pricePerKg;
		return {
			massG: plan.rubber.massG,
			readyInS: plan.readyInS,
			...(price !== undefined && plan.rubber.massG > 0 ? { costPerKg: price } : {})
		};
	} catch (error) {
		if (error instanceof InputError) return { massG: 0, readyInS: 0 };
		throw error;
	}
}

interface Reasons {
	bad: string[];
	care: string[];
	good: string[];
}

function reasons(kind: MouldKind, master: MasterRecord, a: ChooserInput, lock: Lock): Reasons {
	const r: Reasons = { bad: [], care: [], good: [] };
	const largest = Math.max(master.lengthMm, master.widthMm, master.heightMm);
	RULES[kind](r, { ...a, lock, largest, master });
	if (lock === 'not known' && kind !== 'open-face' && kind !== 'jacket')
		r.care.push('its undercuts are not known: look it over or give it its 3D file');
	return r;
}

type Case = ChooserInput & { lock: Lock; largest: number; master: MasterRecord };
const yes = (v: 'yes' | 'no') => v === 'yes';

const RULES: Readonly<Record<MouldKind, (r: Reasons, c: Case) => void>> = {
	'open-face'(r, c) {
		if (!yes(c.flatBack)) r.bad.push('it has no flat back to pour through');
		else r.good.push('its flat back is the pour opening: no seam at all');
		if (yes(c.hollow)) r.bad.push('an open mould casts nothing hollow all round');
		if (c.lock === 'deep') r.care.push('deep undercuts: a soft rubber that bends away');
	},
	'one-piece'(r, c) {
		if (yes(c.metalSkin))
			r.care.push('the seam cannot be dressed in a metal skin: cut it where it is never seen');
		if (yes(c.fragile)) r.care.push('a fragile master may break when it is cut out');
		if (c.largest > LARGE_MM)
			r.care.push(`${digits(c.largest, 0)} mm is large for a block: much rubber, hard to open`);
		if (c.lock === 'deep') r.good.push('a cut seam opens deep undercuts');
		r.good.push('one pour, one cure');
	},
	'two-part'(r, c) {
		if (yes(c.metalSkin)) r.bad.push('a seam all round shows in a metal skin');
		if (yes(c.fragile)) r.care.push('bedding and cleaning off clay strains a fragile master');
		if (c.lock === 'deep') r.care.push('deep undercuts lock in halves too: a soft rubber, or more parts');
		if (c.largest > LARGE_MM) r.care.push('much rubber for its size');
		r.good.push(yes(c.hollow) ? 'opens wide: good for rotocasts' : 'opens wide, cleans easily');
	},
	jacket(r, c) {
		if (c.largest < SMALL_MM) r.care.push(`under ${SMALL_MM} mm a block is less work`);
		if (yes(c.fragile)) r.good.push('brushed on: no weight on a fragile master');
		r.good.push(
			c.largest > LARGE_MM || yes(c.hollow)
				? 'least rubber for large and hollow work'
				: 'takes little rubber, and peels off almost anything'
		);
		if (yes(c.metalSkin) && c.lock !== 'deep') r.good.push('a glove that peels off has no seam');
		else if (yes(c.metalSkin)) r.care.push('a seam in the skin shows in a metal cast');
	},
	press(r, c) {
		if (c.lock === 'deep') r.bad.push('deep undercuts do not come out of it');
		if (yes(c.metalSkin)) r.bad.push('a seam all round shows in a metal skin');
		if (yes(c.fragile)) r.bad.push('it is pressed on hot: a fragile master breaks');
		if (HEAT_SHY.includes(c.master.material))
			r.care.push(`${c.master.material}: see whether it stands near-boiling heat`);
		if (c.copies > FEW) r.care.push(`${c.copies} copies are many for it`);
		if (c.largest > LARGE_MM) r.care.push('large halves cool and press unevenly');
		r.good.push('ready within hours, melted down again afterwards');
	},
	rigid(r, c) {
		if (c.lock === 'deep' || c.lock === 'shallow') r.bad.push('undercuts lock in a mould that does not bend');
		if (yes(c.metalSkin)) r.care.push('its parting line shows');
		if (c.copies >= MANY) r.good.push('outlasts rubber in long runs');
		else r.care.push(`for ${c.copies} copies it hardly pays unless it is there already`);
	}
};
/** Masters that heat softens or cracks (common practice, no source). */
const HEAT_SHY: readonly string[] = [
	'sulphur-free clay',
	'sulphur clay',
	'resin print',
	'filament print',
	'latex',
	'polystyrene',
	'wood'
];
