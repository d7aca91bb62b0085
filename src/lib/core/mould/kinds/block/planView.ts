import { line, measure, wavy, type Drawing, type Mark } from '../../../drawing/marks';
import { BASE_BOARD, BASE_MARGIN_MM } from '../../boxing';
import { framed } from '../../outline';
import { outlineOf } from '../../slices';
import type { MasterRecord } from '../../../master/master';
import type { MouldInputs } from '../../inputs';
import type { MouldPlan } from '../../planned';
import type { Show } from '../module';

/**
 * Middles of the cavities along the length and the width, mm from the middle of the block.
 * @example
 * cavityPlaces(mouldOf('one-piece').plan, cube, 8); // [{ xMm: 0, yMm: 0 }]
 */
export function cavityPlaces(
	plan: MouldPlan,
	master: MasterRecord,
	gapMm: number
): { xMm: number; yMm: number }[] {
	const { columns, rows, count } = plan.grid ?? { columns: 1, rows: 1, count: 1 };
	const widthMm = master.footprint === 'round' ? master.lengthMm : master.widthMm;
	return Array.from({ length: count }, (_, i) => ({
		xMm: ((i % columns) - (columns - 1) / 2) * (master.lengthMm + gapMm),
		yMm: (Math.floor(i / columns) - (rows - 1) / 2) * (widthMm + gapMm)
	}));
}

/** Room that a measure with its words takes, in letters. */
const MEASURE_LETTERS = 5.5;

const AWAY = { back: [0, -1], front: [0, 1], left: [-1, 0], right: [1, 0] } as const;

/** A block from above. */
export function planView(
	inputs: MouldInputs,
	plan: MouldPlan,
	master: MasterRecord,
	show: Show,
	letterMm: number
): Drawing {
	const cavity = plan.cavity!;
	const { lengthMm: l, widthMm: w, round } = outlineOf(cavity);
	const wall = inputs.boardMm;
	// where its letters would not fit between box and edge, the board stands in the list alone
	const fits = MEASURE_LETTERS * letterMm <= BASE_MARGIN_MM;
	const board = fits ? plan.cutList?.find((c) => c.what === BASE_BOARD) : undefined;
	const [boardL, boardW] = [board?.lengthMm ?? l + 2 * wall, board?.widthMm ?? w + 2 * wall];
	const marks: Mark[] = board
		? [
				{
					kind: 'rect',
					x: -boardL / 2,
					y: -boardW / 2,
					w: boardL,
					h: boardW,
					tone: 'none',
					line: 'dim',
					dash: true
				}
			]
		: [];
	marks.push(
		...(round
			? [{ kind: 'circle', cx: 0, cy: 0, r: l / 2, tone: 'rubber' } as const]
			: [
					{
						kind: 'rect',
						x: -l / 2 - wall,
						y: -w / 2 - wall,
						w: l + 2 * wall,
						h: w + 2 * wall,
						tone: 'board'
					} as const,
					{ kind: 'rect', x: -l / 2, y: -w / 2, w: l, h: w, tone: 'rubber' } as const
				])
	);
	const deep = master.footprint === 'round' ? master.lengthMm : master.widthMm;
	for (const p of cavityPlaces(plan, master, inputs.gapMm)) {
		marks.push(
			master.footprint === 'round'
				? { kind: 'circle', cx: p.xMm, cy: p.yMm, r: master.lengthMm / 2, tone: 'master', dash: true }
				: {
						kind: 'rect',
						x: p.xMm - master.lengthMm / 2,
						y: p.yMm - deep / 2,
						w: master.lengthMm,
						h: deep,
						tone: 'master',
						dash: true
					}
		);
		if (plan.partingMm !== undefined && inputs.sprue !== 'none')
			marks.push({
				kind: 'circle',
				cx: p.xMm,
				cy: p.yMm,
				r: inputs.sprueDiameterMm / 2,
				tone: 'none',
				line: 'sprue'
			});
	}
	for (const k of plan.keys?.at ?? [])
		marks.push({ kind: 'circle', cx: k.xMm, cy: k.yMm, r: plan.keys!.diameterMm / 2, tone: 'key' });
	if (plan.seam) {
		const [dx, dy] = AWAY[plan.seam.side];
		const g = plan.grid?.size ?? master;
		const gridDeep = g.footprint === 'round' ? g.lengthMm : g.widthMm;
		const from = [dx * (l / 2), dy * (w / 2)] as const;
		const to = [(dx * g.lengthMm) / 2, (dy * gridDeep) / 2] as const;
		marks.push({
			kind: 'path',
			d: wavy(from, to, Math.min(plan.seam.waveMm, inputs.clearanceMm), plan.seam.amplitudeMm),
			tone: 'none',
			line: 'seam',
			heavy: true
		});
		// the far wall is cut from inside and a hinge of it stays
		const far = [-dx * (l / 2 - plan.seam.hingeMm), -dy * (w / 2 - plan.seam.hingeMm)] as const;
		const out = dx === 0 ? -letterMm * 0.9 : 0;
		marks.push(line((-dx * g.lengthMm) / 2, (-dy * gridDeep) / 2, far[0], far[1], 'seam', true), {
			kind: 'text',
			x: dx === 0 ? letterMm * 0.6 : dx * (l / 2 + wall + letterMm * 0.5),
			y: dx === 0 ? dy * (w / 2 + wall + letterMm * 0.6) - (dy > 0 ? out : 0) : -letterMm * 0.5,
			text: `cut here, ${plan.seam.side}`,
			anchor: dx < 0 ? 'end' : 'start',
			bold: true
		});
	}
	const y = w / 2 + (round ? 0 : wall) + letterMm * (plan.seam?.side === 'front' ? 2.4 : 1.2);
	const x = l / 2 + (round ? 0 : wall) + letterMm * 1.2;
	marks.push(...measure([-l / 2, y], [l / 2, y], round ? `⌀ ${show(l)}` : show(l), letterMm, 'below'));
	if (!round) marks.push(...measure([x, -w / 2], [x, w / 2], show(w), letterMm, 'right'));
	marks.push({
		kind: 'text',
		x: 0,
		y: -w / 2 - wall - letterMm * (plan.seam?.side === 'back' ? 2 : 0.7),
		text: 'from above',
		anchor: 'middle',
		bold: true
	});
	if (board) {
		// the board that is sawn stands outside everything, with its own measures
		const under = boardW / 2 + letterMm * 1.2;
		const beside = boardL / 2 + letterMm * 1.2;
		marks.push(
			...measure([-boardL / 2, under], [boardL / 2, under], `base board ${show(boardL)}`, letterMm, 'below'),
			...measure([beside, -boardW / 2], [beside, boardW / 2], show(boardW), letterMm, 'right')
		);
	}
	// words of the seam may reach further than the board
	const padL = Math.max(
		letterMm * 1.5,
		l / 2 + wall + letterMm * (plan.seam?.side === 'left' ? 7 : 1.5) - boardL / 2
	);
	const padR = Math.max(
		letterMm * 6.2,
		l / 2 + wall + letterMm * (plan.seam?.side === 'right' ? 12 : 6.2) - boardL / 2
	);
	const top = Math.max(boardW / 2 + letterMm, w / 2 + wall + letterMm * 3.4);
	const foot = Math.max(boardW / 2 + letterMm * 3.4, w / 2 + wall + letterMm * 4.6);
	return framed(marks, { x: -boardL / 2 - padL, y: -top, w: boardL + padL + padR, h: top + foot }, letterMm);
}
