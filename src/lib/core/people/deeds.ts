/** What is noted of who did it, and what people read of it. */
export const DEED_WORDS = {
	'signed-in': 'Signed in',
	'sign-in-failed': 'A sign-in that failed',
	'signed-out': 'Signed out',
	'device-paired': 'A device paired',
	'late-events': 'Sent after the session had ended',
	'session-ended': 'A session ended',
	'first-person': 'The first keeper',
	'person-added': 'Somebody new',
	'person-changed': 'What somebody may do',
	'person-left': 'Somebody left',
	'passphrase-changed': 'A passphrase changed',
	'passphrase-reset': 'A code for a new passphrase',
	'pull-corrected': 'A pull corrected',
	'cause-confirmed': 'A cause confirmed',
	'stock-changed': 'Stock changed',
	'settings-changed': 'Settings changed',
	'book-read': 'The book was read out',
	'book-restored': 'A book was read in',
	'instrument-added': 'An instrument added',
	'instrument-revoked': 'An instrument taken out of use'
} as const;
export type Deed = keyof typeof DEED_WORDS;
