import { z } from 'zod';
import { FILE_UNIT_MM, type FileUnit } from '../mesh/types';

const coordinate = z.number().min(-1e6).max(1e6);
const point = z.tuple([coordinate, coordinate, coordinate]);
const direction = point.refine((p) => Math.hypot(...p) > 1e-6, 'A direction is needed.');

/** A way for air out or resin in, at a point of the surface. */
export const opening = z.object({ kind: z.enum(['sprue', 'vent']), at: point });
export type Opening = z.output<typeof opening>;

/** How a maker deals with a place where air stays. */
export const CURES = ['vent', 'squeeze or roll', 'brush in', 'tilt', 'accept it'] as const;

/** A place where air stays: found in the 3D file, or noted by looking. */
export const trapRecord = z.object({
	source: z.enum(['file', 'look']),
	place: z
		.string()
		.trim()
		.min(1, 'Say where it is, such as tip of the left hand.')
		.max(120, 'Keep it under 120 characters.'),
	volumeMl: z.number().min(0).max(1e6).optional(),
	depthMm: z.number().min(0).max(1e5).optional(),
	apex: point.optional(),
	cure: z.enum(CURES).default('vent')
});
export type TrapRecord = z.output<typeof trapRecord>;

/** What the maker painted over a picture: piece or not, how wide and where, as shares of the picture's width. */
const stroke = z.object({
	says: z.enum(['piece', 'ground']),
	wide: z.number().min(0.001).max(1),
	points: z.array(z.number().min(-1).max(3)).min(2).max(4000)
});

/** How a body that was measured with pictures was come by: the file itself does not say how sure it is. */
export const picturedRecord = z.object({
	/** Pictures that it was cut from. */
	pictures: z.number().int().min(2).max(60),
	/** Where they are kept. */
	photoIds: z.array(z.uuid()).max(60).default([]),
	/** What was painted over each of them, in their order; missing where nothing was. */
	painted: z.array(z.array(stroke).max(1000)).max(60).optional(),
	/** What the mat's ruler of 100 mm measured, mm. */
	rulerMm: z.number().min(80).max(120).default(100),
	/** The piece may be smaller, and larger, by these shares of the body. */
	lowShare: z.number().min(0).max(0.95),
	highShare: z.number().min(0).max(20),
	/** Cut flat at the height that it has for certain. */
	flatTop: z.boolean().default(false),
	/** Made to hold what water says. */
	byWater: z.boolean().default(false)
});
export type PicturedRecord = z.output<typeof picturedRecord>;

/** What the maker chose for a 3D file: everything else is worked out from the file again. */
export const shapeChoice = z.object({
	sha256: z.string().regex(/^[0-9a-f]{64}$/, 'This is no file of ours.'),
	fileName: z.string().min(1).max(200),
	unit: z.enum(Object.keys(FILE_UNIT_MM) as [FileUnit, ...FileUnit[]]),
	scale: z
		.number()
		.positive('The scale must be more than nothing.')
		.max(1e4, 'Over ten thousand times: check the unit.'),
	parts: z.array(z.number().int().min(0)).max(500).optional(),
	/** What points up while it is poured. */
	up: direction,
	/** Along which a two-part mould would open. */
	pull: direction.optional(),
	openings: z.array(opening).max(60, 'At most 60 openings.').default([]),
	/** Triangles whose flat faces are open in a rotocast, such as the base. */
	openFaces: z.array(z.number().int().min(0)).max(60).default([]),
	pictured: picturedRecord.optional()
});
export type ShapeChoice = z.output<typeof shapeChoice>;

/** What the core found in the file with that choice. */
const shapeFindings = z.object({
	volumeMl: z.number(),
	areaMm2: z.number(),
	/** Sizes with up pointing up: length, width, height, mm. */
	sizesMm: point,
	triangles: z.number(),
	watertight: z.boolean(),
	openEdges: z.number(),
	shells: z.number(),
	doubtShare: z.number().optional(),
	trappedMl: z.number(),
	ceilings: z.number(),
	undercutShare: z.number(),
	undercutDepthMm: z.number(),
	/** Skin for a rotocast: the area with its openings left out. */
	skinAreaMm2: z.number(),
	thickestMm: z.number(),
	thinnestMm: z.number(),
	/** Height of the pour face along up, in the file's own place, mm. */
	topMm: z.number().optional(),
	/** Reach along length and width in slices of equal height, from the pour face down, mm. */
	profile: z
		.array(z.tuple([z.number(), z.number(), z.number(), z.number()]))
		.max(200)
		.optional()
});
export type ShapeFindings = z.output<typeof shapeFindings>;

export const shapeRecord = shapeChoice.extend({ findings: shapeFindings });
export type ShapeRecord = z.output<typeof shapeRecord>;
