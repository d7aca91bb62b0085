/** Drawings of our own beside the steps; each is one file's snippet. */
export type HowDrawing =
	| 'overflow'
	| 'mat'
	| 'position'
	| 'seal'
	| 'box'
	| 'seam'
	| 'keys'
	| 'stream'
	| 'tins'
	| 'cups'
	| 'scrape'
	| 'drops'
	| 'clock'
	| 'budget'
	| 'layers'
	| 'drip'
	| 'pot'
	| 'hold'
	| 'edges'
	| 'wear'
	| 'note';

export interface HowPage {
	/** How the station is done, in a line. */
	title: string;
	/** In a text `[12 mm]` and `[275 kPa]` are said in the units of the workshop. */
	steps: readonly { draw: HowDrawing; title: string; text: string }[];
}

/** A short page for each station: what is done there, in the order in which it is done (common practice, no source). */
export const HOW: Readonly<Record<string, HowPage>> = {
	masters: {
		title: 'A master: how large, which way up, what closes its face',
		steps: [
			{
				draw: 'overflow',
				title: 'Measure its volume by water',
				text: 'Fill a vessel to the brim, plunge the piece, weigh what spills. Grams of spilled water are millilitres, and never grams of resin.'
			},
			{
				draw: 'mat',
				title: 'Or walk round it with a camera',
				text: 'Print a mat, stand the piece in its middle and take fifteen pictures at three heights. They give its body and its skin, never too small; hollows are not seen, and water says them.'
			},
			{
				draw: 'position',
				title: 'Think of it as it will be poured',
				text: 'Mostly head down, through its base. Every top that is not joined to the opening keeps a bubble: turn it until few are left, and vent those.'
			},
			{
				draw: 'seal',
				title: 'Seal a porous face, then release',
				text: 'Wood, plaster and raw prints lock rubber in their pores. Two thin coats, dry; wax or release thin and buffed: what shines on it shines on every copy.'
			}
		]
	},
	moulds: {
		title: 'A mould: box, rubber, seam and keys',
		steps: [
			{
				draw: 'box',
				title: 'Walls as near as the rubber stays stable',
				text: '[6 mm] round a small soft block, [12 mm] and more round a large one, [12 mm] over its highest point. Rubber grows with the square of the gap. Seal every joint: rubber finds each one.'
			},
			{
				draw: 'stream',
				title: 'Pour a thin stream at the lowest point',
				text: 'Beside the master and never on it: the rubber rises and drives the air before it. Keep the cup with its stick: when that peels out clean, the mould is ready.'
			},
			{
				draw: 'seam',
				title: 'Cut a wavy seam where it matters least',
				text: 'Never a sharp corner. The far side stays whole as a hinge. Write the outline and the cut on the base board before the rubber covers it.'
			},
			{
				draw: 'keys',
				title: 'Halves find each other by keys',
				text: 'Pressed into the clay before the first half, round and smooth. Release on the rubber before the second half, or the two are one.'
			}
		]
	},
	shelf: {
		title: 'The shelf: what each tin is, and how long it may be trusted',
		steps: [
			{
				draw: 'tins',
				title: 'Stir each part in its own tin',
				text: 'Each with its own clean stick. Separated stock gives a wrong ratio however well it is weighed.'
			},
			{
				draw: 'drops',
				title: 'Keep damp away from A',
				text: 'It is opened last and closed first, and flushed with dry gas if there is any. Old or damp stock foams: a small trial cup tells.'
			},
			{
				draw: 'note',
				title: 'Write down what the sheet says',
				text: 'Ratio, pot life, demould. What it does not say is taken as usual for its kind, and marked, until somebody types it.'
			}
		]
	},
	cure: {
		title: 'Cure: what the heat does',
		steps: [
			{
				draw: 'clock',
				title: 'The pot life is that of its mass',
				text: 'A large cup heats itself and is shorter; ten degrees more halve it. Spread out, it lasts longer: a bucket left standing runs away.'
			},
			{
				draw: 'drip',
				title: 'The middle sets first',
				text: 'Thin parts, edges and the cold wall last. A thin drip on the outside is a good witness; a thick left-over in the cup is not.'
			},
			{
				draw: 'note',
				title: 'Readings make it surer',
				text: 'A gun thermometer on the cup, and the presses at the bench, teach the model this tin and this mould.'
			}
		]
	},
	mix: {
		title: 'Mixing: two cups, then one clock',
		steps: [
			{
				draw: 'cups',
				title: 'By weight, or by marks on equal cups',
				text: 'Parts that match in the cup seldom match on the scale. Keep to one way, and to a cup and a stick for each part.'
			},
			{
				draw: 'note',
				title: 'Colour and filler first',
				text: 'Everything is measured and stirred in before A and B meet: the clock starts there.'
			},
			{
				draw: 'scrape',
				title: 'Scrape sides and floor',
				text: 'For 30 to 60 s of a short pot life. What was not mixed stays soft; more mixing costs only time.'
			}
		]
	},
	shots: {
		title: 'A shot: amount and time',
		steps: [
			{
				draw: 'overflow',
				title: 'Cavity, sprue, and what stays in the cup',
				text: 'The amount is said for each of them. A tenth to a fifth over is usual for a small one.'
			},
			{
				draw: 'budget',
				title: 'All of it before it thickens',
				text: 'Mix, pour, load the pot, close it, pump up. What does not fit is split in cups, cooled, poured by two, or cast in a slower resin.'
			},
			{
				draw: 'layers',
				title: 'Hollow: thin layers, rolled until they stop',
				text: 'The next goes on when the last has gelled and before it has cured through. The first carries all the detail, the last are thickened for the rim.'
			}
		]
	},
	orders: {
		title: 'Orders: so many copies by a day, and what to do now',
		steps: [
			{
				draw: 'note',
				title: 'Promise from the sum, not from the head',
				text: 'A line is a kept shot and so many copies. Scrap, worn moulds, cold nights and the tin on the shelf are in the day that is shown, with how sure it is.'
			},
			{
				draw: 'clock',
				title: 'Work from the list of today',
				text: 'It says what hands are wanted for and when, what stands ready, and how long you are free. Beginning a line opens the pour with everything set.'
			},
			{
				draw: 'wear',
				title: 'Let it be made anew when something happens',
				text: 'A torn mould, a late pull, an empty tin: the new plan says what moves and whether the day still holds, and waits for your word. What has begun is never moved.'
			}
		]
	},
	pour: {
		title: 'The pour',
		steps: [
			{
				draw: 'tins',
				title: 'Lay everything out first',
				text: 'Mould clean, dry, warm and closed; spare moulds, gloves, timer. Nothing is looked for once A and B are together.'
			},
			{
				draw: 'stream',
				title: 'In at the lowest point, until every vent is full',
				text: 'A thin stream; tilt, roll, tap. It is full when resin stands in the sprue and in every vent; then top it up.'
			},
			{
				draw: 'edges',
				title: 'Out by its edges, slowly',
				text: 'When the colour has reached the thin parts. It is the rubber that tears.'
			}
		]
	},
	pots: {
		title: 'The pressure pot',
		steps: [
			{
				draw: 'pot',
				title: 'Press bubbles small while it is liquid',
				text: 'At [275 kPa] a bubble has 27 % of its volume left (Boyle). Never past what is stamped on the vessel; its maker’s sheet and local rules come first.'
			},
			{
				draw: 'hold',
				title: 'Hold until it is firm',
				text: 'Opened early, the bubbles grow back. A mould that was made without vacuum or pressure dimples in the pot.'
			},
			{
				draw: 'note',
				title: 'Look it over by its count',
				text: 'Gasket, clamps, relief valve and hoses each have their look, by cycles and by days.'
			}
		]
	},
	ledger: {
		title: 'The ledger: what came of it',
		steps: [
			{
				draw: 'note',
				title: 'A grade, and where it went wrong',
				text: 'Good, needs work or scrap, in a press or two. The place of a bubble says more than its number.'
			},
			{
				draw: 'wear',
				title: 'The signs of wear',
				text: 'Gloss goes first, then fine edges, then corners tear and the seam opens. Scored now and then they tell how many pulls are left.'
			}
		]
	}
};

const SAID = { mm: 'length', kPa: 'pressure' } as const;

/** A text of these pages with its quantities in the units of the workshop. */
export const inUnits = (text: string, show: (value: number, kind: 'length' | 'pressure') => string): string =>
	text.replace(/\[(\d+) (mm|kPa)\]/g, (_, value: string, unit: keyof typeof SAID) =>
		show(Number(value), SAID[unit])
	);
