import { z } from 'zod';
import { CURES, trapRecord, type TrapRecord } from './shape';

/**
 * What to look for when there is no file, in the order in which a piece is turned in the hands. Each kind
 * says what it is and what usually helps (common practice, no source).
 */
export const LOOKS = [
	{ kind: 'tip', ask: 'What points up away from the pour hole: hands, ears, horns, feet?', help: 'vent' },
	{ kind: 'loop', ask: 'Is there a loop or handle whose top is not the pour hole?', help: 'vent' },
	{ kind: 'overhang', ask: 'What hangs over: a brim, a chin, a rim with a lip?', help: 'squeeze or roll' },
	{ kind: 'detail', ask: 'Fine letters, pores or folds on a face that looks up?', help: 'brush in' },
	{ kind: 'ceiling', ask: 'A wide, nearly level face that will be the ceiling?', help: 'tilt' }
] as const satisfies readonly { kind: string; ask: string; help: (typeof CURES)[number] }[];

/** The guided look as a form: the places that were noted. */
export const lookForm = z.object({
	places: z.array(trapRecord.pick({ place: true, cure: true })).max(60, 'At most 60 places.')
});
export type LookForm = z.output<typeof lookForm>;

/**
 * Noted places as the master keeps them, beside what its file says.
 * @example
 * trapsFromLook({ places: [{ place: 'left ear', cure: 'vent' }] }, [])[0]?.source; // 'look'
 */
export function trapsFromLook(form: LookForm, before: readonly TrapRecord[]): TrapRecord[] {
	return [
		...before.filter((t) => t.source === 'file'),
		...form.places.map((p) => ({ ...p, source: 'look' as const }))
	];
}
