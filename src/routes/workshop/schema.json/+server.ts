import { json, type RequestHandler } from '@sveltejs/kit';
import { backupJsonSchema } from '$lib/core/openData';

/** What stands in a book, as JSON Schema. */
export const GET: RequestHandler = () => json(backupJsonSchema());
