import { describe, expect, it } from 'vitest';
import { CODE_LENGTH, CODE_LETTERS, codeShown, codeTyped, newPerson, passphrase, waitAfterMs } from '.';

describe('what is typed of people', () => {
	it('a mark is one to four letters or digits, in capitals, of any script', () => {
		for (const mark of ['jm', 'É', 'Ж1', '漢'])
			expect(newPerson.parse({ name: 'J', mark }).mark).toBe(mark.toUpperCase());
		for (const mark of ['', 'ABCDE', 'a b', '<b>'])
			expect(newPerson.safeParse({ name: 'J', mark }).success, mark).toBe(false);
	});
	it('a name holds no markup', () => {
		expect(newPerson.safeParse({ name: '<script>', mark: 'A' }).success).toBe(false);
		expect(newPerson.parse({ name: ' Jo O’Hara ', mark: 'A' }).name).toBe('Jo O’Hara');
	});
	it('a passphrase is long, of whatever characters, and never cut', () => {
		expect(passphrase.safeParse('short').success).toBe(false);
		// at least 64 characters are taken: OWASP ASVS 5.0, 6.2.9
		expect(passphrase.parse('ä'.repeat(64))).toHaveLength(64);
		expect(passphrase.parse(' four words of tea ')).toBe(' four words of tea ');
	});
	it('a code is read back however it is typed, and holds more than fifty bits', () => {
		expect(codeTyped(codeShown('ABCD2345EFGH').toLowerCase())).toBe('ABCD2345EFGH');
		expect(CODE_LENGTH * Math.log2(CODE_LETTERS.length)).toBeGreaterThan(50);
		expect(CODE_LETTERS).not.toMatch(/[01OI]/);
	});
});

describe('tries', () => {
	it('a slip or two cost nothing, then each wait is twice the one before, to a quarter of an hour', () => {
		expect([0, 1, 3, 4, 5, 6].map(waitAfterMs)).toEqual([0, 0, 0, 2000, 4000, 8000]);
		expect(waitAfterMs(60)).toBe(15 * 60_000);
	});
	it('brute force: in the first minute fewer than ten, in a day fewer than a hundred and twenty', () => {
		const triesIn = (ms: number) => {
			let [at, failures] = [0, 0];
			while (at <= ms) at += waitAfterMs(++failures);
			return failures;
		};
		expect(triesIn(60_000)).toBeLessThan(10);
		expect(triesIn(86_400_000)).toBeLessThan(120);
	});
});
