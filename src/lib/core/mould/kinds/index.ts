import { jacket } from './jacket';
import type { MouldModule } from './module';
import { MOULD_KINDS, type MouldKind } from './names';
import { onePiece } from './onePiece';
import { openFace } from './openFace';
import { press } from './press';
import { rigid } from './rigid';
import { twoPart } from './twoPart';
import { wet } from './wet';

/** Every kind of mould with all that it brings: what a new kind lacks does not compile. */
export const MOULD_MODULES: Readonly<Record<MouldKind, MouldModule>> = {
	'open-face': openFace,
	'one-piece': onePiece,
	'two-part': twoPart,
	jacket,
	press,
	rigid,
	wet
};

/** One thing of every kind, by kind. */
const each = <T>(of: (m: MouldModule) => T) =>
	Object.fromEntries(MOULD_KINDS.map((k) => [k, of(MOULD_MODULES[k])])) as Record<MouldKind, T>;

/** What each is called. */
export const KIND_WORDS = each((m) => m.words.name);
/** How each is closed unless the maker does it another way. */
export const USUAL_CLOSING = each((m) => m.closing);
