import pino from 'pino';
import { environment } from './environment';

/** A level that is none is said at the start; until then the usual one is written. */
function level() {
	try {
		return environment().LOG_LEVEL;
	} catch {
		return 'info';
	}
}

/** The server's log: one JSON line an entry, units in the field names. */
export const log = pino({ level: level() });
