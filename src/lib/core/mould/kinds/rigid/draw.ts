import { line, measure, type Mark } from '../../../drawing/marks';
import { framed, outline, silhouette } from '../../outline';
import type { MasterRecord } from '../../../master/master';
import type { MouldInputs } from '../../inputs';
import type { MouldPlan } from '../../planned';
import type { MouldDrawings, Show } from '../module';

/** Section and plan of a rigid mould with its bands. */
export function drawRigid(
	inputs: MouldInputs,
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
