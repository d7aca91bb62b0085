import { line, measure, type Mark } from '../../../drawing/marks';
import { FLOOR_MM, framed, outline, silhouette } from '../../outline';
import type { MasterRecord } from '../../../master/master';
import type { MouldInputs } from '../../inputs';
import type { MouldPlan } from '../../planned';
import type { MouldDrawings, Show } from '../module';

/** Section and plan of a skin in its shell. */
export function drawJacket(
	inputs: MouldInputs,
	plan: MouldPlan,
	master: MasterRecord,
	show: Show,
	letterMm: number
): MouldDrawings {
	const shell = plan.jacket!.shell;
	const [skin, wall, flange] = [inputs.skinMm, inputs.shellMm, inputs.flangeMm];
	const half = master.lengthMm / 2 + skin + wall;
	const reach = half + flange;
	const tall = master.heightMm + skin + wall;
	const o = outline(master);
	const board = inputs.boardMm;
	const section: Mark[] = [
		{ kind: 'rect', x: -reach - FLOOR_MM, y: 0, w: 2 * reach + 2 * FLOOR_MM, h: board, tone: 'board' },
		{ kind: 'rect', x: -reach, y: -wall, w: 2 * reach, h: wall, tone: 'shell' },
		{ kind: 'rect', x: -wall, y: -tall - flange, w: 2 * wall, h: flange + wall, tone: 'shell' },
		{ kind: 'path', d: silhouette(o, 0, 0, skin + wall), tone: 'shell' },
		{ kind: 'path', d: silhouette(o, 0, 0, skin), tone: 'rubber' },
		{ kind: 'path', d: silhouette(o, 0, 0), tone: 'master' },
		line(0, -tall - flange, 0, -tall + wall, 'seam'),
		{ kind: 'circle', cx: 0, cy: -tall - flange / 2, r: Math.max(1, flange / 12), tone: 'key' },
		...measure([reach + letterMm, -tall], [reach + letterMm, 0], show(tall), letterMm, 'right'),
		{
			kind: 'text',
			x: -reach,
			y: -tall - flange - letterMm * 0.4,
			text: `skin ${show(skin)}, shell ${show(wall)}`,
			anchor: 'start'
		},
		...measure([-reach, board + letterMm], [reach, board + letterMm], show(2 * reach), letterMm, 'below'),
		{
			kind: 'text',
			x: 0,
			y: -tall - flange - letterMm * 1.9,
			text: 'cut through the middle',
			anchor: 'middle',
			bold: true
		}
	];
	const deep = (master.footprint === 'round' ? master.lengthMm : master.widthMm) / 2 + skin + wall;
	const round = master.footprint === 'round';
	const ring = (grow: number, tone: 'rubber' | 'shell' | 'master'): Mark =>
		round
			? { kind: 'circle', cx: 0, cy: 0, r: master.lengthMm / 2 + grow, tone }
			: {
					kind: 'rect',
					x: -master.lengthMm / 2 - grow,
					y: -master.widthMm / 2 - grow,
					w: master.lengthMm + 2 * grow,
					h: master.widthMm + 2 * grow,
					tone
				};
	const joints: Mark[] = Array.from({ length: shell.parts }, (_, i) => {
		const a = (2 * Math.PI * i) / shell.parts;
		const [c, s] = [Math.cos(a), Math.sin(a)];
		return line(c * half * 0.98, s * deep * 0.98, c * (half + flange), s * (deep + flange), 'seam');
	});
	const view: Mark[] = [
		{
			kind: 'rect',
			x: -reach,
			y: -deep - flange,
			w: 2 * reach,
			h: 2 * (deep + flange),
			tone: 'none',
			dash: true
		},
		ring(skin + wall, 'shell'),
		ring(skin, 'rubber'),
		ring(0, 'master'),
		...joints,
		{
			kind: 'text',
			x: 0,
			y: -deep - flange - letterMm * 0.7,
			text: `from above, ${shell.parts} parts, ${shell.bolts} bolts`,
			anchor: 'middle',
			bold: true
		},
		...measure(
			[reach + letterMm, -deep - flange],
			[reach + letterMm, deep + flange],
			show(2 * (deep + flange)),
			letterMm,
			'right'
		)
	];
	const pad = letterMm * 7;
	return {
		section: framed(
			section,
			{
				x: -reach - pad / 2,
				y: -tall - flange - letterMm * 3.4,
				w: 2 * reach + 1.5 * pad,
				h: tall + flange + board + letterMm * 7
			},
			letterMm
		),
		plan: framed(
			view,
			{
				x: -reach - pad / 2,
				y: -deep - flange - letterMm * 3,
				w: 2 * reach + 1.5 * pad,
				h: 2 * (deep + flange) + letterMm * 5
			},
			letterMm
		)
	};
}
