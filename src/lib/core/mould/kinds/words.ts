import { jacketWords } from './jacket/words';
import { onePieceWords } from './onePiece/words';
import { openFaceWords } from './openFace/words';
import { pressWords } from './press/words';
import { rigidWords } from './rigid/words';
import { twoPartWords } from './twoPart/words';
import { wetWords } from './wet/words';
import type { KindWords } from './kindWords';
import { MOULD_KINDS, type MouldKind } from './names';

/** What is said of each kind; light enough for a page that plans none. */
export const MOULD_WORDS: Readonly<Record<MouldKind, KindWords>> = {
	'open-face': openFaceWords,
	'one-piece': onePieceWords,
	'two-part': twoPartWords,
	jacket: jacketWords,
	press: pressWords,
	rigid: rigidWords,
	wet: wetWords
};

/** What each is called. */
export const KIND_WORDS = Object.fromEntries(MOULD_KINDS.map((k) => [k, MOULD_WORDS[k].name])) as Record<
	MouldKind,
	string
>;
