/**
 * Words that make a newcomer stop, by the label under which they stand. One sentence or two each: what it is, and what it
 * is good for here (common practice, no source).
 */
const SAME = {
	potLife:
		'How long the mixed resin can still be poured, from the moment when A and B are combined. More of it in one cup, a warmer room and warmer parts make it shorter.',
	slack:
		'What is left of the pot life once everything that needs liquid resin is done as planned. Less than nothing: it does not fit, so split it, use more hands or a slower resin.',
	demould:
		'From when the cast may leave its mould without bending or denting. Its thinnest place decides, since a thin wall stays cool and cures last.',
	sprue:
		'The channel through which the mould is filled. Too narrow, and resin does not run through it in time.',
	viscosity:
		'How thick a liquid is. Water has 1 mPa·s, resins 60 to 1000, honey about 10 000, mould rubbers more.'
} as const;

export const GLOSSARY: Readonly<Record<string, string>> = {
	'Pot life': SAME.potLife,
	Slack: SAME.slack,
	'Too long by': SAME.slack,
	Demould: SAME.demould,
	'Thinnest section':
		'The thinnest place of the cast that must be firm when it is taken out, measured through. It cures last, so the demould time goes by it.',
	'Thickest section':
		'The thickest place, measured through. It gets hottest: thick casts may crack, and come out soft and hot inside.',
	'Next layer goes on':
		'Resins bond to themselves while they still cure. A layer that is put on too early runs and drags, one that is too late may peel off: schools differ in the moment.',
	'What stays in the cup':
		'A film on cup, stick and tools that never gets into the mould. It grows with the viscosity; small shots lose the larger share.',
	'Sprue, wide': SAME.sprue,
	'Sprue, long': SAME.sprue,
	'Sprue and vents': SAME.sprue,
	Clearance:
		'Rubber between the piece and the wall of its box. It is the main cost: rubber grows with the square of it; too little and the mould does not hold its shape.',
	Cover: 'Rubber above the highest point of the piece, so that the mould does not tear through there.',
	Undercuts:
		'Places that lock into the mould, so that the piece does not simply slide out: a nostril, a hand on a hip. Soft rubber bends out of shallow ones, deep ones want a seam.',
	'Working time':
		'How long mixed rubber may be stirred, degassed and poured before it thickens. Rubber sets in hours, but it is poured in this time.',
	Viscosity: SAME.viscosity,
	'Viscosity, mixed': SAME.viscosity,
	'One turn takes':
		'For a hollow cast the mould is rolled by hand, every way round. The slower it turns, the thinner the film that it carries.',
	'Rim, long':
		'The edge of a hollow cast round its opening. It is built thicker than the wall so that it does not chip.',
	'Shore A':
		'How hard the cured rubber is: 10 to 20 is soft and bends out of deep undercuts, 30 and more keeps large shapes true.',
	'The ratio may be off by':
		'So much more or less B than the sheet says before the cast shows it: soft, sticky or brittle.',
	'Solid density': 'Of the grains themselves. It says how much room they take in the mix.',
	'Loose density':
		'Of the powder as it lies in the scoop, air and all: often many times less than the grains themselves.',
	'Flashes off in':
		'How long a release has to dry before anything is poured on it. Poured on wet, it leaves pinholes.',
	'Parts of A':
		'The ratio of the tin’s label, such as 100 to 90 by weight or 1 to 1 by volume. A is the isocyanate side of a urethane.',
	'Room and resin': 'Chemistry goes about twice as fast 10 °C warmer: the pot life is half as long.'
};
