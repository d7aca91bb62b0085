import { z } from 'zod';
import { name, note } from './fields';

const width = (where: string) =>
	z
		.number({ error: `Measure it inside ${where}, such as 70 mm.` })
		.min(5, 'Under 5 mm: check the unit.')
		.max(600, 'Over 60 cm: check the unit.');

/** A cup that parts are measured in by marks: straight or tapered, plain or with a scale printed on it. */
export const markCupRecord = z.object({
	name: name('cup'),
	/** Inside at its floor and at its rim, mm; alike for a straight one. */
	floorMm: width('at the floor'),
	rimMm: width('at the rim'),
	heightMm: z
		.number({ error: 'Measure how deep it is inside, such as 90 mm.' })
		.min(5, 'Under 5 mm: check the unit.')
		.max(1000, 'Over 1 m: check the unit.'),
	/** What its own scale is in. */
	graduated: z.enum(['none', 'ml', 'floz']).default('none'),
	note
});
export type MarkCup = z.output<typeof markCupRecord>;
