import type { PictureType } from '../core/openData';

const latin = (bytes: Uint8Array, from: number, to: number) =>
	String.fromCharCode(...bytes.subarray(from, to));
const SIGNATURES: readonly { mime: PictureType; test: (b: Uint8Array) => boolean }[] = [
	{ mime: 'image/jpeg', test: (b) => latin(b, 0, 3) === '\xff\xd8\xff' },
	{ mime: 'image/png', test: (b) => latin(b, 0, 8) === '\x89PNG\r\n\x1a\n' },
	{ mime: 'image/webp', test: (b) => latin(b, 0, 4) === 'RIFF' && latin(b, 8, 12) === 'WEBP' }
];

/** What picture it is by its first bytes; nothing for anything else. */
export const pictureTypeOf = (bytes: Uint8Array): PictureType | undefined =>
	SIGNATURES.find((s) => s.test(bytes))?.mime;
