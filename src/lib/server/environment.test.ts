import { describe, expect, it } from 'vitest';
import { parseEnvironment } from './environment';

describe('what the environment says', () => {
	it('nothing set, or set to nothing, is the usual', () => {
		const usual = {
			ANTHYPOS_DEMO: '0',
			SIGN_IN: '0',
			MESH_TIME_LIMIT_MS: 20_000,
			DISK_LOW_MB: 1000,
			LOG_LEVEL: 'info'
		};
		expect(parseEnvironment({})).toEqual(usual);
		expect(parseEnvironment({ LOG_LEVEL: '', MESH_TIME_LIMIT_MS: '', PATH: '/bin' })).toEqual(usual);
	});
	it.each([
		[{ DATABASE_URL: 'postgres://a@b/c' }, /mariadb:\/\/user/],
		[{ DATABASE_URL: 'localhost' }, /mariadb:\/\/user/],
		[{ ANTHYPOS_DEMO: 'yes' }, /ANTHYPOS_DEMO is 1 or 0/],
		[{ SIGN_IN: 'yes' }, /SIGN_IN is 1 or 0/],
		[{ ANTHYPOS_OWN_TOKEN: 'short' }, /at least 32 characters/],
		[{ MESH_TIME_LIMIT_MS: 'soon' }, /milliseconds/],
		[{ MESH_TIME_LIMIT_MS: '-5' }, /over 0/],
		[{ DISK_LOW_MB: 'little' }, /megabytes/],
		[{ LOG_LEVEL: 'loud' }, /LOG_LEVEL is one of/]
	])('%o is refused with a sentence', (variables, sentence) => {
		expect(() => parseEnvironment(variables)).toThrow(sentence);
	});
	it('says all that is wrong at once', () => {
		expect(() => parseEnvironment({ LOG_LEVEL: 'loud', ANTHYPOS_DEMO: '2' })).toThrow(
			/ANTHYPOS_DEMO.*LOG_LEVEL/
		);
	});
	it('both ways to name the database are read', () => {
		for (const scheme of ['mariadb', 'mysql'])
			expect(parseEnvironment({ DATABASE_URL: `${scheme}://u:p@127.0.0.1:3306/w` }).DATABASE_URL).toMatch(
				scheme
			);
	});
});
