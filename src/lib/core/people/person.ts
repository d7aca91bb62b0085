import { z } from 'zod';

/** What people may do: makers work, keepers also manage people, settings and books. */
export const RIGHTS = ['maker', 'keeper'] as const;
export type Right = (typeof RIGHTS)[number];
export const RIGHT_WORDS: Readonly<Record<Right, string>> = { maker: 'Maker', keeper: 'Keeper' };

/** So short a passphrase is guessed; so long a one is a file (OWASP ASVS 5.0, 6.2.1 and 6.2.9). */
export const PASSPHRASE = { least: 12, most: 200 } as const;

export const passphrase = z
	.string({ error: 'Type a passphrase.' })
	.min(
		PASSPHRASE.least,
		`At least ${PASSPHRASE.least} characters: three or four words that are nobody’s saying do well.`
	)
	.max(PASSPHRASE.most, `At most ${PASSPHRASE.most} characters.`);

/** How a person stands in the workshop’s records. */
export const personRecord = z.object({
	name: z
		.string({ error: 'Type the name that others know.' })
		.trim()
		.min(1, 'Type the name that others know.')
		.max(60, 'Keep the name under 60 characters.')
		.regex(/^[^\p{Cc}<>]*$/u, 'Letters and spaces do; no < or >.'),
	/** Stands beside what this person notes. */
	mark: z
		.string({ error: 'Type a short mark, such as JM.' })
		.trim()
		.toUpperCase()
		.regex(/^[\p{L}\p{N}]{1,4}$/u, 'One to four letters or digits, such as JM.')
});
export type PersonRecord = z.output<typeof personRecord>;

/** A new person, as a keeper types it. */
export const newPerson = personRecord.extend({ right: z.enum(RIGHTS).default('maker') });
export type NewPerson = z.output<typeof newPerson>;

/** Characters of a code that is read off one screen and typed into another: none is taken for another. */
export const CODE_LETTERS = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ';
export const CODE_LENGTH = 12;

/**
 * A code as it was meant, however it was typed: without spaces and dashes, in capitals.
 * @example
 * codeTyped(' abcd-2345 efgh'); // 'ABCD2345EFGH'
 */
export const codeTyped = (text: string): string => text.replace(/[\s-]/g, '').toUpperCase();

/**
 * A code as it is shown, in groups of four.
 * @example
 * codeShown('ABCD2345EFGH'); // 'ABCD-2345-EFGH'
 */
export const codeShown = (code: string): string => code.match(/.{1,4}/g)?.join('-') ?? '';
