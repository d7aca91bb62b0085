import type { KindWords } from '../kindWords';

export const wetWords: KindWords = {
	name: 'Wet, short-lived mould',
	opens: 'Wet, for one or two casts',
	verb: 'mix',
	made: 'Poured',
	madeNow: 'It is poured now',
	notMade: 'It is not poured yet: mix it when the cast can follow at once.',
	answer: 'Powder to weigh',
	choose: 'Choose a master: powder and water appear here.',
	seated: 'Its open face up, shaken dry, under a damp cloth until the pour.',
	looked: 'Press it: no tears, no water standing in it, its edge not yet dry.',
	risk: 'shrinking while it waits, tears at thin places',
	release: 'Release on the master',
	open: true
};
