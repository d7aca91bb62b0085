import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { PieceOutline } from '$lib/core/mould';
import type { Paper } from '$lib/core/workshop';

const require = createRequire(import.meta.url);
const fontDir = join(dirname(require.resolve('pdfmake/package.json')), 'fonts', 'Roboto');
/** The typeface of the screens, as files that paper can take. */
const ownDir = join(dirname(require.resolve('@fontsource/atkinson-hyperlegible-next/package.json')), 'files');
const own = (cut: string) => join(ownDir, `atkinson-hyperlegible-next-latin-${cut}.woff`);
pdfmake.setFonts({
	Atkinson: {
		normal: own('400-normal'),
		bold: own('700-normal'),
		italics: own('400-italic'),
		bolditalics: own('700-italic')
	},
	Roboto: {
		normal: join(fontDir, 'Roboto-Regular.ttf'),
		bold: join(fontDir, 'Roboto-Medium.ttf'),
		italics: join(fontDir, 'Roboto-Italic.ttf'),
		bolditalics: join(fontDir, 'Roboto-MediumItalic.ttf')
	}
});
// nothing is fetched for a sheet, and of the disk only the fonts are read
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.startsWith(fontDir) || path.startsWith(ownDir));

/** The papers by the names that the library has for them. */
export const PAGE_SIZES = { A4: 'A4', Letter: 'LETTER' } as const satisfies Record<Paper, string>;

/** Points in a millimetre. */
export const PT_PER_MM = 72 / 25.4;
/** Signs that the paper's font does not have. */
export const onPaper = (text: string) => text.replace(/\u202f/g, '\u00a0').replace(/⌀/g, 'Ø');

/** The font of every sheet, for drawings that name one. */
export const PAPER_FONT = 'Atkinson';
/** Letters that it has; a name in other letters is set in one that has them. */
const HELD = /^[\t\n\x20-\x7e\xa0-\xb4\xb6-\xff\u2013\u2014\u2018-\u201d\u2026\u20ac\u2122\u2212]*$/;
const OTHER_FONT = { font: 'Roboto' };

/** The same content, with whatever our typeface has no letters for set in another. */
function inOwnFont(content: unknown): unknown {
	if (typeof content === 'string') return HELD.test(content) ? content : { text: content, ...OTHER_FONT };
	if (Array.isArray(content)) return content.map(inOwnFont);
	if (content === null || typeof content !== 'object') return content;
	const node = content as Record<string, unknown>;
	const changed = Object.fromEntries(
		Object.entries(node).map(([key, value]) => {
			if (key === 'table') {
				const table = value as { body: unknown };
				return [key, { ...table, body: inOwnFont(table.body) }];
			}
			const holds =
				['stack', 'columns', 'ul', 'ol'].includes(key) || (key === 'text' && Array.isArray(value));
			return [key, holds ? inOwnFont(value) : value];
		})
	);
	const text = node['text'];
	return typeof text === 'string' && !HELD.test(text) ? { ...changed, ...OTHER_FONT } : changed;
}

/** What it is at the head of every sheet after the first, and how many sheets there are at the foot of each. */
export const numbered = (title: string): Pick<TDocumentDefinitions, 'header' | 'footer'> => ({
	header: (page) =>
		page === 1
			? null
			: (inOwnFont({
					text: onPaper(title),
					bold: true,
					fontSize: 9,
					margin: [12 * PT_PER_MM, 5 * PT_PER_MM, 0, 0]
				}) as Content),
	footer: (page, pages) =>
		inOwnFont({
			text: onPaper(`${title}, page ${page} of ${pages}`),
			alignment: 'right',
			fontSize: 8,
			margin: [0, 2 * PT_PER_MM, 12 * PT_PER_MM, 0]
		}) as Content
});

/** A piece from the front, as high or as wide as its place on the paper, pt. */
export function drawnOnPaper({ d, widthMm, heightMm }: PieceOutline, placePt: number): Content {
	const box = Math.max(widthMm, heightMm);
	return {
		svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${-box / 2} ${-box} ${box} ${box}"><path d="${d}" fill="#444444"/></svg>`,
		width: placePt,
		height: placePt
	};
}

/** A sheet as a response that the browser shows, named for when it is kept. */
export async function sheet(definition: TDocumentDefinitions, fileName: string): Promise<Response> {
	const bytes = await pdfmake
		.createPdf({
			defaultStyle: { font: PAPER_FONT, fontSize: 10 },
			...definition,
			content: inOwnFont(definition.content) as Content
		})
		.getBuffer();
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${fileName}"`,
			'cache-control': 'no-store'
		}
	});
}
