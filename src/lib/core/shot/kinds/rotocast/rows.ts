import type { Filler } from '../../../mix/mix';
import { InputError } from '../../../working';
import type { Inputs } from '../../inputs';
import type { ShotContext } from '../../planned';
import { scooped } from '../../scoops';
import type { LayerRow } from './layerRow';
import { coverOf } from './places';

/** A layer of one copy with its amounts, before it has a clock. */
export interface LaidRow {
	row: LayerRow;
	/** Part of the skin that it covers, over 0 to 1. */
	cover: number;
	/** As it lies, and spread over all of the skin, mm. */
	thicknessMm: number;
	meanMm: number;
	/** Without rim and what is lost, ml. */
	volumeMl: number;
	fillers: Filler[];
}

/**
 * The layers of a table as they lie. What has neither mass, thickness nor share takes an equal part of what those that
 * have one leave of the wall.
 * @param densityOf of the mix of a layer with these fillers, g/ml
 * @throws InputError at the row that does not go
 */
export function laidRows(
	inputs: Inputs,
	context: ShotContext,
	areaMm2: number,
	densityOf: (fillers: Filler[]) => number
): LaidRow[] {
	const wallMl = (areaMm2 * inputs.wallMm) / 1000;
	const known = inputs.layerRows.map((row, i) => {
		const cover = coverOf(row.place);
		const fillers = fillersOfRow(row, i, context);
		const volumeMl =
			row.massG !== undefined
				? row.massG / densityOf(fillers)
				: row.thicknessMm !== undefined
					? (areaMm2 * cover * row.thicknessMm) / 1000
					: row.sharePercent !== undefined
						? (wallMl * row.sharePercent) / 100
						: undefined;
		return { row, cover, fillers, volumeMl };
	});
	const taken = known.reduce((sum, k) => sum + (k.volumeMl ?? 0), 0);
	const open = known.filter((k) => k.volumeMl === undefined).length;
	const each = open > 0 ? (wallMl - taken) / open : 0;
	if (open > 0 && !(each > 0)) {
		const first = known.findIndex((k) => k.volumeMl === undefined);
		throw new InputError(
			['layerRows', first, 'sharePercent'],
			'The other layers take the whole wall already: a thicker wall, or less of them.'
		);
	}
	return known.map(({ row, cover, fillers, volumeMl = each }) => ({
		row,
		cover,
		fillers,
		volumeMl,
		meanMm: (volumeMl * 1000) / areaMm2,
		thicknessMm: (volumeMl * 1000) / (areaMm2 * cover)
	}));
}

/** What is scooped into a layer; nothing unless it was chosen. */
function fillersOfRow(row: LayerRow, index: number, context: ShotContext): Filler[] {
	if (!row.fillerId) return [];
	const filler = context.fillers?.find((f) => f.id === row.fillerId);
	if (!filler)
		throw new InputError(['layerRows', index, 'fillerId'], 'This filler is no longer on the shelf.');
	if (filler.bulkDensityGPerMl === undefined)
		throw new InputError(
			['layerRows', index, 'fillerId'],
			`${filler.name} has no loose density on the shelf: it cannot be scooped.`
		);
	if (row.scoops >= (filler.pasteScoopsPerB ?? Infinity))
		throw new InputError(
			['layerRows', index, 'scoops'],
			`By its record ${filler.name} is a paste from ${filler.pasteScoopsPerB} scoops to one of B: it is not rolled. Take less, or brush it.`
		);
	return [scooped(filler, row.scoops, context.resin)];
}
