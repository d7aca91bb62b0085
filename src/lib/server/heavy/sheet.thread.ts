import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type pdfmakeType from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Sheet } from './tasks';

/** Points in a millimetre. */
const PT_PER_MM = 72 / 25.4;
/** The font of every sheet. */
const PAPER_FONT = 'Atkinson';
// the script of a thread lies apart from the packages
const require = createRequire(join(process.cwd(), 'package.json'));

/** The library, with the typeface of the screens as files that paper can take. */
function loaded(): typeof pdfmakeType {
	const pdfmake = require('pdfmake') as typeof pdfmakeType;
	const fontDir = join(dirname(require.resolve('pdfmake/package.json')), 'fonts', 'Roboto');
	const ownDir = join(
		dirname(require.resolve('@fontsource/atkinson-hyperlegible-next/package.json')),
		'files'
	);
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
	pdfmake.addTableLayouts({ labels: { hLineColor: () => '#bbbbbb', vLineColor: () => '#bbbbbb' } });
	// nothing is fetched for a sheet, and of the disk only the fonts are read
	pdfmake.setUrlAccessPolicy(() => false);
	pdfmake.setLocalAccessPolicy((path) => path.startsWith(fontDir) || path.startsWith(ownDir));
	return pdfmake;
}
let pdfmake: typeof pdfmakeType | undefined;

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
const numbered = (
	title: string,
	margins: TDocumentDefinitions['pageMargins']
): Pick<TDocumentDefinitions, 'header' | 'footer'> => {
	// as far in as what stands on the sheet
	const inPt = Array.isArray(margins) ? margins[0] : 12 * PT_PER_MM;
	return {
		header: (page) =>
			page === 1
				? null
				: (inOwnFont({
						text: title,
						bold: true,
						fontSize: 9,
						margin: [inPt, 5 * PT_PER_MM, 0, 0]
					}) as Content),
		footer: (page, pages) =>
			inOwnFont({
				text: `${title}, page ${page} of ${pages}`,
				alignment: 'right',
				fontSize: 8,
				margin: [0, 2 * PT_PER_MM, inPt, 0]
			}) as Content
	};
};

/** A sheet as the bytes of a PDF. */
export async function sheetBytes({ numbered: title, ...definition }: Sheet): Promise<Uint8Array> {
	pdfmake ??= loaded();
	const bytes = await pdfmake
		.createPdf({
			defaultStyle: { font: PAPER_FONT, fontSize: 10 },
			...(title === undefined ? {} : numbered(title, definition.pageMargins)),
			...definition,
			content: inOwnFont(definition.content) as Content
		})
		.getBuffer();
	return new Uint8Array(bytes);
}
