import pino from 'pino';

/** The server's log: one JSON line an entry, units in the field names. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info' });
