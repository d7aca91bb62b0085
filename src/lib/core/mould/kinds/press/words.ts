import type { KindWords } from '../kindWords';

export const pressWords: KindWords = {
	name: 'Thermoplastic press mould',
	opens: 'Re-meltable, pressed',
	verb: 'press',
	made: 'Pressed',
	madeNow: 'It is pressed now',
	notMade: 'It is not pressed yet.',
	answer: 'Thermoplastic to soften',
	choose: 'Choose a master and a thermoplastic: what to soften appears here.',
	seated: 'The halves together with their keys, cold and dry.',
	looked: 'No cracks, no holes; it is cold and keeps its shape.',
	risk: 'soft detail, warping in hot resin',
	release: '',
	open: false
};
