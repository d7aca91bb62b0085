export type P = readonly [number, number, number];
/** Signed distance to a body, mm; negative inside. */
export type Body = (p: P) => number;
/** A body with the box in which it lies, mm, and the cells by which it is walked. */
export interface BoxedBody {
	body: Body;
	min: P;
	max: P;
	stepMm: number;
}

const sub = (a: P, b: P): P => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: P, b: P) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** A limb: a rod with round ends that tapers from one radius to another. */
function limb(a: P, b: P, ra: number, rb: number): Body {
	const ab = sub(b, a);
	const length2 = dot(ab, ab);
	return (p) => {
		const t = Math.min(1, Math.max(0, dot(sub(p, a), ab) / length2));
		return (
			Math.hypot(p[0] - a[0] - t * ab[0], p[1] - a[1] - t * ab[1], p[2] - a[2] - t * ab[2]) -
			(ra + t * (rb - ra))
		);
	};
}

/** A flat round plate, its edge a little rounded. */
function plate(z0: number, z1: number, radius: number): Body {
	return (p) => {
		const dr = Math.hypot(p[0], p[1]) - radius + 1;
		const dz = Math.abs(p[2] - (z0 + z1) / 2) - (z1 - z0) / 2 + 1;
		return Math.hypot(Math.max(dr, 0), Math.max(dz, 0)) + Math.min(Math.max(dr, dz), 0) - 1;
	};
}

/** A block between two corners with rounded edges. */
function block(a: P, b: P, edgeMm = 1): Body {
	return (p) => {
		const d = p.map((x, k) => Math.abs(x - (a[k]! + b[k]!) / 2) - Math.abs(b[k]! - a[k]!) / 2 + edgeMm) as [
			number,
			number,
			number
		];
		return (
			Math.hypot(Math.max(d[0], 0), Math.max(d[1], 0), Math.max(d[2], 0)) +
			Math.min(Math.max(...d), 0) -
			edgeMm
		);
	};
}

/** A ring round the upright axis. */
const ring =
	(z: number, radius: number, thick: number): Body =>
	(p) =>
		Math.hypot(Math.hypot(p[0], p[1]) - radius, p[2] - z) - thick;

/** Joins bodies with a soft fillet of about k mm (polynomial smooth minimum). */
function blend(k: number, ...bodies: readonly Body[]): Body {
	return (p) =>
		bodies
			.map((b) => b(p))
			.reduce((a, b) => {
				const h = Math.max(k - Math.abs(a - b), 0) / k;
				return Math.min(a, b) - (h * h * k) / 4;
			});
}

/** The lamplighter: a man on a round base, a lantern held up, a short ladder pole. */
const lamplighter = blend(
	3,
	plate(0, 9, 28),
	limb([-10, 2, 14], [-8, 0, 62], 11, 11),
	limb([11, -3, 14], [8, 0, 62], 11, 11),
	limb([0, 0, 62], [0, -1, 104], 21, 18),
	limb([0, 0, 112], [0, 1, 126], 8, 8),
	limb([0, 0, 128], [0, 0, 134], 12.5, 12),
	limb([0, 0, 140], [0, 0, 152], 12, 10),
	limb([15, 0, 106], [22, 6, 82], 6.5, 5.5),
	limb([22, 6, 82], [22, -8, 66], 5.5, 5),
	limb([-15, 0, 106], [-23, 4, 124], 6.5, 5.5),
	limb([-23, 4, 124], [-24, 8, 146], 5.5, 5),
	limb([-24, 8, 150], [-24, 8, 160], 7, 5.5),
	limb([22, -9, 12], [22, -9, 98], 3.4, 2.8)
);

/** Two and a half whorls of a shell, lying flat, the mouth the widest. */
const ammonite = blend(
	1.5,
	...Array.from({ length: 46 }, (_, i): Body => {
		const turn = (i / 45) * 5 * Math.PI;
		const shrink = Math.exp(-0.13 * turn);
		const [x, y] = [31 * shrink * Math.cos(turn), 31 * shrink * Math.sin(turn)];
		return limb([x, y, 15], [x * 0.97, y * 0.97, 15], 15.5 * shrink, 15.5 * shrink);
	})
);

/** A board with nine raised strokes. */
const letters = blend(
	0.6,
	block([-70, -24, 0], [70, 24, 6], 1.5),
	...Array.from({ length: 9 }, (_, i): Body => {
		const x = -62 + i * 15.5;
		const upright = block([x - 2.4, -14, 5], [x + 2.4, 14, 12], 0.8);
		const bar = block(
			[x - 2, i % 3 === 0 ? 9 : i % 3 === 1 ? -2 : -14, 5],
			[x + 8, (i % 3 === 0 ? 9 : i % 3 === 1 ? -2 : -14) + 5, 12],
			0.8
		);
		return i === 4 ? upright : (p) => Math.min(upright(p), bar(p));
	})
);

const bollard = blend(
	4,
	plate(0, 8, 31),
	limb([0, 0, 22], [0, 0, 62], 19, 14),
	ring(66, 15, 9),
	plate(62, 86, 17),
	limb([-30, 0, 66], [30, 0, 66], 5, 5)
);

const anvil = blend(
	3,
	block([-38, -28, 0], [42, 28, 14], 2),
	block([-20, -15, 10], [26, 15, 46], 2),
	block([-30, -22, 42], [74, 22, 70], 2),
	limb([-28, 0, 58], [-73, 0, 64], 15, 3)
);

/** A tile of sixteen worn stones. */
const cobbles = blend(
	1,
	block([-80, -80, 0], [80, 80, 9], 1.5),
	...Array.from({ length: 16 }, (_, i): Body => {
		const [x, y] = [-60 + 40 * (i % 4), -60 + 40 * Math.floor(i / 4)];
		const lift = [0, 2, 1, 3][(i * 7) % 4]!;
		return block([x - 17, y - 17, 2], [x + 17, y + 17, 15 + lift], 6);
	})
);

const fender = blend(
	2,
	limb([0, 0, 22], [0, 0, 98], 21, 21),
	...Array.from({ length: 6 }, (_, i): Body => ring(22 + i * 15, 19.5, 4)),
	ring(112, 5, 3)
);

const amber = block([-35, -25, 0], [35, 25, 30], 3);

/** What each piece of the demo looks like, by its name; all invented. */
export const BODIES: Readonly<Record<string, BoxedBody>> = {
	'Lamplighter figure': { body: lamplighter, min: [-34, -30, -3], max: [34.6, 31.5, 171.5], stepMm: 1.43 },
	'Ammonite paperweight': { body: ammonite, min: [-50, -50, -4], max: [50, 50, 36], stepMm: 1.6 },
	'Ship’s nameplate letters': { body: letters, min: [-74, -28, -3], max: [74, 28, 15], stepMm: 1.2 },
	'Quay bollard, small': { body: bollard, min: [-40, -36, -3], max: [40, 36, 92], stepMm: 1.6 },
	'Stage anvil': { body: anvil, min: [-82, -34, -4], max: [80, 34, 76], stepMm: 2 },
	'Amber block with a fern': { body: amber, min: [-40, -30, -4], max: [40, 30, 34], stepMm: 2 },
	'Cobble tile': { body: cobbles, min: [-86, -86, -4], max: [86, 86, 22], stepMm: 2 },
	'Rope fender': { body: fender, min: [-28, -28, -3], max: [28, 28, 124], stepMm: 1.5 }
};
