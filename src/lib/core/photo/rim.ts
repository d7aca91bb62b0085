/** Where the piece is in a picture: 1 for a pixel of the piece, 0 for none, row by row. */
export interface Outline {
	widthPx: number;
	heightPx: number;
	piece: Uint8Array;
}

/** How far each pixel lies inside the piece's outline, px; below nothing outside. Only a window round the piece is held. */
export interface Rim {
	/** Upper left of the window in the picture. */
	xPx: number;
	yPx: number;
	widthPx: number;
	heightPx: number;
	insidePx: Float32Array;
}

const FAR = 1e12;

/** Squared distances along one line to the nearest of the given heights: the lower envelope of parabolas. */
function alongLine(f: Float64Array, n: number, out: Float64Array, v: Int32Array, z: Float64Array): void {
	let k = 0;
	v[0] = 0;
	z[0] = -FAR;
	z[1] = FAR;
	for (let q = 1; q < n; q++) {
		let s: number;
		for (;;) {
			const p = v[k]!;
			s = (f[q]! + q * q - (f[p]! + p * p)) / (2 * (q - p));
			if (s > z[k]!) break;
			k--;
		}
		k++;
		v[k] = q;
		z[k] = s;
		z[k + 1] = FAR;
	}
	k = 0;
	for (let q = 0; q < n; q++) {
		while (z[k + 1]! < q) k++;
		out[q] = (q - v[k]!) ** 2 + f[v[k]!]!;
	}
}

/** Distance of each cell to the nearest one that is `wanted`, px (Felzenszwalb and Huttenlocher, Theory of Computing 8 (2012) 415). */
function distances(width: number, height: number, is: (i: number) => boolean): Float32Array {
	const longest = Math.max(width, height);
	const [f, out] = [new Float64Array(longest), new Float64Array(longest)];
	const [v, z] = [new Int32Array(longest), new Float64Array(longest + 1)];
	const squared = new Float64Array(width * height);
	for (let x = 0; x < width; x++) {
		for (let y = 0; y < height; y++) f[y] = is(y * width + x) ? 0 : 1e9;
		alongLine(f, height, out, v, z);
		for (let y = 0; y < height; y++) squared[y * width + x] = out[y]!;
	}
	const result = new Float32Array(width * height);
	for (let y = 0; y < height; y++) {
		for (let x = 0; x < width; x++) f[x] = squared[y * width + x]!;
		alongLine(f, width, out, v, z);
		for (let x = 0; x < width; x++) result[y * width + x] = Math.sqrt(out[x]!);
	}
	return result;
}

/** Round the piece there is so much more, px: what is farther off is outside anyway. */
const MARGIN_PX = 24;

/**
 * How far inside the outline each pixel is. The edge runs half-way between the middles of two pixels, so it is good to
 * a fraction of one. Nothing for a picture without a piece.
 * @example
 * rimOf({ widthPx: 3, heightPx: 1, piece: Uint8Array.from([0, 1, 1]) })?.insidePx[2]; // 1.5
 */
export function rimOf({ widthPx, heightPx, piece }: Outline): Rim | undefined {
	let [x0, y0, x1, y1] = [widthPx, heightPx, -1, -1];
	for (let y = 0; y < heightPx; y++)
		for (let x = 0; x < widthPx; x++) {
			if (!piece[y * widthPx + x]) continue;
			x0 = Math.min(x0, x);
			x1 = Math.max(x1, x);
			y0 = Math.min(y0, y);
			y1 = y;
		}
	if (x1 < 0) return undefined;
	x0 = Math.max(0, x0 - MARGIN_PX);
	y0 = Math.max(0, y0 - MARGIN_PX);
	const width = Math.min(widthPx, x1 + MARGIN_PX + 1) - x0;
	const height = Math.min(heightPx, y1 + MARGIN_PX + 1) - y0;
	const at = (i: number) => piece[(y0 + Math.floor(i / width)) * widthPx + x0 + (i % width)]!;
	const toPiece = distances(width, height, (i) => at(i) !== 0);
	const toGround = distances(width, height, (i) => at(i) === 0);
	const insidePx = toPiece;
	for (let i = 0; i < insidePx.length; i++)
		insidePx[i] = toPiece[i] === 0 ? Math.min(toGround[i]!, 1e4) - 0.5 : 0.5 - toPiece[i]!;
	return { xPx: x0, yPx: y0, widthPx: width, heightPx: height, insidePx };
}

/**
 * How far inside the outline a point of the picture is, px, between the pixels' middles; outside the window by its distance at least.
 * @example
 * insideAt(rimOf({ widthPx: 3, heightPx: 2, piece: Uint8Array.from([0, 1, 1, 0, 1, 1]) }), 1.5, 0); // 1
 */
export function insideAt({ xPx, yPx, widthPx, heightPx, insidePx }: Rim, x: number, y: number): number {
	const [u, v] = [x - xPx, y - yPx];
	const cu = u < 0 ? 0 : u > widthPx - 1 ? widthPx - 1 : u;
	const cv = v < 0 ? 0 : v > heightPx - 1 ? heightPx - 1 : v;
	const [i, j] = [Math.min(cu | 0, widthPx - 2), Math.min(cv | 0, heightPx - 2)];
	const [a, b] = [cu - i, cv - j];
	const o = j * widthPx + i;
	const value =
		(1 - b) * ((1 - a) * insidePx[o]! + a * insidePx[o + 1]!) +
		b * ((1 - a) * insidePx[o + widthPx]! + a * insidePx[o + widthPx + 1]!);
	if (cu === u && cv === v) return value;
	const beyond = Math.hypot(u - cu, v - cv);
	return Math.min(value, 0) - beyond;
}
