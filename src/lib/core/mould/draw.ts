import type { Drawing, Mark } from '../drawing/marks';
import type { MasterRecord } from '../master/master';
import type { MouldInputs } from './inputs';
import { MOULD_MODULES } from './kinds';
import type { MouldDrawings, Show } from './kinds/module';
import type { MouldPlan } from './planned';

/** So many letters stand beside each other where a drawing fills the width of a screen. */
const LETTERS = 15;
const LEAST_LETTER_MM = 2.6;

/**
 * Draws a planned mould.
 * @param show a length in the workshop's units
 * @param letterMm height of the letters in the drawing's own mm; for a screen unless given
 * @example
 * const { inputs: typed, plan } = mouldOf('one-piece');
 * drawMould(typed, plan, cube, (mm) => `${mm} mm`).section.widthMm > 60; // true
 */
export function drawMould(
	inputs: MouldInputs,
	plan: MouldPlan,
	master: MasterRecord,
	show: Show,
	letterMm?: number
): MouldDrawings {
	const kind = MOULD_MODULES[plan.kind];
	const letter = letterMm ?? Math.max(LEAST_LETTER_MM, kind.reachMm(inputs, plan, master) / LETTERS);
	return kind.draw(inputs, plan, master, show, letter);
}

/**
 * Section and plan in one drawing at one scale, beside each other.
 * @example
 * const { inputs: typed, plan } = mouldOf('one-piece');
 * sideBySide(drawMould(typed, plan, cube, (mm) => `${mm} mm`)).marks.length > 5; // true
 */
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
