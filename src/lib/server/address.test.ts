import { expect, it } from 'vitest';
import { workshopSettings, WORKSHOP_DEFAULTS } from '$lib/core/workshop';
import { addressOf } from './address';

const over = (encrypted: boolean) => ({ req: { socket: { encrypted } } }) as unknown as App.Platform;

it('the connection says the scheme, whatever the framework guesses', () => {
	const asked = new URL('https://bench.local:4620/moulds');
	expect(addressOf({ address: '' }, asked, over(false))).toEqual({
		base: 'http://bench.local:4620',
		loopback: false
	});
	expect(addressOf({ address: '' }, asked, over(true)).base).toBe('https://bench.local:4620');
});
it('the workshop’s address comes first; one that only this machine knows is told', () => {
	const asked = new URL('http://127.0.0.1:4620/');
	expect(addressOf({ address: '' }, asked, over(false)).loopback).toBe(true);
	expect(addressOf({ address: 'http://192.168.1.20:4620/' }, asked, over(false))).toEqual({
		base: 'http://192.168.1.20:4620',
		loopback: false
	});
	for (const address of ['http://localhost:1', 'http://[::1]:4620', 'http://127.0.0.9'])
		expect(addressOf({ address }, asked, undefined).loopback, address).toBe(true);
});
it('an address that is none is refused in a sentence', () => {
	const typed = (address: string) => workshopSettings.safeParse({ ...WORKSHOP_DEFAULTS, address });
	for (const good of ['', 'http://192.168.1.20:4620', 'https://bench.local/'])
		expect(typed(good).success, good).toBe(true);
	for (const bad of ['bench', 'http://', 'http://a b', 'ftp://x', 'http://x/moulds?y'])
		expect(typed(bad).error?.issues[0]!.message, bad).toMatch(/Type it whole/);
});
