import type { Coverage } from '$lib/core/photo/directions';

const HOW = {
	low: 'low, as if along the table',
	middle: 'from half above',
	high: 'from high above'
} as const;
const SIDES = [
	'right',
	'far right',
	'far side',
	'far left',
	'left',
	'near left',
	'near side',
	'near right'
] as const;

/** What to do for the next picture, said to somebody who walks round the mat with a camera. */
export function nextWords({ next, share }: Coverage, count: number): string {
	if (count === 0) return 'Take the first picture from wherever you stand, with the whole mat in it.';
	if (!next) return 'All round and at three heights: work out the body. More pictures make it tighter.';
	const side = SIDES[Math.round(next.roundDeg / 45) % 8]!;
	return `${share > 0.75 ? 'Nearly there. ' : ''}Next: ${HOW[next.height]}, from the ${side} of the mat.`;
}
