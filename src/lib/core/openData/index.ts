export {
	MATERIAL_KINDS,
	MATERIAL_RECORDS,
	type CycleBody,
	type MaterialKind,
	type PictureType,
	type PullBody
} from './bodies';
export { BACKUP_TABLES, backupJsonSchema, backupSchema, checkBackup, type BackupProblem } from './schema';
export {
	BACKUP,
	BACKUP_TABLE_NAMES,
	TABLE_NAMES,
	TABLES,
	WORKSHOP_TABLES,
	type BackupTable,
	type Table
} from './tables';
export { withKeysOfToday } from './earlierKeys';
export { upgradeBackup, WORDS_TO_IDS } from './upgrade';
