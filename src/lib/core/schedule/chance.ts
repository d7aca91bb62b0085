/**
 * Numbers from 0 to 1 that a seed repeats: the mulberry32 generator (public domain).
 * @example
 * chanceOf(1)() === chanceOf(1)(); // true
 */
export function chanceOf(seed: number): () => number {
	let state = seed >>> 0;
	return () => {
		state = (state + 0x6d2b79f5) >>> 0;
		let t = state;
		t = Math.imul(t ^ (t >>> 15), t | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
}
