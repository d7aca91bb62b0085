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
