import { z } from 'zod';
import type { Warning } from '../working';
import { loadMesh } from './report';
import { findTraps } from './traps';
import { FILE_UNIT_MM, type FileUnit, type Vec3 } from './types';
import { findUndercuts } from './undercuts';

const direction = (what: string) =>
	z.string().transform((text, ctx): Vec3 => {
		const numbers = text.split(',').map((part) => (part.trim() === '' ? NaN : Number(part)));
		const good = numbers.length === 3 && numbers.every(Number.isFinite) && Math.hypot(...numbers) > 1e-9;
		if (!good) ctx.addIssue({ code: 'custom', message: `Give ${what} as three numbers, such as 0,0,1.` });
		return good ? (numbers as unknown as Vec3) : [0, 0, 1];
	});

/** What a script may say beside the file. */
export const meshQuery = z.object({
	unit: z
		.enum(Object.keys(FILE_UNIT_MM) as [FileUnit, ...FileUnit[]], {
			error: 'A unit is mm, cm, m, in, ft or µm.'
		})
		.optional(),
	up: direction('what points up').optional(),
	pull: direction('the pull').optional(),
	name: z.string().max(200, 'Keep the name under 200 characters.').default('')
});
export type MeshQuery = z.output<typeof meshQuery>;

export interface MeshAnswer {
	volumeMl: number;
	areaMm2: number;
	bounds: { min: Vec3; max: Vec3 };
	triangles: number;
	watertight: boolean;
	openEdges: number;
	shells: number;
	traps: { apex: Vec3; volumeMl: number; depthMm: number; errorMl: number }[];
	undercutShare: number;
	undercutDepthMm: number;
	warnings: Warning[];
}

/**
 * The answer of the open interface for a 3D file. @throws MeshError for a file that cannot be used
 * @example
 * meshAnswer(stlOf(cubeMesh), meshQuery.parse({ unit: 'mm' })).volumeMl; // 64
 */
export function meshAnswer(bytes: Uint8Array, query: MeshQuery): MeshAnswer {
	const { mesh, report } = loadMesh(bytes, query.name, query.unit ? { unit: query.unit } : {});
	const up = query.up ?? [0, 0, 1];
	const cut = findUndercuts(mesh, query.pull ?? up);
	return {
		volumeMl: report.volumeMl,
		areaMm2: report.areaMm2,
		bounds: report.bounds,
		triangles: report.triangles,
		watertight: report.watertight,
		openEdges: report.openEdges,
		shells: report.shells,
		traps: findTraps(mesh, up).traps.map(({ apex, volumeMl, depthMm, errorMl }) => ({
			apex,
			volumeMl,
			depthMm,
			errorMl
		})),
		undercutShare: cut.share,
		undercutDepthMm: cut.depthMm,
		warnings: report.warnings
	};
}
