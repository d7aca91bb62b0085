import {
	bestPositions,
	dot,
	findCeilings,
	findTraps,
	findUndercuts,
	flatFace,
	frameFor,
	loadMesh,
	measure,
	sections,
	type Candidate,
	type Ceiling,
	type Mesh,
	type MeshReport,
	type Progress,
	type Sections,
	type TrapResult,
	type Undercuts,
	type Vec3
} from '../mesh';
import { profile } from '../mesh/profile';
import type { ShapeChoice, ShapeFindings, ShapeRecord, TrapRecord } from './shape';
import type { VolumeReading } from './reading';

/** Everything about a piece in one pouring position. */
export interface Study {
	traps: TrapResult;
	ceilings: Ceiling[];
	undercuts: Undercuts;
}

/** Air traps, ceilings and undercuts of a mesh for a choice of position and openings. */
export function study(mesh: Mesh, choice: Pick<ShapeChoice, 'up' | 'pull' | 'openings'>): Study {
	return {
		traps: findTraps(mesh, choice.up, { openings: choice.openings.map((o) => o.at) }),
		ceilings: findCeilings(mesh, choice.up),
		undercuts: findUndercuts(mesh, choice.pull ?? choice.up)
	};
}

/** Length, width and height of a mesh with a direction pointing up, mm. */
export function standingSizes(mesh: Mesh, up: Vec3): [number, number, number] {
	const f = frameFor(up);
	const span = (axis: Vec3) => {
		let [lo, hi] = [Infinity, -Infinity];
		const v = mesh.vertices;
		for (let i = 0; i < v.length; i += 3) {
			const d = dot(axis, [v[i]!, v[i + 1]!, v[i + 2]!]);
			if (d < lo) lo = d;
			if (d > hi) hi = d;
		}
		return hi - lo;
	};
	const [a, b] = [span(f.u), span(f.v)];
	return [Math.max(a, b), Math.min(a, b), span(f.w)];
}

/** Skin that a rotocast covers, mm²: the whole area less the faces that are open. */
export function skinAreaMm2(mesh: Mesh, openFaces: readonly number[]): number {
	const seen = new Set<number>();
	let open = 0;
	for (const seed of openFaces) {
		if (seed >= mesh.indices.length / 3 || seen.has(seed)) continue;
		const face = flatFace(mesh, seed);
		for (const t of face.triangles) seen.add(t);
		open += face.areaMm2;
	}
	return Math.max(0, measure(mesh).areaMm2 - open);
}

/**
 * What a 3D file says of a master with the maker's choices: the record's shape, its traps and its reading of
 * the volume. The server works it out from the stored bytes, whatever a browser showed.
 * @param progress told how much of it is done, 0 to 1
 * @throws MeshError for a file that cannot be used
 */
export function studyFile(
	bytes: Uint8Array,
	choice: ShapeChoice,
	on: string,
	progress?: Progress
): { shape: ShapeRecord; traps: TrapRecord[]; reading: VolumeReading } {
	const { mesh, report } = loadMesh(bytes, choice.fileName, {
		unit: choice.unit,
		scale: choice.scale,
		...(choice.parts ? { parts: choice.parts } : {}),
		...(progress ? { progress: (share: number) => progress(0.5 * share) } : {})
	});
	const found = study(mesh, choice);
	progress?.(0.8);
	const findings = findingsOf(mesh, report, found, choice, sections(mesh));
	const doubt = report.doubtShare === undefined ? {} : { doubtShare: report.doubtShare };
	const { pictures, lowShare, highShare } = choice.pictured ?? {};
	return {
		shape: { ...choice, findings },
		traps: trapRecords(found.traps),
		reading: {
			method: 'mesh',
			sha256: choice.sha256,
			fileName: choice.fileName,
			unit: choice.unit,
			scale: choice.scale,
			volumeMl: report.volumeMl,
			...doubt,
			...(choice.pictured
				? { pictured: { pictures: pictures!, lowShare: lowShare!, highShare: highShare! } }
				: {}),
			on,
			remark: choice.pictured
				? `from ${pictures} pictures${choice.pictured.byWater ? ', scaled to water' : ''}`
				: ''
		}
	};
}

function findingsOf(
	mesh: Mesh,
	report: MeshReport,
	found: Study,
	choice: ShapeChoice,
	s: Sections
): ShapeFindings {
	return {
		volumeMl: report.volumeMl,
		areaMm2: report.areaMm2,
		sizesMm: standingSizes(mesh, choice.up),
		triangles: report.triangles,
		watertight: report.watertight,
		openEdges: report.openEdges,
		shells: report.shells,
		...(report.doubtShare === undefined ? {} : { doubtShare: report.doubtShare }),
		trappedMl: found.traps.totalMl,
		ceilings: found.ceilings.length,
		undercutShare: found.undercuts.share,
		undercutDepthMm: found.undercuts.depthMm,
		skinAreaMm2: skinAreaMm2(mesh, choice.openFaces),
		thickestMm: s.thickestMm,
		thinnestMm: s.thinnestMm,
		topMm: found.traps.topMm,
		profile: profile(mesh, choice.up)
	};
}

/** Traps of a file as a master keeps them, the largest first. */
function trapRecords(found: TrapResult): TrapRecord[] {
	return found.traps.slice(0, 100).map((t, i) => ({
		source: 'file',
		place: `Pocket ${i + 1}`,
		volumeMl: t.volumeMl,
		depthMm: t.depthMm,
		apex: [t.apex[0], t.apex[1], t.apex[2]],
		cure: 'vent'
	}));
}

export { bestPositions, type Candidate, type Progress };
