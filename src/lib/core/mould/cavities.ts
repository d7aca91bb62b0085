import type { MasterSize } from '../master/sizes';
import { cavityFor } from './boxedBlock';

/** Space left between two cavities of one block unless the maker says otherwise, mm (common practice, no source). */
export const USUAL_GAP_MM = 10;

/** Several copies of a master side by side in one block. */
export interface Grid {
	count: number;
	columns: number;
	rows: number;
	/** Outer sizes of all of them together, as if they were one master. */
	size: MasterSize;
}

/**
 * Lays copies of a master out in rows, so that the box round them is smallest.
 * @param count cavities, 1 … 24
 * @param gapMm rubber between neighbours, mm
 * @example
 * gridFor(6, cube, 8, 'box', 10); // { count: 6, columns: 2, rows: 3, size: { footprint: 'rectangular', lengthMm: 88, widthMm: 136, heightMm: 40 } }
 */
export function gridFor(
	count: number,
	master: MasterSize,
	gapMm: number,
	shape: 'box' | 'tube' | 'bricks',
	clearanceMm: number
): Grid {
	if (count === 1) return { count, columns: 1, rows: 1, size: master };
	const widthMm = master.footprint === 'round' ? master.lengthMm : master.widthMm;
	const grids = Array.from({ length: count }, (_, i): Grid => {
		const columns = i + 1;
		const rows = Math.ceil(count / columns);
		return {
			count,
			columns,
			rows,
			size: {
				footprint: 'rectangular',
				lengthMm: columns * master.lengthMm + (columns - 1) * gapMm,
				widthMm: rows * widthMm + (rows - 1) * gapMm,
				heightMm: master.heightMm
			}
		};
	});
	const floor = (g: Grid) => {
		const c = cavityFor(g.size, shape === 'tube' ? 'tube' : 'box', clearanceMm, 0);
		return c.shape === 'tube' ? c.diameterMm ** 2 : c.shape === 'box' ? c.lengthMm * c.widthMm : Infinity;
	};
	return grids.reduce((best, g) => (floor(g) < floor(best) - 1e-9 ? g : best));
}
