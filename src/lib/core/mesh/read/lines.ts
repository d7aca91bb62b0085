import { MeshError, type Progress } from '../types';

/** Longest line that is read, bytes: a mesh has none longer, a file that is none may. */
const LONGEST_LINE = 1_000_000;
const TELL_EVERY = 20_000;

/** Lines of a text file one after the other, without ever holding the whole text. */
export class Lines {
	#at: number;
	#decoder = new TextDecoder('latin1');
	number = 0;
	constructor(
		private readonly bytes: Uint8Array,
		private readonly progress?: Progress,
		from = 0
	) {
		this.#at = from;
	}
	/** Where the next line begins, bytes. */
	get at(): number {
		return this.#at;
	}
	/** The next line, or nothing at the end. @throws MeshError for a line that no mesh has */
	next(): string | undefined {
		const { bytes } = this;
		if (this.#at >= bytes.length) return undefined;
		let end = bytes.indexOf(10, this.#at);
		if (end === -1) end = bytes.length;
		if (end - this.#at > LONGEST_LINE) throw new MeshError('This is no mesh in text: a line never ends.');
		const line = this.#decoder.decode(bytes.subarray(this.#at, end));
		this.#at = end + 1;
		if (++this.number % TELL_EVERY === 0) this.progress?.(this.#at / bytes.length);
		return line;
	}
}
