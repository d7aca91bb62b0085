import { RUBBER_WORDS } from '../block/words';
import type { KindWords } from '../kindWords';

export const twoPartWords: KindWords = {
	...RUBBER_WORDS,
	name: 'Two-part block',
	opens: 'In two halves',
	seated: 'Keys home, the joint lined up until it nearly vanishes.',
	risk: 'a step at the joint, flash'
};
