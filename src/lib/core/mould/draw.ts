import { line, measure, polygon, wavy, type Drawing, type Mark } from '../drawing/marks';
import type { MasterRecord } from '../master/master';
import { frameFor, toFrame } from '../mesh/frame';
import { RIM_MM } from './boxing';
import { outlineOf, slicesOf, type MouldInputs, type MouldPlan } from './inputs';

type Inputs = Pick<
	MouldInputs,
	| 'kind'
	| 'clearanceMm'
	| 'coverMm'
	| 'boardMm'
	| 'gapMm'
	| 'sprueDiameterMm'
	| 'skinMm'
	| 'shellMm'
	| 'flangeMm'
	| 'rigidWallMm'
	| 'rigidParts'
>;
type Show = (lengthMm: number) => string;

const FLOOR_MM = 8;

/** Half a master's outline by height above its foot: how far it reaches left and right of its middle. */
interface Outline {
	left: [number, number][];
	right: [number, number][];
}

function outline(master: MasterRecord): Outline {
	const slices = slicesOf(master);
	if (slices.length === 0) {
		const half = master.lengthMm / 2;
		return {
			left: [
				[-half, 0],
				[-half, master.heightMm]
			],
			right: [
				[half, 0],
				[half, master.heightMm]
			]
		};
	}
	const middle =
		(Math.min(...slices.map((s) => s.reachMm[0])) + Math.max(...slices.map((s) => s.reachMm[1]))) / 2;
	const at = (side: 0 | 1): [number, number][] =>
		slices.flatMap((s, i): [number, number][] => {
			const x = s.reachMm[side] - middle;
			const mid: [number, number] = [x, (s.fromMm + s.toMm) / 2];
			if (i === 0) return [[x, 0], mid];
			return i === slices.length - 1 ? [mid, [x, s.toMm]] : [mid];
		});
	return { left: at(0), right: at(1) };
}

/** The outline as a shape at a place, grown on all sides but its foot. */
function silhouette(o: Outline, xMm: number, footY: number, growMm = 0): string {
	const top = (h: number, last: number) => (h === last ? h + growMm : h);
	const last = o.left.at(-1)![1];
	return polygon([
		...o.left.map(([x, h]) => [xMm + x - growMm, footY - top(h, last)] as const),
		...[...o.right].reverse().map(([x, h]) => [xMm + x + growMm, footY - top(h, last)] as const)
	]);
}

/** Places of the master's vents in the section: along its length from the middle, height above the foot. */
function ventsOf(master: MasterRecord): { xMm: number; upMm: number }[] {
	const shape = master.shape;
	const slices = slicesOf(master);
	if (!shape || shape.findings.topMm === undefined || slices.length === 0) return [];
	const f = frameFor(shape.up);
	const [lo, hi] = [
		Math.min(...slices.map((s) => s.reachMm[0])),
		Math.max(...slices.map((s) => s.reachMm[1]))
	];
	return master.traps
		.filter((t) => t.cure === 'vent' && t.apex)
		.slice(0, 12)
		.map((t) => {
			const p = toFrame(f, t.apex!);
			// of the two level axes the one whose range the profile's length has
			const along = p[0] >= lo - 0.1 && p[0] <= hi + 0.1 ? p[0] : p[1];
			return { xMm: along - (lo + hi) / 2, upMm: shape.findings.topMm! - p[2] };
		});
}

function framed(
	marks: Mark[],
	box: { x: number; y: number; w: number; h: number },
	letterMm: number
): Drawing {
	return { x: box.x, y: box.y, widthMm: box.w, heightMm: box.h, letterMm, marks };
}

/** Section and plan of a mould, to scale, in mm. */
export interface MouldDrawings {
	section: Drawing;
	plan: Drawing;
}

/**
 * Draws a planned mould.
 * @param show a length in the workshop's units
 * @param letterMm height of the letters in the drawing's own mm; for a screen unless given
 */
