import type { KindWords } from '../kindWords';

export const rigidWords: KindWords = {
	name: 'Rigid mould',
	opens: 'Rigid',
	verb: 'make',
	made: 'Made',
	madeNow: '',
	notMade: '',
	answer: 'Putty in the parting line',
	choose: 'Choose a master: putty and bands appear here.',
	seated: 'The parts together without a step, putty in the parting line.',
	looked: 'No holes, no warp, no step where its parts meet.',
	risk: 'resin that sticks, warping',
	release: 'Release in the mould',
	open: false
};
