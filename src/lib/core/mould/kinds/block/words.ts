/** Words that do not depend on how a block opens. */
export const RUBBER_WORDS = {
	verb: 'pour',
	made: 'Poured',
	madeNow: 'Rubber is poured now',
	notMade: 'The rubber is not poured yet.',
	answer: 'Rubber to mix',
	choose: 'Choose a master and a rubber: the rubber to mix appears here.',
	open: false,
	looked: 'Stretch the seam and the undercuts: no new tears, no holes.',
	release: 'Release on the master'
};
