export { MATERIAL_KINDS, MATERIAL_RECORDS, type CycleBody, type MaterialKind, type PullBody } from './bodies';
export {
	BOOK,
	BOOK_TABLE_NAMES,
	BOOK_TABLES,
	bookJsonSchema,
	bookSchema,
	checkBook,
	type BookProblem,
	type BookTable
} from './schema';
