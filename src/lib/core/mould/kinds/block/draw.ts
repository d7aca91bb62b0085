import { line, measure, type Drawing, type Mark } from '../../../drawing/marks';
import { RIM_MM } from '../../boxing';
import { FLOOR_MM, framed, outline, silhouette, ventsOf } from '../../outline';
import { outlineOf } from '../../slices';
import type { MasterRecord } from '../../../master/master';
import type { MouldInputs } from '../../inputs';
import type { MouldPlan } from '../../planned';
import type { MouldDrawings, Show } from '../module';
import { planView } from './planView';

/** Section and plan of a block in its box. */
export function drawBlock(
	inputs: MouldInputs,
	plan: MouldPlan,
	master: MasterRecord,
	show: Show,
	letterMm: number
): MouldDrawings {
	return {
		section: section(inputs, plan, master, show, letterMm),
		plan: planView(inputs, plan, master, show, letterMm)
	};
}

/** How far a boxed block reaches, mm: what its letters are sized by. */
export function blockReachMm(plan: MouldPlan): number {
	return plan.cavity ? Math.max(outlineOf(plan.cavity).lengthMm, plan.cavity.heightMm) : 0;
}

function section(
	inputs: MouldInputs,
	plan: MouldPlan,
	master: MasterRecord,
	show: Show,
	letterMm: number
): Drawing {
	const cavity = plan.cavity!;
	const { lengthMm } = outlineOf(cavity);
	const half = lengthMm / 2;
	const wall = inputs.boardMm;
	const halves = plan.partingMm !== undefined;
	const footY = halves ? -inputs.coverMm : 0;
	const topY = -cavity.heightMm;
	const rim = topY - RIM_MM;
	const marks: Mark[] = [
		{
			kind: 'rect',
			x: -half - wall - FLOOR_MM,
			y: 0,
			w: lengthMm + 2 * wall + 2 * FLOOR_MM,
			h: wall,
			tone: 'board'
		}
	];
	if (cavity.shape === 'courses') {
		let y = 0;
		for (const c of cavity.courses) {
			y -= c.heightMm;
			const inner = c.lengthMm / 2;
			marks.push({ kind: 'rect', x: -inner, y, w: c.lengthMm, h: c.heightMm, tone: 'rubber', line: 'none' });
			for (const x of [-inner - wall, inner])
				marks.push({ kind: 'rect', x, y, w: wall, h: c.heightMm, tone: 'board' });
		}
	} else {
		marks.push(
			{ kind: 'rect', x: -half - wall, y: rim, w: wall, h: -rim, tone: 'board' },
			{ kind: 'rect', x: half, y: rim, w: wall, h: -rim, tone: 'board' },
			{ kind: 'rect', x: -half, y: topY, w: lengthMm, h: -topY, tone: 'rubber' }
		);
	}
	const lineY = halves ? footY - plan.partingMm! : 0;
	if (halves) marks.push({ kind: 'rect', x: -half, y: lineY, w: lengthMm, h: -lineY, tone: 'clay' });
	const columns = plan.grid?.columns ?? 1;
	const o = outline(master);
	for (let i = 0; i < columns; i++) {
		const x = (i - (columns - 1) / 2) * (master.lengthMm + inputs.gapMm);
		marks.push({ kind: 'path', d: silhouette(o, x, footY), tone: 'master' });
		const sprueHalf = inputs.sprueDiameterMm / 2;
		if (inputs.sprue === 'none') {
			// poured straight into its opening
		} else if (halves)
			marks.push({
				kind: 'rect',
				x: x - sprueHalf,
				y: topY,
				w: 2 * sprueHalf,
				h: footY - master.heightMm - topY,
				tone: 'none',
				line: 'sprue',
				dash: true
			});
		else if (plan.seam)
			marks.push({
				kind: 'rect',
				x: x - sprueHalf,
				y: 0,
				w: 2 * sprueHalf,
				h: wall / 2,
				tone: 'sprue',
				line: 'sprue'
			});
		for (const v of ventsOf(master)) marks.push(line(x + v.xMm, footY - v.upMm, x + v.xMm, 0, 'vent', true));
	}
	if (halves) {
		marks.push({ ...line(-half, lineY, half, lineY, 'seam', true), heavy: true } as Mark);
		const r = plan.keys!.diameterMm / 2;
		for (const x of [-half + inputs.clearanceMm / 2, half - inputs.clearanceMm / 2])
			marks.push({ kind: 'path', d: `M${x - r} ${lineY}A${r} ${r} 0 0 0 ${x + r} ${lineY}Z`, tone: 'key' });
	}
	marks.push(line(-half, topY, half, topY, 'level'));
	const left = -half - wall - letterMm * 1.4;
	const right = half + wall + letterMm * 1.4;
	marks.push(
		...measure([left, topY], [left, 0], show(cavity.heightMm), letterMm, 'left'),
		...measure([right, topY], [right, footY - master.heightMm], show(inputs.coverMm), letterMm, 'right'),
		...(halves ? measure([right, footY], [right, 0], show(inputs.coverMm), letterMm, 'right') : []),
		...(halves
			? measure(
					[right + letterMm * 4.2, footY],
					[right + letterMm * 4.2, lineY],
					show(plan.partingMm!),
					letterMm,
					'right'
				)
			: []),
		...measure([-half, wall + letterMm], [half, wall + letterMm], show(lengthMm), letterMm, 'below'),
		{
			kind: 'text',
			x: 0,
			y: rim - letterMm * 1.4,
			text: 'cut through the middle',
			anchor: 'middle',
			bold: true
		},
		{
			kind: 'text',
			x: -half - wall - letterMm * 0.3,
			y: topY - letterMm * 0.45,
			text: 'pour level',
			anchor: 'end'
		},
		...(halves
			? [
					{
						kind: 'text' as const,
						x: 0,
						y: wall + letterMm * 3.9,
						text: 'clay below the line, first',
						anchor: 'middle' as const
					}
				]
			: [])
	);
	const [padL, padR] = [letterMm * 6.4, letterMm * (halves ? 10 : 6)];
	return framed(
		marks,
		{
			x: -half - wall - padL,
			y: rim - letterMm * 2.8,
			w: lengthMm + 2 * wall + padL + padR,
			h: -rim + wall + letterMm * (halves ? 7.2 : 5.8)
		},
		letterMm
	);
}
