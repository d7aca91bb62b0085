import { error } from '@sveltejs/kit';
import { MAT_SIZES } from '$lib/core/photo';
import { asker } from '$lib/server/heavy/asker';
import { MAT_PAPERS, matSheet, sheetsFor, type MatPaper } from '$lib/server/matSheet';
import { sheet } from '$lib/server/printed';
import type { RequestHandler } from './$types';

/** The mat on which a piece stands while it is measured with pictures. */
export const GET: RequestHandler = (event) => {
	const { searchParams } = event.url;
	const size = MAT_SIZES.find((s) => s === (searchParams.get('size') ?? 'medium'));
	const paper = (Object.keys(MAT_PAPERS) as MatPaper[]).find(
		(p) => p === (searchParams.get('paper') ?? event.locals.settings.paper)
	);
	if (!size || !paper)
		error(
			400,
			`Ask for a size of ${MAT_SIZES.join(', ')} and a paper of ${Object.keys(MAT_PAPERS).join(', ')}.`
		);
	if (!sheetsFor(size, paper)) error(400, `The ${size} mat does not go on ${paper}: choose a larger paper.`);
	return sheet(matSheet(size, paper), `mat-${size}-${paper}.pdf`, asker(event));
};
