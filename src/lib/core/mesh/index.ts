export {
	FILE_UNIT_MM,
	MESH_LIMITS,
	MeshError,
	type FileUnit,
	type Mesh,
	type Progress,
	type Vec3
} from './types';
export { formatOf, readMeshFile, type MeshFile, type MeshFormat } from './read';
export { weld } from './weld';
export { quickMeasure, quickMeasureBytes } from './quick';
export { measure, type Measures } from './measure';
export { topology, type Topology } from './topology';
export { cross, dot, frameFor, fromFrame, toFrame, unit, type Frame } from './frame';
export { columnsVolumeMl, cutColumns, type Columns } from './columns';
export { DEFAULT_CELLS, findTraps, type Trap, type TrapOptions, type TrapResult } from './traps';
export { findCeilings, LEVEL_DEG, RUNS_DEG, type Ceiling } from './ceilings';
export { findUndercuts, partingLine, type Undercuts } from './undercuts';
export { cluster } from './cluster';
export { bestPositions, byRank, directions, type Candidate } from './position';
export { sections, type Sections } from './section';
export { pick } from './pick';
export { flatFace } from './faces';
export { meshAnswer, meshQuery, type MeshAnswer, type MeshQuery } from './answer';
export { assemble, loadMesh, type LoadOptions, type MeshReport } from './report';
export { MESH_CALCULATION } from './calculation';
