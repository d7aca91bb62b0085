import { markerOf, type MatSize } from '$lib/core/photo';
import { freeing, type Vision } from './vision';

/** A picture in memory: four bytes a pixel, red, green, blue and opacity. */
export interface Pixels {
	width: number;
	height: number;
	data: Uint8ClampedArray;
}

/** A marker as it was found: its corners in its own order, px. */
export interface Found {
	id: number;
	corners: readonly (readonly [number, number])[];
}

/** Markers of our mats in a picture: those of the mat that most of them belong to. */
export interface Markers {
	mat: MatSize | undefined;
	found: Found[];
}

/** Corners are moved to where light and dark meet within so many pixels of where they were first seen, by the picture's width. */
const REFINE_SHARE = 1 / 400;

/**
 * Finds the markers (S. Garrido-Jurado and others, Pattern Recognition 47 (2014) 2280), corners to a part of a pixel.
 * What belongs to another mat than most is dropped.
 */
export function findMarkers(cv: Vision, picture: Pixels): Markers {
	const all = freeing((keep): Found[] => {
		const colour = keep(cv.matFromArray(picture.height, picture.width, cv['CV_8UC4']!, picture.data));
		const grey = keep(new cv.Mat());
		cv.cvtColor(colour, grey, cv['COLOR_RGBA2GRAY']!);
		const by = keep(new cv.aruco_DetectorParameters());
		by.cornerRefinementMethod = 1;
		by.cornerRefinementWinSize = Math.max(3, Math.round(picture.width * REFINE_SHARE));
		by.adaptiveThreshWinSizeMax = 43;
		by.minMarkerPerimeterRate = 0.015;
		const detector = keep(
			new cv.aruco_ArucoDetector(
				keep(cv.getPredefinedDictionary(cv['DICT_4X4_100']!)),
				by,
				keep(new cv.aruco_RefineParameters(10, 3, true))
			)
		);
		const corners = keep(new cv.MatVector());
		const ids = keep(new cv.Mat());
		detector.detectMarkers(grey, corners, ids, keep(new cv.MatVector()));
		return Array.from({ length: corners.size() }, (_, i) => {
			const at = keep(corners.get(i)).data32F;
			return { id: ids.data32S[i]!, corners: [0, 2, 4, 6].map((k) => [at[k]!, at[k + 1]!] as const) };
		});
	});
	const count = new Map<MatSize, number>();
	for (const { id } of all) {
		const size = markerOf(id)?.size;
		if (size) count.set(size, (count.get(size) ?? 0) + 1);
	}
	const mat = [...count].sort((a, b) => b[1] - a[1])[0]?.[0];
	const once = new Set<number>();
	const found = all
		.filter(({ id }) => markerOf(id)?.size === mat && !once.has(id) && once.add(id))
		.sort((a, b) => a.id - b.id);
	return { mat, found: mat ? found : [] };
}
