import type { Deed } from '$lib/server/people/audit';

/** What people read of a deed. */
export const DEED_WORDS: Readonly<Record<Deed, string>> = {
	'signed-in': 'Signed in',
	'sign-in-failed': 'A sign-in that failed',
	'signed-out': 'Signed out',
	'session-ended': 'A session ended',
	'first-person': 'The first keeper',
	'person-added': 'Somebody new',
	'person-changed': 'What somebody may do',
	'person-left': 'Somebody left',
	'passphrase-changed': 'A passphrase changed',
	'passphrase-reset': 'A code for a new passphrase',
	'settings-changed': 'Settings changed',
	'book-read': 'The book was read out',
	'book-restored': 'A book was read in',
	'instrument-added': 'An instrument added',
	'instrument-revoked': 'An instrument taken out of use'
};
