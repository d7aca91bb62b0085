import { masterThing, rubberThing, whatMeets, type Experience } from '../compatibility';
import type { MasterRecord } from '../master/master';
import type { RubberRecord } from '../shelf/rubber';
import { digits } from '../units';
import type { MouldKind } from './kinds/names';

/** A rubber of the shelf for one mould: what speaks for it and against it. */
export interface RubberChoice {
	id: string;
	name: string;
	fit: 'fits' | 'with care' | 'does not fit';
	reasons: string[];
}

export interface RubberQuestion {
	kind: MouldKind;
	master: Pick<MasterRecord, 'material' | 'sealing' | 'heightMm' | 'lengthMm' | 'widthMm'>;
	/** Deepest undercut, mm, where a file or the maker says it. */
	undercutDepthMm?: number | undefined;
	copies?: number | undefined;
	/** Hottest that the resin makes the mould's face, °C. */
	faceTempC?: number | undefined;
	degas: 'none' | 'vacuum' | 'pressure';
	/** It will be cast under pressure. */
	inPot: boolean;
}

/** Heat that ordinary mould rubber stands when its sheet is silent, °C (common practice, no source). */
const ORDINARY_HEAT_C = 150;

/**
 * Softest and hardest Shore A that an undercut asks for (common practice, no source): shallow locks slip in
 * any rubber, deep ones want a soft one.
 * @example
 * shoreFor(6, 3); // { least: 0, most: 15 }
 */
export function shoreFor(depthMm: number, smallestMm: number): { least: number; most: number } {
	const deep = smallestMm > 0 ? depthMm / smallestMm : 0;
	if (deep < 0.02) return { least: 10, most: 60 };
	if (deep < 0.08) return { least: 15, most: 30 };
	return { least: 0, most: deep < 0.25 ? 20 : 15 };
}

/**
 * Every rubber of the shelf for this mould, the best first and as good ones in the order of the shelf, each with its reasons
 * (common practice, no source).
 * @example
 * rubberChoices({ master: cube, kind: 'one-piece', undercutMm: 4 }, [{ id: 'b', record: blue }], [])[0]?.id; // 'b'
 */
export function rubberChoices(
	question: RubberQuestion,
	rubbers: readonly { id: string; record: RubberRecord }[],
	experiences: readonly Experience[]
): RubberChoice[] {
	const order = { fits: 0, 'with care': 1, 'does not fit': 2 };
	return rubbers.map((r) => judged(question, r, experiences)).sort((a, b) => order[a.fit] - order[b.fit]);
}

function judged(
	q: RubberQuestion,
	{ id, record }: { id: string; record: RubberRecord },
	experiences: readonly Experience[]
): RubberChoice {
	const good: string[] = [];
	const care: string[] = [];
	const bad: string[] = [];
	for (const w of whatMeets(
		masterThing(q.master.material, q.master.sealing !== 'none'),
		rubberThing(id, record),
		experiences
	))
		(w.severity === 'harm' ? bad : care).push(w.message);
	if (bad.length + care.length === 0)
		good.push(
			record.cureKind === 'addition'
				? 'platinum: no shrinkage, nothing here inhibits it'
				: 'tin: little inhibits it'
		);
	if (record.cureKind === 'condensation' && (q.copies ?? 0) > 25)
		care.push('tin rubber ages and shrinks a little: platinum lasts longer on the shelf');
	hardness(q, record, good, care);
	const stands = record.mostTempC ?? ORDINARY_HEAT_C;
	if (q.faceTempC !== undefined && q.faceTempC > stands)
		bad.push(`its face gets ${digits(q.faceTempC, 0)} °C and it stands ${digits(stands, 0)} °C`);
	if (q.kind === 'jacket' ? record.use !== 'brush-on' : record.use === 'brush-on')
		care.push(
			q.kind === 'jacket'
				? 'made for pouring: it needs a thickener'
				: 'made for brushing: too thick to pour round detail'
		);
	if (q.inPot && q.degas === 'none')
		care.push(
			'not degassed: its bubbles shrink under pressure and the face dimples. Degas it or cure it in the pot'
		);
	if ((record.viscosityMpaS ?? 0) > 25_000 && q.kind !== 'jacket' && q.degas === 'none')
		care.push('thick: without vacuum it keeps its bubbles');
	else if (record.viscosityMpaS !== undefined && record.viscosityMpaS <= 3000)
		good.push('thin enough to pour without vacuum');
	return {
		id,
		name: record.name,
		fit: bad.length > 0 ? 'does not fit' : care.length > 0 ? 'with care' : 'fits',
		reasons: [...bad, ...care, ...good]
	};
}

function hardness(q: RubberQuestion, record: RubberRecord, good: string[], care: string[]): void {
	if (record.shoreA === undefined || q.undercutDepthMm === undefined) return;
	const smallest = Math.min(q.master.heightMm, q.master.lengthMm, q.master.widthMm);
	const { least, most } = shoreFor(q.undercutDepthMm, smallest);
	if (record.shoreA > most)
		care.push(
			`Shore A ${record.shoreA} is hard for locks ${digits(q.undercutDepthMm, 0)} mm deep: ${most} or softer`
		);
	else if (record.shoreA < least) care.push(`Shore A ${record.shoreA} is soft: it sags where nothing locks`);
	else good.push(`Shore A ${record.shoreA} suits its undercuts`);
	if ((q.copies ?? 0) > 25 && record.shoreA < 12) care.push('very soft rubber tears early: fewer copies');
}
