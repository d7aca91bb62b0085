import type { Sections } from '../cure/sections';
import { digits } from '../units';
import { InputError, type WorkingLine } from '../working';
import type { Inputs } from './inputs';
import type { Also } from './otherPiece';
import type { ShotContext } from './planned';
import { sectionsOf } from './thickest';

/**
 * What else each cup of this shot fills. Only one cup that is poured at once is shared: layers and colours together
 * fill the piece that they are measured for.
 * @throws InputError at the line whose mould is not known, stands twice, or holds fewer
 */
export function alsoOf(inputs: Pick<Inputs, 'kind' | 'cups' | 'also'>, { others = [] }: ShotContext): Also[] {
	if (inputs.kind !== 'solid' || inputs.cups?.length) return [];
	return (inputs.also ?? []).map(({ mouldId, copies }, i) => {
		const piece = others.find((o) => o.mouldId === mouldId);
		if (!piece)
			throw new InputError(
				['also', i, 'mouldId'],
				'This mould stands ready no more, or it is one of the piece itself: choose another.'
			);
		if ((inputs.also ?? []).findIndex((a) => a.mouldId === mouldId) < i)
			throw new InputError(
				['also', i, 'mouldId'],
				`${piece.name} stands there twice: type more of it instead.`
			);
		if (copies > piece.cavities)
			throw new InputError(
				['also', i, 'copies'],
				`${piece.name} holds ${piece.cavities} at once: fill no more from one cup.`
			);
		return { ...piece, copies };
	});
}

/** Resin that they take from each cup, ml, and how many there are. */
export const alsoTakes = (also: readonly Also[]): { alsoMl: number; alsoCopies: number } => ({
	alsoMl: also.reduce((sum, a) => sum + a.copies * (a.volumeMl + a.sprueMl), 0),
	alsoCopies: also.reduce((sum, a) => sum + a.copies, 0)
});

/** Where each of them sets last and gets hottest. */
export const alsoSections = (a: Also, inputs: Pick<Inputs, 'sectionMm'>): Sections =>
	sectionsOf({ sectionMm: Math.min(500, Math.max(0.5, a.thinnestMm ?? inputs.sectionMm)) }, a);

/** The sum of what they take. */
export const alsoWorking = (also: readonly Also[]): WorkingLine[] =>
	also.map((a) => ({
		what: `From the same cup: ${a.name}`,
		sum: `${a.copies} × (${digits(a.volumeMl)} + ${digits(a.sprueMl)}) ml`,
		result: `${digits(a.copies * (a.volumeMl + a.sprueMl))} ml`
	}));
