/**
 * A pure function that remembers its last answers, the oldest forgotten first. What throws is not remembered.
 * @param key tells questions apart
 * @param most answers that are kept
 * @example remembering((x: number) => x * x, String, 2)(3) // 9
 */
export function remembering<A, B>(work: (a: A) => B, key: (a: A) => string, most: number): (a: A) => B {
	const known = new Map<string, B>();
	return (a) => {
		const k = key(a);
		if (known.has(k)) return known.get(k)!;
		const answer = work(a);
		if (known.size >= most) known.delete(known.keys().next().value!);
		known.set(k, answer);
		return answer;
	};
}
