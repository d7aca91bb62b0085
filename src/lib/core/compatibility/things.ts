import { z } from 'zod';
import { MASTER_MATERIALS, type MasterMaterial } from '../master/materials';
import type { ReleaseRecord } from '../shelf/release';
import type { ResinRecord } from '../shelf/resin';
import type { RubberRecord } from '../shelf/rubber';

/** Something that another thing is poured onto or into, or coated with. `key` stays the same for good. */
export type Thing =
	| { kind: 'master'; key: string; name: string; material: MasterMaterial; sealed?: boolean }
	| {
			kind: 'rubber';
			key: string;
			name: string;
			cureKind: RubberRecord['cureKind'];
			use?: RubberRecord['use'];
	  }
	| { kind: 'resin'; key: string; name: string; family: ResinRecord['family'] }
	| { kind: 'release'; key: string; name: string; release: Pick<ReleaseRecord, 'kind' | 'paintable'> }
	| { kind: 'thermoplastic'; key: string; name: string }
	| { kind: 'rigid'; key: string; name: string; source: RigidSource }
	| { kind: 'wet'; key: string; name: string };
/** How a rigid mould came to be: it says what its face is made of. */
export type RigidSource = 'bought' | 'printed' | 'cast resin';

/** What the maker found when two things met. */
export const VERDICTS = ['fine', 'with care', 'never again'] as const;

const key = z
	.string()
	.regex(/^(master|rubber|resin|release|thermoplastic|rigid|wet):.{1,80}$/u, 'Choose one of the list.');

/** A maker's own experience with a pair; it stands beside the rules and comes before them. */
export const experienceRecord = z
	.object({
		first: key,
		second: key,
		verdict: z.enum(VERDICTS, { error: 'Say how it went.' }),
		note: z.string().trim().max(500, 'Keep the note under 500 characters.').default('')
	})
	.superRefine((e, ctx) => {
		if (e.first === e.second)
			ctx.addIssue({ code: 'custom', path: ['second'], message: 'Choose two different things.' });
	});
export type Experience = z.output<typeof experienceRecord>;

/**
 * A master of this material as a thing that is touched.
 * @example
 * masterThing('wood', true); // { kind: 'master', key: 'master:wood', name: 'wood', material: 'wood', sealed: true }
 */
export const masterThing = (material: MasterMaterial, sealed = false): Thing => ({
	kind: 'master',
	key: `master:${material}`,
	name: material,
	material,
	sealed
});
/**
 * A rubber of the shelf as a thing that is touched.
 * @example
 * rubberThing('1', blue).key; // 'rubber:1'
 */
export const rubberThing = (id: string, r: Pick<RubberRecord, 'name' | 'cureKind' | 'use'>): Thing => ({
	kind: 'rubber',
	key: `rubber:${id}`,
	name: r.name,
	cureKind: r.cureKind,
	use: r.use
});
/**
 * A resin of the shelf as a thing that is touched.
 * @example
 * resinThing('1', { name: 'White', family: 'fast urethane' }).key; // 'resin:1'
 */
export const resinThing = (id: string, r: Pick<ResinRecord, 'name' | 'family'>): Thing => ({
	kind: 'resin',
	key: `resin:${id}`,
	name: r.name,
	family: r.family
});
/**
 * A release of the shelf as a thing that is touched.
 * @example
 * releaseThing('1', wax).key; // 'release:1'
 */
export const releaseThing = (id: string, r: Pick<ReleaseRecord, 'name' | 'kind' | 'paintable'>): Thing => ({
	kind: 'release',
	key: `release:${id}`,
	name: r.name,
	release: r
});
/**
 * A thermoplastic of the shelf as a thing that is touched.
 * @example
 * thermoplasticThing('1', 'Kettle'); // { kind: 'thermoplastic', key: 'thermoplastic:1', name: 'Kettle' }
 */
export const thermoplasticThing = (id: string, name: string): Thing => ({
	kind: 'thermoplastic',
	key: `thermoplastic:${id}`,
	name
});
const RIGID_NAMES: Readonly<Record<RigidSource, string>> = {
	bought: 'bought rigid mould',
	printed: 'printed rigid mould',
	'cast resin': 'mould of rigid resin'
};
/**
 * A rigid mould as a thing that is touched.
 * @example
 * rigidThing('printed').name; // 'printed rigid mould'
 */
export const rigidThing = (source: RigidSource): Thing => ({
	kind: 'rigid',
	key: `rigid:${source}`,
	name: RIGID_NAMES[source],
	source
});
/** The face of a mould of powder and water. */
export const wetThing: Thing = { kind: 'wet', key: 'wet:mould', name: 'wet mould' };
/** Every kind of rigid mould. */
export const RIGID_THINGS: readonly Thing[] = (['bought', 'printed', 'cast resin'] as const).map(rigidThing);
/** Every material a master may be made of, as things. */
export const MASTER_THINGS: readonly Thing[] = MASTER_MATERIALS.map((m) => masterThing(m));
