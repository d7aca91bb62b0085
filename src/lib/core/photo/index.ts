export { seenAt, standpoint, type Camera, type Pose, type Seen } from './camera';
export { cornersOf, markerOf, MAT_SIZES, MATS, RULER_MM, type Marker, type Mat, type MatSize } from './mat';
export { isWhite, MARKER_CELLS } from './markers';
export { insideAt, rimOf, type Outline, type Rim } from './rim';
export { boxOf, hullOf, type Body, type Box, type View } from './hull';
export { surfaceOf } from './surface';
export { smoothed } from './smooth';
export { CONTRARY, contradictory } from './contraryLimit';
export { bodyOf, PictureError, type BodyOptions, type Doubts, type Pictured } from './bodyOf';
export {
	coverage,
	directionOf,
	HEIGHTS,
	SECTORS,
	WANTED,
	type Coverage,
	type Direction,
	type Height
} from './directions';
export {
	FEWEST_PX,
	MOST_BYTES,
	MOST_PIXELS,
	refusedBySize,
	statedSize,
	type StatedSize
} from './pictureSize';
export { quickOf, type Quick } from './quick';
export { scaleToWater, type ScaledTo } from './scaleToWater';
export { hollowOver } from './unseen';
export { stlBytes } from './stl';
