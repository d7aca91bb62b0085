import { RUBBER_WORDS } from '../block/words';
import type { KindWords } from '../kindWords';

export const onePieceWords: KindWords = {
	...RUBBER_WORDS,
	name: 'One-piece block',
	opens: 'By a cut seam',
	seated: 'The cut lined up until it nearly vanishes.',
	risk: 'a cut that wanders into the face'
};
