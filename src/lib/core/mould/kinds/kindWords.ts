/** What one kind of mould is called, and what is said of it where it is planned, made and poured. */
export interface KindWords {
	/** What it is called. */
	name: string;
	/** How it opens, as the planner asks it. */
	opens: string;
	/** What making it does to its material, of one that is done: "Poured". */
	made: string;
	/** The button that says that it is done now. */
	madeNow: string;
	/** What is done with so much material: "to pour". */
	verb: string;
	/** While it is not done yet. */
	notMade: string;
	/** Where it is planned: what its first answer stands for. */
	answer: string;
	/** What is missing before there is an answer. */
	choose: string;
	/** How it is put together for a pour, and where it is looked at before. */
	seated: string;
	looked: string;
	/** What goes wrong most, in a few words. */
	risk: string;
	release: string;
	/** It is poured into its open back: no sprue, no vents, and nothing closes it. */
	open: boolean;
}
