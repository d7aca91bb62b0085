import type { MasterRecord } from '../master/master';
import { displacedMl } from '../master/volume';
import { InputError } from '../working';
import type { ChooserInput, Lock } from './chooserInput';
import { mouldInputs } from './inputs';
import { MOULD_MODULES } from './kinds';
import { MADE_OF, MOULD_KINDS, type MouldKind } from './kinds/names';
import type { Reasons } from './kinds/module';
import type { MouldMaterials } from './planned';
import { planMould } from './planMould';

/** One way to make the mould: whether it fits, why, and what it costs. */
export interface MouldOption {
	kind: MouldKind;
	fit: 'fits' | 'with care' | 'does not fit';
	why: string[];
	/** What is mixed or melted for it, g; nothing where it is bought or printed, or not known. */
	massG: number;
	/** Why nobody knows how much that is: it cannot be planned at usual sizes. */
	notKnown?: string;
	/** Of a kilogram of it: from its record, else what is usual. */
	pricePerKg: number;
	/** Material and hands together, in the workshop's money: what the ways are ranked by. */
	cost: number;
	/** Hands on, s (common practice, no source). */
	handsS: number;
	/** From the first pour until it may be used, s. */
	readyInS: number;
	/** What goes wrong most, in a few words. */
	risk: string;
}

/** What an hour and a kilogram of rubber usually cost, where the workshop does not say (common practice, no source). */
export const USUAL_HOURLY = 20;
export const USUAL_PRICE_PER_KG = 25;

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
 * Every way for one master, the fitting ones first and among them the least material and work first, both in money. The
 * figures are those of the planner with usual sizes; the reasons are common practice, no source.
 * @param hourly what an hour of work costs here; 0: nobody said, and what is usual counts
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
	roomTempC: number,
	hourly = 0
): MouldOption[] {
	const lock = locksOf(master, answers.undercuts);
	const order = { fits: 0, 'with care': 1, 'does not fit': 2 };
	// without its material a way is no cheaper than the others
	const unknown = (o: MouldOption) => (o.notKnown === undefined ? 0 : 1);
	return MOULD_KINDS.map((kind): MouldOption => {
		const { bad, care, good } = reasons(kind, master, answers, lock, materials);
		const figures = figuresOf(kind, master, materials, roomTempC);
		const handsS = MOULD_MODULES[kind].handsS * (1 + displacedMl(master) / 2000);
		return {
			kind,
			fit: bad.length > 0 ? 'does not fit' : care.length > 0 ? 'with care' : 'fits',
			why: [...bad, ...care, ...good],
			...figures,
			handsS,
			cost: (figures.massG * figures.pricePerKg) / 1000 + (handsS / 3600) * (hourly || USUAL_HOURLY),
			risk: MOULD_MODULES[kind].words.risk
		};
	}).sort((a, b) => order[a.fit] - order[b.fit] || unknown(a) - unknown(b) || a.cost - b.cost);
}

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
	// powder and water cost next to nothing; a bought mould has no material here
	const bought = MADE_OF[kind] === 'rubber' || MADE_OF[kind] === 'thermoplastic';
	const pricePerKg = MOULD_MODULES[kind].pricePerKg(materials) ?? (bought ? USUAL_PRICE_PER_KG : 0);
	try {
		const plan = planMould(inputs.data!, master, materials);
		return { massG: plan.rubber.massG, readyInS: plan.readyInS, pricePerKg };
	} catch (error) {
		if (error instanceof InputError) return { massG: 0, readyInS: 0, pricePerKg, notKnown: error.message };
		throw error;
	}
}

function reasons(
	kind: MouldKind,
	master: MasterRecord,
	answers: ChooserInput,
	lock: Lock,
	materials: MouldMaterials
): Reasons {
	const r: Reasons = { bad: [], care: [], good: [] };
	const largest = Math.max(master.lengthMm, master.widthMm, master.heightMm);
	MOULD_MODULES[kind].judge(r, { ...answers, lock, largest, master });
	if (lock === 'not known' && MOULD_MODULES[kind].mindsUndercuts)
		r.care.push('its undercuts are not known: look it over or give it its 3D file');
	if (MADE_OF[kind] === 'thermoplastic' && !materials.thermoplastic)
		r.care.push('no thermoplastic is chosen: its amount is not known');
	if (MADE_OF[kind] === 'rubber' && !materials.rubber)
		r.care.push('no rubber is chosen: its amount is not known');
	return r;
}
