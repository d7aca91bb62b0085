export { MATERIAL_KINDS, MATERIAL_RECORDS, type CycleBody, type MaterialKind, type PullBody } from './bodies';
export { BOOK, BOOK_TABLES, bookJsonSchema, bookSchema, checkBook, type BookProblem } from './schema';
export { BOOK_TABLE_NAMES, TABLE_NAMES, TABLES, WORKSHOP_TABLES, type BookTable, type Table } from './tables';
export { upgradeBook, WORDS_TO_IDS } from './upgrade';
