import { expose } from 'comlink';
import { Painter, type Palette } from '$lib/workers/painter';

let painter: Painter | undefined;

/** The 3D view's painter beside the page. */
const api = {
	/** @throws Error when the browser gives no drawing context here */
	start(canvas: OffscreenCanvas, palette: Palette): void {
		painter = new Painter(canvas, palette);
	},
	setMesh: (...what: Parameters<Painter['setMesh']>) => painter?.setMesh(...what),
	setEye: (...what: Parameters<Painter['setEye']>) => painter?.setEye(...what),
	setView: (...what: Parameters<Painter['setView']>) => painter?.setView(...what),
	setFindings: (...what: Parameters<Painter['setFindings']>) => painter?.setFindings(...what),
	setPalette: (...what: Parameters<Painter['setPalette']>) => painter?.setPalette(...what),
	resize: (...what: Parameters<Painter['resize']>) => painter?.resize(...what),
	still: () => painter?.still() ?? Promise.resolve(null)
};
export type PaintApi = typeof api;

expose(api);
