import type { CastField } from './fields';

/** What one kind of cast is called and asks for; how it is planned stands beside it, in the same folder. */
export interface CastAsked {
	words: {
		/** How a piece is built up, in the words of the trade. */
		name: string;
		/** Over the fields that it alone asks for; empty: it asks for nothing of its own. */
		fields: string;
		/** What its filler is; empty: it takes none. */
		filler: string;
		/** What the filler's share is of; empty: its amount follows from something else. */
		share: string;
		/** What its colour recipe tints. */
		colour: string;
		/** Over the clock of its layers. */
		layers: string;
	};
	/** What it alone asks for. */
	fields: readonly CastField[];
	/** Things lie in it, layer by layer. */
	takesEmbeds: boolean;
	/** Its layers may differ, each with a place, an amount, a filler and a colour of its own. */
	takesRows: boolean;
	/** It is laid in layers, one after another. */
	layered: boolean;
}

/** What most kinds say. */
export const USUAL_WORDS = {
	filler: 'Filler, through and through',
	share: 'Of the whole, by weight',
	colour: 'Colour recipe',
	layers: 'Layer on layer'
};
