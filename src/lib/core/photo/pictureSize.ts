/** Width and height that a picture's first bytes state, before anything is decoded. */
export interface StatedSize {
	type: 'image/jpeg' | 'image/png' | 'image/webp';
	widthPx: number;
	heightPx: number;
}

/** Most points of a picture that is decoded: four bytes each are held for a moment. */
export const MOST_PIXELS = 120e6;
/** Fewest pixels along the shorter side in which markers and rims can be seen. */
export const FEWEST_PX = 600;
/** The largest file of a picture, bytes. */
export const MOST_BYTES = 60 * 1024 * 1024;

/** Frames of a JPEG that state its size; the others of C0 to CF are tables. */
const isFrame = (marker: number) => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);

function jpegSize(view: DataView): StatedSize | undefined {
	for (let at = 2; at + 9 < view.byteLength;) {
		if (view.getUint8(at) !== 0xff) return undefined;
		const marker = view.getUint8(at + 1);
		if (marker === 0xff) at++;
		else if (isFrame(marker))
			return { type: 'image/jpeg', heightPx: view.getUint16(at + 5), widthPx: view.getUint16(at + 7) };
		else at += 2 + view.getUint16(at + 2);
	}
	return undefined;
}

function webpSize(view: DataView): StatedSize | undefined {
	if (view.byteLength < 30) return undefined;
	const kind = String.fromCharCode(...[12, 13, 14, 15].map((i) => view.getUint8(i)));
	const u24 = (at: number) => view.getUint16(at, true) | (view.getUint8(at + 2) << 16);
	if (kind === 'VP8X') return { type: 'image/webp', widthPx: u24(24) + 1, heightPx: u24(27) + 1 };
	if (kind === 'VP8 ')
		return {
			type: 'image/webp',
			widthPx: view.getUint16(26, true) & 0x3fff,
			heightPx: view.getUint16(28, true) & 0x3fff
		};
	if (kind !== 'VP8L') return undefined;
	const bits = view.getUint32(21, true);
	return { type: 'image/webp', widthPx: (bits & 0x3fff) + 1, heightPx: ((bits >> 14) & 0x3fff) + 1 };
}

/**
 * The size that a picture states in its head (JPEG: ITU-T T.81 B.2.2, PNG: ISO/IEC 15948, WebP: RFC 9649); nothing for
 * what is no picture of these.
 * @param bytes the first part of the file; 256 KiB reach past any usual head
 * @example
 * statedSize(new Uint8Array(4)); // undefined
 */
export function statedSize(bytes: Uint8Array): StatedSize | undefined {
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	if (bytes.length > 9 && bytes[0] === 0xff && bytes[1] === 0xd8) return jpegSize(view);
	if (bytes.length > 24 && view.getUint32(0) === 0x89504e47)
		return { type: 'image/png', widthPx: view.getUint32(16), heightPx: view.getUint32(20) };
	if (bytes.length > 16 && view.getUint32(0) === 0x52494646 && view.getUint32(8) === 0x57454250)
		return webpSize(view);
	return undefined;
}

/**
 * Why a picture is not even decoded, as a sentence; nothing where it may be.
 * @example
 * refusedBySize(4000, { type: 'image/png', widthPx: 100, heightPx: 900 }); // 'This picture has only 100 × 900 points: at least 600 along the shorter side.'
 */
export function refusedBySize(bytes: number, stated: StatedSize | undefined): string | undefined {
	if (bytes > MOST_BYTES)
		return `This picture has ${(bytes / 1024 ** 2).toFixed(0)} MB: at most ${MOST_BYTES / 1024 ** 2} MB.`;
	if (!stated)
		return 'This is no JPEG, PNG or WebP picture. Set the camera to JPEG, or share the picture as JPEG.';
	const { widthPx, heightPx } = stated;
	if (!(widthPx > 0 && heightPx > 0)) return 'This picture says that it has no size: it is damaged.';
	if (widthPx * heightPx > MOST_PIXELS)
		return `This picture says that it has ${Math.round((widthPx * heightPx) / 1e6)} million points: at most ${MOST_PIXELS / 1e6} million.`;
	if (Math.min(widthPx, heightPx) < FEWEST_PX)
		return `This picture has only ${widthPx} × ${heightPx} points: at least ${FEWEST_PX} along the shorter side.`;
	return undefined;
}
