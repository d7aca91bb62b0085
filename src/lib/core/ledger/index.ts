export { addition, type Addition } from './correction';
export {
	IMPORT_FIELD_NAMES,
	IMPORT_FIELDS,
	IMPORT_SAMPLE,
	importInput,
	matchColumns,
	readNotebook,
	readRow,
	type ImportedPull,
	type ImportField,
	type ImportInput,
	type RowError
} from './importRow';
export { parseDay, slashOrderOf, twoDays, type SlashOrder } from './notebookDays';
export { safeCell } from './csvCell';
export { correction, CORRECTABLE, type Correction } from './correction';
export { isPastPotLife, pullLine, type Cycle, type KeptCorrection, type Pull, type PullLine } from './pull';
