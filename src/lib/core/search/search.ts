/** What can be found: a record, a page or something that can be done. */
export interface Findable {
	kind: 'mould' | 'master' | 'shot' | 'material' | 'tin' | 'pull' | 'page';
	title: string;
	detail: string;
	href: string;
	/** More words that it is found by: a lot, a family, a number without its letter. */
	also?: string;
}

/** Lower case, without accents: what is typed with gloves on is compared with that. */
const plainly = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase().trim();

/** How well one word stands in a text: as a word, at the beginning of one, anywhere; nothing when it does not. */
function fit(word: string, text: string): number {
	const words = text.split(/[^\p{L}\p{N}]+/u);
	if (words.includes(word)) return 3;
	if (words.some((w) => w.startsWith(word))) return 2;
	return text.includes(word) ? 1 : 0;
}

/**
 * Finds by every word that is typed, wherever it stands; the best first, and among equals the shorter title.
 * @param most so many at most
 * @example
 * const all = [{ kind: 'mould', title: 'M4 Ammonite', detail: '', href: '/m4' }, { kind: 'mould', title: 'M14 Anvil', detail: '', href: '/m14' }];
 * search(all, 'm4', 5).map((f) => f.href); // ['/m4']
 */
export function search<F extends Findable>(items: readonly F[], text: string, most: number): F[] {
	const words = plainly(text).split(/\s+/).filter(Boolean).slice(0, 8);
	if (words.length === 0) return [];
	return items
		.flatMap((item) => {
			const title = plainly(item.title);
			const rest = plainly(`${item.also ?? ''} ${item.detail}`);
			let score = 0;
			for (const word of words) {
				// what stands in the title is meant more often than what stands beside it
				const found = Math.max(2 * fit(word, title), fit(word, rest));
				if (found === 0) return [];
				score += found;
			}
			return [{ item, score }];
		})
		.sort((a, b) => b.score - a.score || a.item.title.length - b.item.title.length)
		.slice(0, most)
		.map(({ item }) => item);
}
