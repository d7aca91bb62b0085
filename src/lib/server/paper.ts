import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { PieceOutline } from '$lib/core/mould';
import type { Paper } from '$lib/core/workshop';

const fontDir = join(
	dirname(createRequire(import.meta.url).resolve('pdfmake/package.json')),
	'fonts',
	'Roboto'
);
pdfmake.setFonts({
	Roboto: {
		normal: join(fontDir, 'Roboto-Regular.ttf'),
		bold: join(fontDir, 'Roboto-Medium.ttf'),
		italics: join(fontDir, 'Roboto-Italic.ttf'),
		bolditalics: join(fontDir, 'Roboto-MediumItalic.ttf')
	}
});
// nothing is fetched for a sheet, and of the disk only the fonts are read
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.startsWith(fontDir));

/** The papers by the names that the library has for them. */
export const PAGE_SIZES = { A4: 'A4', Letter: 'LETTER' } as const satisfies Record<Paper, string>;

/** Points in a millimetre. */
export const PT_PER_MM = 72 / 25.4;
/** Signs that the paper's font does not have. */
export const onPaper = (text: string) => text.replace(/\u202f/g, '\u00a0').replace(/⌀/g, 'Ø');

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
		.createPdf({ defaultStyle: { font: 'Roboto', fontSize: 10 }, ...definition })
		.getBuffer();
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${fileName}"`,
			'cache-control': 'no-store'
		}
	});
}
