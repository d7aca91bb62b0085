import type { LayersQuestion } from '../../cure/bands';
import type { Inputs } from '../inputs';
import type { CastField } from './fields';
import type { PlannedShot, ShotContext } from '../planned';

/** Everything that one kind of cast brings. A new kind is one of these, in a folder of its own. */
export interface CastModule {
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
	/** It is laid in layers, one after another. */
	layered: boolean;
	/** Sizes it. @throws InputError at the field with what would do */
	plan(inputs: Inputs, context: ShotContext): PlannedShot & { stack?: LayersQuestion };
}

/** What most kinds say. */
export const USUAL_WORDS = {
	filler: 'Filler, through and through',
	share: 'Of the whole, by weight',
	colour: 'Colour recipe',
	layers: 'Layer on layer'
};
