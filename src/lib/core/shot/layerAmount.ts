import type { Layer } from './layer';

/**
 * All that is mixed for a layer: parts, catalyst and fillers.
 * @example
 * layerAmount({ a: { massG: 10, volumeMl: 9 }, b: { massG: 9, volumeMl: 9 }, fillers: [] }); // { massG: 19, volumeMl: 18 }
 */
export function layerAmount(l: Pick<Layer, 'a' | 'b' | 'catalyst' | 'fillers'>): {
	massG: number;
	volumeMl: number;
} {
	const all = [l.a, l.b, ...(l.catalyst ? [l.catalyst] : []), ...(l.fillers ?? [])];
	return {
		massG: all.reduce((sum, x) => sum + x.massG, 0),
		volumeMl: all.reduce((sum, x) => sum + x.volumeMl, 0)
	};
}
