/** The book's own name and the version of its form; a reader refuses what is newer. */
export const BACKUP = { form: 'workshop-book', version: 6 } as const;

/**
 * Every table of the database, in an order in which rows may be written, and where its rows go: into the
 * `book`; `beside` it as files of their own; `derived` from the others; of this installation `here` only.
 * The book, the demo and the tests of the migrations go by this list.
 */
export const TABLES = {
	markers: 'here',
	instruments: 'here',
	people: 'here',
	sessions: 'here',
	access_codes: 'here',
	failed_tries: 'here',
	audit: 'here',
	settings: 'book',
	counters: 'book',
	materials: 'book',
	experiences: 'book',
	photos: 'book',
	masters: 'book',
	meshes: 'book',
	mesh_chunks: 'beside',
	moulds: 'book',
	mould_photos: 'book',
	making_events: 'book',
	containers: 'book',
	shots: 'book',
	vessels: 'book',
	orders: 'book',
	work_hours: 'book',
	plans: 'book',
	pours: 'book',
	pour_events: 'book',
	device_commands: 'book',
	stock_movements: 'book',
	pulls: 'book',
	mould_pulls: 'derived',
	pull_photos: 'book',
	container_photos: 'book',
	pull_faults: 'book',
	pull_corrections: 'book',
	pull_causes: 'book',
	pot_cycles: 'book',
	vessel_inspections: 'book',
	mould_inspections: 'book',
	trials: 'book',
	saved_views: 'book'
} as const;
export type Table = keyof typeof TABLES;
export const TABLE_NAMES = Object.keys(TABLES) as Table[];

/** Those whose rows are written into the book. */
export type BackupTable = { [T in Table]: (typeof TABLES)[T] extends 'book' ? T : never }[Table];
export const BACKUP_TABLE_NAMES = TABLE_NAMES.filter((t): t is BackupTable => TABLES[t] === 'book');
/** Those that a workshop fills, in an order in which rows may be removed. */
export const WORKSHOP_TABLES = TABLE_NAMES.filter((t) => TABLES[t] !== 'here').reverse();
