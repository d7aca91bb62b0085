import { RUBBER_WORDS } from '../block/words';
import type { KindWords } from '../kindWords';

export const jacketWords: KindWords = {
	...RUBBER_WORDS,
	name: 'Jacket with shell',
	opens: 'Skin in a shell',
	seated: 'The skin home in its shell with its keys, the joint lined up until it nearly vanishes.',
	risk: 'a skin that folds in its shell, leaks at the flange'
};
