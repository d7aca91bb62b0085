import { describe, expect, it } from 'vitest';
import { parseEnvironment } from '../environment';
import { whereTo, wantsSignIn } from './gate';

describe('when one has to sign in', () => {
	it.each([
		[{}, false],
		[{ HOST: '127.0.0.1' }, false],
		[{ HOST: '127.4.5.6' }, false],
		[{ HOST: 'localhost' }, false],
		[{ HOST: '::1' }, false],
		[{ HOST: '0.0.0.0' }, true],
		[{ HOST: '::' }, true],
		[{ HOST: '192.168.1.20' }, true],
		[{ HOST: '127.0.0.1.evil.example' }, true],
		[{ HOST: '127.0.0.1', SIGN_IN: '1' }, true]
	])('%j: %s', (variables, wanted) => {
		expect(wantsSignIn(parseEnvironment(variables as Record<string, string>))).toBe(wanted);
	});
});

describe('where somebody goes after that', () => {
	it.each([
		['/moulds?state=active', '/moulds?state=active'],
		['https://evil.example', '/'],
		['//evil.example', '/'],
		['/\\evil.example', '/'],
		['/sign-in?/out', '/'],
		['', '/']
	])('%s: %s', (to, there) => {
		expect(whereTo(new URL(`http://x/sign-in?to=${encodeURIComponent(to)}`))).toBe(there);
	});
});
