import { createHash } from 'node:crypto';

/**
 * An id that follows from a text: what is sent twice has the same one.
 * @example
 * uuidOf('a') === uuidOf('a'); // true
 */
export function uuidOf(text: string): string {
	const h = createHash('sha256').update(text).digest('hex');
	return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`;
}
