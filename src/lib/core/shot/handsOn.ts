import { formatTime } from '../units';
import type { Warning } from '../working';
import type { TimedLayer } from './layerSpec';

/** What one pair of hands does for each layer, s. */
export interface LayerHands {
	mixS: number;
	pourS: number;
	/** A pair that does not roll mixes the next cup meanwhile. */
	spare: boolean;
}

/**
 * Layers as hands can lay them: the next cup is combined so long before the layer below bears it that it is mixed by
 * then, but not before the hands that roll are free. What that delays is heeded by all that follows.
 * @param layers in the order in which they are laid, each clock from its own pour
 * @example
 * handsOn([{ pouredS: 0, lockS: 90, recoatFromS: 150, recoatUntilS: 400 }, { pouredS: 150 }] as never, {
 *   mixS: 45,
 *   pourS: 20,
 *   spare: false
 * }).lateS; // 0
 */
export function handsOn(
	layers: readonly TimedLayer[],
	{ mixS, pourS, spare }: LayerHands
): { layers: TimedLayer[]; lateS: number; warnings: Warning[] } {
	let lateS = 0;
	const windowsS: number[] = [];
	let parts: { late: number; lost: boolean; at: number } = { late: 0, lost: false, at: 0 };
	const laid = layers.map((layer, i): TimedLayer => {
		const below = layers[i - 1];
		// what is left to cool for hours leaves hands all the time there is
		if (!below || layer.way === 'flat') return { ...layer, pouredS: layer.pouredS + lateS };
		const freeS = spare ? 0 : layer.way === 'roll' ? below.lockS : pourS + (below.layS ?? 0);
		const combinedS = Math.max(freeS, below.recoatFromS - mixS);
		const late = Math.max(0, combinedS + mixS - below.recoatFromS);
		windowsS.push(Math.max(0, below.recoatFromS - freeS));
		lateS += late;
		if (late > parts.late) parts = { late, lost: combinedS + mixS > below.recoatUntilS, at: i };
		return { ...layer, pouredS: layer.pouredS + lateS, combinedS };
	});
	if (parts.late < 1) return { layers: laid, lateS, warnings: [] };
	const said = windowsS.map((s) => formatTime(s)).join(', ');
	return {
		layers: laid,
		lateS,
		warnings: [
			{
				code: 'bond-window',
				...(parts.lost ? { severity: 'harm' as const } : {}),
				message: `One pair of hands has ${said} between laying a layer and its gel; combining and mixing take ${formatTime(mixS)}, pouring ${formatTime(pourS)} more. Layer ${parts.at + 1} comes ${formatTime(parts.late)} late${parts.lost ? ', when the one below no longer bonds: it may peel off' : ''}.`,
				action:
					'A second pair of hands that mixes while you roll, B and its filler measured ahead for every cup, a gradual resin, or a shorter mixing.'
			}
		]
	};
}
