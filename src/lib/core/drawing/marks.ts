/** What a mark stands for; the page and the paper each give it their own colour. */
export type Tone =
	| 'rubber'
	| 'master'
	| 'clay'
	| 'board'
	| 'shell'
	| 'ink'
	| 'seam'
	| 'sprue'
	| 'vent'
	| 'key'
	| 'level'
	| 'dim'
	| 'none';

/** One mark of a drawing, in mm, y downwards. */
export type Mark =
	| { kind: 'rect'; x: number; y: number; w: number; h: number; tone: Tone; line?: Tone; dash?: boolean }
	| { kind: 'circle'; cx: number; cy: number; r: number; tone: Tone; line?: Tone; dash?: boolean }
	| { kind: 'path'; d: string; tone: Tone; line?: Tone; dash?: boolean; heavy?: boolean }
	| {
			kind: 'text';
			x: number;
			y: number;
			text: string;
			anchor: 'start' | 'middle' | 'end';
			turn?: number;
			bold?: boolean;
	  };

/** A drawing to scale: its frame in mm, the height of its letters in mm. */
export interface Drawing {
	x: number;
	y: number;
	widthMm: number;
	heightMm: number;
	letterMm: number;
	marks: Mark[];
}

const n = (value: number) => Number(value.toFixed(2));

export const line = (x1: number, y1: number, x2: number, y2: number, tone: Tone, dash = false): Mark => ({
	kind: 'path',
	d: `M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`,
	tone: 'none',
	line: tone,
	dash
});

export const polygon = (points: readonly (readonly [number, number])[]): string =>
	`M${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}Z`;

/** A wavy line between two points: an even number of half waves, so that it ends where it is aimed. */
export function wavy(
	from: readonly [number, number],
	to: readonly [number, number],
	waveMm: number,
	amplitudeMm: number
): string {
	const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
	const length = Math.hypot(dx, dy) || 1;
	const halves = Math.max(2, 2 * Math.round(length / waveMm));
	const [nx, ny] = [-dy / length, dx / length];
	let d = `M${n(from[0])} ${n(from[1])}`;
	for (let i = 0; i < halves; i++) {
		const side = i % 2 === 0 ? 2 * amplitudeMm : -2 * amplitudeMm;
		const [mid, end] = [(i + 0.5) / halves, (i + 1) / halves];
		d += `Q${n(from[0] + dx * mid + nx * side)} ${n(from[1] + dy * mid + ny * side)} ${n(from[0] + dx * end)} ${n(from[1] + dy * end)}`;
	}
	return d;
}

/** A measure beside the drawing: two ticks, a line and its words. */
export function measure(
	from: readonly [number, number],
	to: readonly [number, number],
	text: string,
	letterMm: number,
	side: 'left' | 'right' | 'below' | 'above'
): Mark[] {
	const tick = letterMm * 0.5;
	const upright = side === 'left' || side === 'right';
	const marks = [line(from[0], from[1], to[0], to[1], 'dim')];
	for (const [x, y] of [from, to])
		marks.push(upright ? line(x - tick, y, x + tick, y, 'dim') : line(x, y - tick, x, y + tick, 'dim'));
	const [mx, my] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
	marks.push(
		upright
			? {
					kind: 'text',
					x: mx + (side === 'left' ? -letterMm * 0.6 : letterMm * 0.6),
					y: my + letterMm * 0.35,
					text,
					anchor: side === 'left' ? 'end' : 'start'
				}
			: {
					kind: 'text',
					x: mx,
					y: my + (side === 'below' ? letterMm * 1.35 : -letterMm * 0.6),
					text,
					anchor: 'middle'
				}
	);
	return marks;
}

const escape = (text: string) =>
	text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

/** Colours of the tones on white paper. */
export const PAPER: Readonly<Record<Tone, string>> = {
	rubber: '#f3d9c4',
	master: '#ffffff',
	clay: '#c9bfa9',
	board: '#e4d7bd',
	shell: '#d5dcd8',
	ink: '#1f2629',
	seam: '#a8390a',
	sprue: '#2b6f62',
	vent: '#2b6f62',
	key: '#ffffff',
	level: '#2b6f62',
	dim: '#5b6468',
	none: 'none'
};

/**
 * The drawing as a file of its own, to scale: its sizes are in millimetres.
 * @example
 * toSvg({ x: 0, y: 0, widthMm: 30, heightMm: 20, letterMm: 3, marks: [] }, 'Empty').includes(
 *   'width="30mm"'
 * ); // true
 */
export function toSvg(
	drawing: Drawing,
	title: string,
	palette: Readonly<Record<Tone, string>> = PAPER
): string {
	const { x, y, widthMm, heightMm, letterMm } = drawing;
	const stroke = (m: { line?: Tone; dash?: boolean; heavy?: boolean }) =>
		`stroke="${palette[m.line ?? 'ink']}" stroke-width="${n(letterMm * (m.heavy ? 0.16 : 0.08))}"${m.dash ? ` stroke-dasharray="${n(letterMm * 0.5)} ${n(letterMm * 0.3)}"` : ''}`;
	const body = drawing.marks.map((m) => {
		switch (m.kind) {
			case 'rect':
				return `<rect x="${n(m.x)}" y="${n(m.y)}" width="${n(m.w)}" height="${n(m.h)}" fill="${palette[m.tone]}" ${stroke(m)}/>`;
			case 'circle':
				return `<circle cx="${n(m.cx)}" cy="${n(m.cy)}" r="${n(m.r)}" fill="${palette[m.tone]}" ${stroke(m)}/>`;
			case 'path':
				return `<path d="${m.d}" fill="${palette[m.tone]}" ${stroke(m)}/>`;
			case 'text':
				return `<text x="${n(m.x)}" y="${n(m.y)}" text-anchor="${m.anchor}" font-size="${n(letterMm)}" font-family="sans-serif"${m.bold ? ' font-weight="bold"' : ''} fill="${palette.ink}"${m.turn ? ` transform="rotate(${m.turn} ${n(m.x)} ${n(m.y)})"` : ''}>${escape(m.text)}</text>`;
		}
	});
	return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(widthMm)}mm" height="${n(heightMm)}mm" viewBox="${n(x)} ${n(y)} ${n(widthMm)} ${n(heightMm)}"><title>${escape(title)}</title>${body.join('')}</svg>`;
}
