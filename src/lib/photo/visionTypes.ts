/** A matrix in the library's memory. */
export interface Mat {
	rows: number;
	cols: number;
	data: Uint8Array;
	data32F: Float32Array;
	data64F: Float64Array;
	data32S: Int32Array;
	delete(): void;
}
interface MatVector {
	size(): number;
	get(i: number): Mat;
	push_back(m: Mat): void;
	delete(): void;
}
interface Size {
	width: number;
	height: number;
}
interface DetectorParameters {
	cornerRefinementMethod: number;
	cornerRefinementWinSize: number;
	adaptiveThreshWinSizeMax: number;
	minMarkerPerimeterRate: number;
	delete(): void;
}
interface Dictionary {
	generateImageMarker(id: number, sidePx: number, into: Mat, borderBits: number): void;
	delete(): void;
}
interface Detector {
	detectMarkers(image: Mat, corners: MatVector, ids: Mat, rejected: MatVector): void;
	delete(): void;
}

/** What is used of the library of computer vision, as it really is: its own types leave half of it out. */
export interface Vision {
	Mat: new (rows?: number, cols?: number, type?: number) => Mat;
	MatVector: new () => MatVector;
	Size: new (width: number, height: number) => Size;
	Rect: new (x: number, y: number, width: number, height: number) => unknown;
	aruco_DetectorParameters: new () => DetectorParameters;
	aruco_RefineParameters: new (distance: number, rate: number, order: boolean) => { delete(): void };
	aruco_ArucoDetector: new (
		dictionary: Dictionary,
		by: DetectorParameters,
		refine: { delete(): void }
	) => Detector;
	getPredefinedDictionary(which: number): Dictionary;
	matFromArray(rows: number, cols: number, type: number, values: ArrayLike<number>): Mat;
	calibrateCameraExtended(
		objectPoints: MatVector,
		imagePoints: MatVector,
		size: Size,
		camera: Mat,
		bend: Mat,
		rotations: MatVector,
		translations: MatVector,
		cameraDeviations: Mat,
		poseDeviations: Mat,
		errors: Mat,
		flags: number
	): number;
	Rodrigues(from: Mat, to: Mat): void;
	projectPoints(points: Mat, rotation: Mat, translation: Mat, camera: Mat, bend: Mat, into: Mat): void;
	grabCut(image: Mat, mask: Mat, rect: unknown, ground: Mat, piece: Mat, rounds: number, mode: number): void;
	erode(from: Mat, to: Mat, kernel: Mat): void;
	dilate(from: Mat, to: Mat, kernel: Mat): void;
	setRNGSeed(seed: number): void;
	cvtColor(from: Mat, to: Mat, code: number): void;
	resize(from: Mat, to: Mat, size: Size, fx: number, fy: number, how: number): void;
	readonly [constant: `${'CV' | 'DICT' | 'CALIB' | 'COLOR' | 'GC' | 'INTER'}_${string}`]: number;
}

/** The library before its own machine is ready. */
export type Library = Vision & { onRuntimeInitialized?: () => void };
