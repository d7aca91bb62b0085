import { RUBBER_WORDS } from '../block/words';
import type { KindWords } from '../kindWords';

export const openFaceWords: KindWords = {
	...RUBBER_WORDS,
	name: 'Open-face block',
	opens: 'At its flat back',
	seated: 'Its open face up, nothing on it.',
	looked: 'Bend it: no tears at its edges and undercuts.',
	risk: 'a back that is not level',
	open: true
};
