export { DEED_WORDS, type Deed } from './deeds';
export {
	CODE_LENGTH,
	CODE_LETTERS,
	codeShown,
	codeTyped,
	newPerson,
	PASSPHRASE,
	passphrase,
	personRecord,
	RIGHTS,
	RIGHT_WORDS,
	type NewPerson,
	type PersonRecord,
	type Right
} from './person';
export { FORGOTTEN_MS, FREE_TRIES, waitAfterMs } from './throttle';
