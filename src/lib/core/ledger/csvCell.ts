/**
 * A cell that a spreadsheet does not run as a formula; numbers stay numbers.
 * @example
 * safeCell('=1+1'); // '\'=1+1'
 */
export function safeCell(value: string | number | undefined | null): string | number {
	if (value === undefined || value === null) return '';
	if (typeof value === 'number') return Number.isFinite(value) ? value : '';
	// full-width signs are read as signs by spreadsheets of East Asia; a cell may begin with blanks
	return /^\s*[=+\-@＝＋－＠]|^[\t\r\n]/.test(value) ? `'${value}` : value;
}
