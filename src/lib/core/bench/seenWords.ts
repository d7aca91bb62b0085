/** What people judge a cure by, each one press with its time. */
export const SEEN = [
	'warm',
	'strings',
	'middle-turned',
	'drip-turned',
	'left-over-soft',
	'left-over-rigid',
	'demould-soft',
	'demould-right',
	'demould-locked'
] as const;
export type Seen = (typeof SEEN)[number];
export const SEEN_WORDS: Readonly<Record<Seen, string>> = {
	warm: 'Warm through the cup',
	strings: 'It strings',
	'middle-turned': 'The middle has turned',
	'drip-turned': 'A thin drip has turned',
	'left-over-soft': 'The left-over is still soft',
	'left-over-rigid': 'The left-over is rigid',
	'demould-soft': 'Tried: it is still soft',
	'demould-right': 'It comes out right',
	'demould-locked': 'It has locked'
};
