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

/** How each is closed unless the maker does it another way. */
export const USUAL_CLOSING = Object.fromEntries(
	MOULD_KINDS.map((k) => [k, MOULD_MODULES[k].closing])
) as Record<MouldKind, MouldModule['closing']>;
