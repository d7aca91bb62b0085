import type { Camera, Mat as PrintedMat, Pose } from '$lib/core/photo';

/** How bright each place of the mat is where it lies open, beside paper in full light: shadows that lie still on it are seen in it. */
export interface LitMat {
	/** Half of the square that is held, mm of the drawing. */
	halfMm: number;
	side: number;
	bright: Float32Array;
}

/** What stands round the piece in one picture. */
export interface Setting {
	mat: PrintedMat;
	camera: Camera;
	pose: Pose;
	/** Millimetres of the print for a millimetre of the drawing. */
	scale: number;
	/** How bright the mat is by all pictures together, where that was gathered. */
	lit?: LitMat;
}