export function drawMould(
	inputs: Inputs,
	plan: MouldPlan,
	master: MasterRecord,
	show: Show,
	letterMm?: number
): MouldDrawings {
	const letter = letterMm ?? letterFor(inputs, plan, master);
	if (plan.kind === 'jacket') return drawJacket(inputs, plan, master, show, letter);
	if (plan.kind === 'rigid') return drawRigid(inputs, plan, master, show, letter);
	return {
		section: blockSection(inputs, plan, master, show, letter),
		plan: blockPlan(inputs, plan, master, show, letter)
	};
}

/** Letters that are read on a screen where the drawing fills the width, mm of the drawing. */
function letterFor(inputs: Inputs, plan: MouldPlan, master: MasterRecord): number {
	if (plan.rigid) {
		const { lengthMm, heightMm } = plan.rigid.outerMm;
		return Math.max(2.6, Math.max(lengthMm, heightMm) / 13);
	}
	if (plan.cavity) {
		return Math.max(2.6, Math.max(outlineOf(plan.cavity).lengthMm, plan.cavity.heightMm) / 15);
	}
	const round = inputs.skinMm + inputs.shellMm;
	const across = master.lengthMm + 2 * (round + inputs.flangeMm);
	return Math.max(2.6, Math.max(across, master.heightMm + round) / 15);
}

/** Middles of the cavities along the length and the width, mm from the middle of the block. */
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

