/** What is wrong with a picture, by a short name; `refused` ones are not measured. */
export const PICTURE_FAULTS = {
	'no-mat': 'No marker of the mat is seen: the whole mat has to be in the picture, sharp and in light.',
	'few-markers':
		'Too little of the mat is seen: most of the ring of markers has to be in the picture and free.',
	'other-mat': 'This is another mat than in the other pictures.',
	blurred: 'Blurred: hold still, or let the camera find the mat first.',
	dark: 'Too dark: more light, from all sides, and no flash.',
	glaring: 'Too bright: the paper has lost its grey, and the rim of the piece with it.',
	twice: 'The same as another picture: walk on round the piece.',
	'does-not-fit':
		'Does not fit with the others: the mat bent, the piece or mat moved, or another zoom or camera.',
	alone: 'Taken at another size or zoom than the others: at least two of one kind are needed.',
	'no-outline':
		'The piece does not stand out: colour it (dark powder, washable paint), or paint its outline by hand.',
	pale: 'The piece has the colour of what lies behind it here, so this outline is a guess: colour the piece (dark powder, washable paint), lay something else behind it, or paint its outline.',
	'cut-off': 'The piece runs out of the picture: step back.'
} as const;
export type PictureFault = keyof typeof PICTURE_FAULTS;
