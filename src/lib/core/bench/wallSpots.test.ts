import { expect, it } from 'vitest';
import { castFindings, wallStands } from '.';

it('a wall that was measured is told against the planned one', () => {
	expect([2.9, 3, 4, 5.3, 5.4].map((mm) => wallStands(mm, 4))).toEqual([
		'thin',
		'as planned',
		'as planned',
		'as planned',
		'thick'
	]);
});

it('walls are kept by their spots, and a slip is said at its own', () => {
	expect(castFindings.parse({ wallsMm: { left: 3.5, rim: 6 } }).wallsMm).toEqual({ left: 3.5, rim: 6 });
	const slip = castFindings.safeParse({ wallsMm: { left: 3500 } });
	expect(slip.error!.issues[0]).toMatchObject({
		path: ['wallsMm', 'left'],
		message: 'Over 200 mm: check the unit.'
	});
	expect(castFindings.safeParse({ wallsMm: { nose: 3 } }).success).toBe(false);
});