function blockSection(
	inputs: Inputs,
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
		if (halves)
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
		else if (plan.kind === 'one-piece')
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

const AWAY = { back: [0, -1], front: [0, 1], left: [-1, 0], right: [1, 0] } as const;

function blockPlan(
	inputs: Inputs,
	plan: MouldPlan,
	master: MasterRecord,
	show: Show,
	letterMm: number
): Drawing {
	const cavity = plan.cavity!;
	const { lengthMm: l, widthMm: w, round } = outlineOf(cavity);
	const wall = inputs.boardMm;
	const marks: Mark[] = round
		? [{ kind: 'circle', cx: 0, cy: 0, r: l / 2, tone: 'rubber' }]
		: [
				{ kind: 'rect', x: -l / 2 - wall, y: -w / 2 - wall, w: l + 2 * wall, h: w + 2 * wall, tone: 'board' },
				{ kind: 'rect', x: -l / 2, y: -w / 2, w: l, h: w, tone: 'rubber' }
			];
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
		if (plan.partingMm !== undefined)
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
	const [padL, padR] = [
		letterMm * (plan.seam?.side === 'left' ? 7 : 1.5),
		letterMm * (plan.seam?.side === 'right' ? 12 : 6.2)
	];
	return framed(
		marks,
		{
			x: -l / 2 - wall - padL,
			y: -w / 2 - wall - letterMm * 3.4,
			w: l + 2 * wall + padL + padR,
			h: w + 2 * wall + letterMm * 8
		},
		letterMm
	);
}

function drawJacket(
	inputs: Inputs,
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

function drawRigid(
	inputs: Inputs,
	plan: MouldPlan,
	master: MasterRecord,
	show: Show,
	letterMm: number
): MouldDrawings {
	const { outerMm, bands } = plan.rigid!;
	const { lengthMm: l, widthMm: w, heightMm: h } = outerMm;
	const o = outline(master);
	// poured through its foot, so the foot is at the top
	const flipped = silhouette(o, 0, 0).replace(/-?\d+(\.\d+)? -?\d+(\.\d+)?/g, (p) => {
		const [x, y] = p.split(' ').map(Number) as [number, number];
		return `${x} ${(-y - h).toFixed(2)}`;
	});
	const section: Mark[] = [
		{ kind: 'rect', x: -l / 2, y: -h, w: l, h, tone: 'shell' },
		{ kind: 'path', d: flipped, tone: 'master' },
		...(inputs.rigidParts > 1 ? [line(0, -h, 0, 0, 'seam', true)] : []),
		...Array.from({ length: bands }, (_, i): Mark => {
			const y = -h + ((i + 0.5) * h) / bands;
			return line(-l / 2 - letterMm * 0.5, y, l / 2 + letterMm * 0.5, y, 'sprue');
		}),
		...measure([l / 2 + letterMm * 1.5, -h], [l / 2 + letterMm * 1.5, 0], show(h), letterMm, 'right'),
		...measure([-l / 2, letterMm], [l / 2, letterMm], show(l), letterMm, 'below'),
		{
			kind: 'text',
			x: 0,
			y: -h - letterMm * 0.7,
			text: `${bands} bands, putty in the seam`,
			anchor: 'middle',
			bold: true
		}
	];
	const deep = master.footprint === 'round' ? master.lengthMm : master.widthMm;
	const view: Mark[] = [
		{ kind: 'rect', x: -l / 2, y: -w / 2, w: l, h: w, tone: 'shell' },
		master.footprint === 'round'
			? { kind: 'circle', cx: 0, cy: 0, r: master.lengthMm / 2, tone: 'master' }
			: { kind: 'rect', x: -master.lengthMm / 2, y: -deep / 2, w: master.lengthMm, h: deep, tone: 'master' },
		...(inputs.rigidParts > 1 ? [line(0, -w / 2, 0, w / 2, 'seam', true)] : []),
		...measure([-l / 2, w / 2 + letterMm], [l / 2, w / 2 + letterMm], show(l), letterMm, 'below'),
		...measure([l / 2 + letterMm, -w / 2], [l / 2 + letterMm, w / 2], show(w), letterMm, 'right'),
		{ kind: 'text', x: 0, y: -w / 2 - letterMm * 0.7, text: 'from above', anchor: 'middle', bold: true }
	];
	const pad = letterMm * 7;
	const box = (height: number, top: number) => ({
		x: -l / 2 - pad / 2,
		y: top - letterMm * 3,
		w: l + 1.5 * pad,
		h: height + letterMm * 6.5
	});
	return { section: framed(section, box(h, -h), letterMm), plan: framed(view, box(w, -w / 2), letterMm) };
}

/** Section and plan in one drawing at one scale, beside each other. */
export function sideBySide({ section, plan }: MouldDrawings): Drawing {
	const letterMm = Math.max(section.letterMm, plan.letterMm);
	const heightMm = Math.max(section.heightMm, plan.heightMm);
	const move = (d: Drawing, x: number): Mark[] => {
		const [dx, dy] = [x - d.x, (heightMm - d.heightMm) / 2 - d.y];
		return d.marks.map((m): Mark => {
			switch (m.kind) {
				case 'rect':
				case 'text':
					return { ...m, x: m.x + dx, y: m.y + dy };
				case 'circle':
					return { ...m, cx: m.cx + dx, cy: m.cy + dy };
				case 'path':
					return { ...m, d: shifted(m.d, dx, dy) };
			}
		});
	};
	return {
		x: 0,
		y: 0,
		widthMm: section.widthMm + plan.widthMm,
		heightMm,
		letterMm,
		marks: [...move(section, 0), ...move(plan, section.widthMm)]
	};
}

/** Moves a path of M, L, Q and A steps with absolute places. */
function shifted(d: string, dx: number, dy: number): string {
	return d.replace(/([MLQA])([^MLQAZ]*)/g, (_, step: string, rest: string) => {
		const numbers = rest
			.trim()
			.split(/[\s,]+/)
			.map(Number);
		const moved = numbers.map((v, i) => {
			if (step === 'A') return i === 5 ? v + dx : i === 6 ? v + dy : v;
			return v + (i % 2 === 0 ? dx : dy);
		});
		return `${step}${moved.map((v) => Number(v.toFixed(2))).join(' ')}`;
	});
}
