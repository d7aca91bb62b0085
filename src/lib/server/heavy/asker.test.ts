import { expect, it } from 'vitest';
import { asker } from './asker';

const request = new Request('http://127.0.0.1/');
const from = (address: string, id?: string) =>
	asker({
		request,
		locals: { person: id === undefined ? null : { id } } as App.Locals,
		getClientAddress: () => address
	});

it('one person at two devices has one share, two at one proxy have two, and nobody is known by their address', () => {
	expect(from('10.0.0.7', 'ines').client).toBe(from('10.0.0.8', 'ines').client);
	expect(from('10.0.0.7', 'ines').client).not.toBe(from('10.0.0.7', 'jo').client);
	expect(from('10.0.0.7').client).toBe('10.0.0.7');
	// what this machine asks of itself has no person's id
	expect(from('127.0.0.1', '').client).toBe('127.0.0.1');
});

it('a ticket is a number that a page made, and nothing else', () => {
	const form = (ticket: string) => {
		const data = new FormData();
		data.set('ticket', ticket);
		return data;
	};
	const ask = (ticket: string) =>
		asker({ request, locals: { person: null } as App.Locals, getClientAddress: () => 'a' }, form(ticket))
			.ticket;
	expect(ask('3f0c2a52-8c3e-4f6b-9f41-0d7a2f7f5a10')).toBe('3f0c2a52-8c3e-4f6b-9f41-0d7a2f7f5a10');
	expect([ask(''), ask('../x'), ask('3f0c2a52')]).toEqual([undefined, undefined, undefined]);
});
