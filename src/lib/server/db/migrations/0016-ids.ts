import { WORDS_TO_IDS, type BackupTable } from '$lib/core/openData';
import { rewriteRows } from './rewrite';

/** Events of other kinds hold none of these words. */
const ONLY: Partial<Record<BackupTable, string>> = {
	pour_events: "kind = 'graded'",
	making_events: "kind = 'inspected'"
};
/** What tells a row of each table from the others. */
const KEYS: Partial<Record<BackupTable, readonly string[]>> = { pull_faults: ['pullId', 'fault'] };

/** Faults, causes, grades, states, closings and schools are ids from here on; the words stand in the code. */
export async function up(): Promise<void> {
	for (const [table, changes] of Object.entries(WORDS_TO_IDS))
		await rewriteRows(
			table,
			KEYS[table as BackupTable] ?? ['id'],
			changes,
			ONLY[table as BackupTable] ?? '1'
		);
}
