import { error } from '@sveltejs/kit';
import { orPage } from './forms';
import { heavy, type Asker } from './heavy/pool';
import type { Sheet } from './heavy/tasks';

/** A sheet as a response that the browser shows, named for when it is kept; set in a thread beside the server. */
export async function sheet(definition: Sheet, fileName: string, asker: Asker): Promise<Response> {
	const made = await orPage(heavy('sheet', definition, asker));
	if (!made.ok) error(422, made.errors[0].message);
	return new Response(made.value as Uint8Array<ArrayBuffer>, {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${fileName}"`,
			'cache-control': 'no-store'
		}
	});
}
