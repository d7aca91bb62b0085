import type { Part } from './parts';

/** What is done in a part of a pull: the verb for a list, and the word for what goes on. */
export const PART_WORDS: Readonly<Record<Part, { does: string; is: string }>> = {
	prep: { does: 'Prepare', is: 'mould made ready' },
	dry: { does: 'Let dry', is: 'coat dries' },
	cast: { does: 'Cast', is: 'cast' },
	layer: { does: 'Next layer of', is: 'layer' },
	hold: { does: 'Hold in the pot', is: 'in the pot' },
	cure: { does: 'Let cure', is: 'cures' },
	demould: { does: 'Take out', is: 'taken out' },
	finish: { does: 'Finish', is: 'finished' },
	ready: { does: 'Ready', is: 'ready' },
	make: { does: 'Make a successor of', is: 'successor made' },
	set: { does: 'Rubber cures', is: 'rubber cures' }
};
