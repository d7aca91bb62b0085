import { masterVolumeMl, type MasterRecord } from '../master/master';
import { InputError } from '../working';
import type { ChooserInput, Lock } from './chooserInput';
import { mouldInputs } from './inputs';
import { MOULD_MODULES } from './kinds';
import { MOULD_KINDS, type MouldKind } from './kinds/names';
import type { Reasons } from './kinds/module';
import type { MouldMaterials } from './planned';
import { planMould } from './planMould';

/** One way to make the mould: whether it fits, why, and what it costs. */
export interface MouldOption {
	kind: MouldKind;
	fit: 'fits' | 'with care' | 'does not fit';
	why: string[];
	/** What is mixed or melted for it, g; nothing where it is bought or printed. */
	massG: number;
	costPerKg?: number;
	/** Hands on, s (common practice, no source). */
	handsS: number;
	/** From the first pour until it may be used, s. */
	readyInS: number;
	/** What goes wrong most, in a few words. */
	risk: string;
}

/**
 * How deep the master locks, from its file or as the maker says it.
 * @example
 * locksOf(cube, 'shallow'); // 'shallow'
 */
export function locksOf(master: MasterRecord, said: ChooserInput['undercuts']): Lock {
	if (said !== 'as its file') return said;
	const f = master.shape?.findings;
	if (!f) return 'not known';
	const smallest = Math.min(master.heightMm, master.lengthMm, master.widthMm);
	if (f.undercutShare < 0.02) return 'none';
	return f.undercutDepthMm / smallest < 0.08 ? 'shallow' : 'deep';
}

/**
 * Every way for one master, the fitting ones first and among them the least rubber and work first. The
 * figures are those of the planner with usual sizes; the reasons are common practice, no source.
 * @example
 * chooseMould(
 *   cube,
 *   chooserInput.parse({ undercuts: 'none' }),
 *   { rubber: blue, thermoplastic: softening },
 *   21
 * )[0]?.kind; // 'one-piece'
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
		return {
			kind,
			fit: bad.length > 0 ? 'does not fit' : care.length > 0 ? 'with care' : 'fits',
			why: [...bad, ...care, ...good],
			...figuresOf(kind, master, materials, roomTempC),
			handsS: MOULD_MODULES[kind].handsS * (1 + masterVolumeMl(master) / 2000),
			risk: MOULD_MODULES[kind].words.risk
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
		const price = MOULD_MODULES[kind].pricePerKg(materials);
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

function reasons(kind: MouldKind, master: MasterRecord, answers: ChooserInput, lock: Lock): Reasons {
	const r: Reasons = { bad: [], care: [], good: [] };
	const largest = Math.max(master.lengthMm, master.widthMm, master.heightMm);
	MOULD_MODULES[kind].judge(r, { ...answers, lock, largest, master });
	if (lock === 'not known' && MOULD_MODULES[kind].mindsUndercuts)
		r.care.push('its undercuts are not known: look it over or give it its 3D file');
	return r;
}
