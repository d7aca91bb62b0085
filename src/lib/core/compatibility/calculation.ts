import { z } from 'zod';
import { calculation } from '../calculation';
import { MASTER_MATERIALS } from '../master/materials';
import { releaseRecord } from '../shelf/release';
import { resinRecord } from '../shelf/resin';
import { rubberRecord } from '../shelf/rubber';
import { rulesFor } from './compatibility';
import {
	masterThing,
	releaseThing,
	resinThing,
	rigidThing,
	rubberThing,
	thermoplasticThing,
	wetThing,
	type Thing
} from './things';

/** A thing by what it is, without a record of the shelf. */
const thing = z.discriminatedUnion(
	'kind',
	[
		z.strictObject({
			kind: z.literal('master'),
			material: z.enum(MASTER_MATERIALS, { error: 'Choose what the master is made of.' }),
			sealed: z.boolean().default(false)
		}),
		z.strictObject({
			kind: z.literal('rubber'),
			cureKind: rubberRecord.shape.cureKind,
			use: rubberRecord.shape.use
		}),
		z.strictObject({ kind: z.literal('resin'), family: resinRecord.shape.family }),
		z.strictObject({ kind: z.literal('release'), of: releaseRecord.shape.kind }),
		z.strictObject({ kind: z.literal('thermoplastic') }),
		z.strictObject({ kind: z.literal('rigid'), source: z.enum(['bought', 'printed', 'cast resin']) }),
		z.strictObject({ kind: z.literal('wet') })
	],
	{ error: 'A thing is a master, rubber, resin, release, thermoplastic, rigid or wet.' }
);

function thingOf(typed: z.output<typeof thing>): Thing {
	switch (typed.kind) {
		case 'master':
			return masterThing(typed.material, typed.sealed);
		case 'rubber':
			return rubberThing('asked', { ...typed, name: 'rubber' });
		case 'resin':
			return resinThing('asked', { ...typed, name: typed.family });
		case 'release':
			return releaseThing('asked', { name: typed.of, kind: typed.of, paintable: 'as its kind' });
		case 'thermoplastic':
			return thermoplasticThing('asked', 'thermoplastic');
		case 'rigid':
			return rigidThing(typed.source);
		case 'wet':
			return wetThing;
	}
}

/** `compatibility` of the open interface. */
export const compatibilityCalculation = calculation(
	'compatibility',
	'What the rules of the trade say when two materials meet.',
	z.strictObject({ first: thing, second: thing }),
	{ first: { kind: 'master', material: 'sulphur clay' }, second: { kind: 'rubber', cureKind: 'addition' } },
	({ first, second }) => ({ warnings: rulesFor(thingOf(first), thingOf(second)) })
);
