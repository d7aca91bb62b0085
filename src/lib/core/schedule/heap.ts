/** Numbers of which the one that comes before all others is taken first. */
export class Heap {
	readonly #list: number[] = [];
	readonly #before: (a: number, b: number) => number;
	constructor(before: (a: number, b: number) => number) {
		this.#before = before;
	}

	push(x: number): void {
		const list = this.#list;
		list.push(x);
		for (let i = list.length - 1; i > 0;) {
			const parent = (i - 1) >> 1;
			if (this.#before(list[i]!, list[parent]!) >= 0) break;
			[list[i], list[parent]] = [list[parent]!, list[i]!];
			i = parent;
		}
	}

	pop(): number | undefined {
		const list = this.#list;
		const top = list[0];
		const last = list.pop();
		if (list.length === 0) return top;
		list[0] = last!;
		for (let i = 0; ;) {
			let child = 2 * i + 1;
			if (child >= list.length) break;
			if (child + 1 < list.length && this.#before(list[child + 1]!, list[child]!) < 0) child++;
			if (this.#before(list[child]!, list[i]!) >= 0) break;
			[list[i], list[child]] = [list[child]!, list[i]!];
			i = child;
		}
		return top;
	}
}
