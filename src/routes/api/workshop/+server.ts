import { json, type RequestHandler } from '@sveltejs/kit';
import { ForeignKeyConstraintError, UniqueConstraintError } from 'sequelize';
import type { FieldError } from '$lib/core/fieldErrors';
import { drain, readBytes } from '$lib/server/body';
import { answerFor } from '$lib/server/errors';
import { asker } from '$lib/server/heavy/asker';
import { openBook } from '$lib/server/heavy/book';
import { isEmpty, readBackup } from '$lib/server/repositories/backup';

const MOST_BYTES = 250 * 1024 * 1024;

const refuse = (status: number, message: string, more: readonly FieldError[] = []) =>
	json({ errors: [{ path: '', message }, ...more] }, { status });

/** A book in: the zip or the JSON that this workshop writes, into an empty one; all of it, or nothing. */
export const POST: RequestHandler = async (event) => {
	const { request } = event;
	// nothing is read of one that will not be taken
	if (!(await isEmpty())) {
		await drain(request.body);
		return refuse(409, 'There is a workshop in these books already. A book is read only into an empty one.');
	}
	const bytes = await readBytes(request, MOST_BYTES);
	if (!bytes) return refuse(413, 'That book is over 250 MB.');
	if (bytes.length === 0)
		return refuse(
			422,
			'Nothing came: send the file as the body, with content-type application/octet-stream.'
		);
	try {
		const book = await openBook(bytes, asker(event));
		if ('ok' in book) {
			const [{ path, message }, ...more] = book.errors;
			// a zip whose files are not what its book says: the state of the file, not its form
			return refuse(path === 'files' ? 409 : 422, message, more);
		}
		try {
			const rows = await readBackup(book.bites, event.locals.person);
			const { photosLacking, meshesLacking } = book;
			if (photosLacking + meshesLacking === 0) return json({ rows });
			return json({
				rows,
				without: `Without its ${photosLacking} pictures and ${meshesLacking} 3D files, which only the zip holds.`
			});
		} finally {
			book.close();
		}
	} catch (error) {
		const answer = answerFor(error);
		if (answer) return refuse(answer.status, answer.errors[0]!.message);
		if (error instanceof ForeignKeyConstraintError)
			return refuse(422, 'Nothing was read: a row of it points to a row that it does not hold.');
		if (error instanceof UniqueConstraintError)
			return refuse(422, 'Nothing was read: two rows of it have the same id or number.');
		throw error;
	}
};
