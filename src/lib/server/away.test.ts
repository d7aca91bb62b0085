import {
	ConnectionAcquireTimeoutError,
	ConnectionRefusedError,
	DatabaseError,
	UniqueConstraintError
} from 'sequelize';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { asAway, awayResponse, isAway, noteAway, noteBack } from './away';
import { log } from './log';

const failed = (over: object) =>
	new DatabaseError(Object.assign(new Error('x'), { sql: 'SELECT 1', ...over }) as never);

describe('a database that is away', () => {
	it.each([
		['refuses', new ConnectionRefusedError(new Error('no')), true],
		['lets nobody in for too long', new ConnectionAcquireTimeoutError(new Error('no')), true],
		['was killed in the middle', failed({ fatal: true }), true],
		['whose line broke', failed({ code: 'ECONNRESET' }), true],
		['that did not like what was asked', failed({ code: 'ER_NO_SUCH_TABLE' }), false],
		['that has the row already', new UniqueConstraintError({}), false],
		['that has nothing to do with it', new Error('ECONNRESET'), false]
	])('%s', (_, failure, away) => expect(isAway(failure)).toBe(away));

	it('is answered with a page or data, and when to come back', async () => {
		const asked = (accept: string, method = 'GET') =>
			awayResponse(new Request('http://x/masters', { method, headers: { accept } }));
		const page = asked('text/html,*/*');
		expect([page.status, page.headers.get('retry-after')]).toEqual([503, '5']);
		expect(await page.text()).toMatch(/database does not answer/);
		const data = asked('application/json');
		expect([data.status, await data.json()]).toEqual([
			503,
			expect.objectContaining({ message: expect.stringMatching(/does not answer/) })
		]);
		expect(asked('text/html', 'POST').headers.get('content-type')).toMatch(/json/);
		const turned = asAway(new Response('as it was', { status: 500, headers: { 'x-own': '1' } }));
		expect([
			turned.status,
			turned.headers.get('x-own'),
			turned.headers.get('retry-after'),
			await turned.text()
		]).toEqual([503, '1', '5', 'as it was']);
	});

	describe('in the log', () => {
		beforeEach(() => noteBack());
		it('is one line, however many requests meet it, and one when it is back', () => {
			const [error, info] = [
				vi.spyOn(log, 'error').mockReturnValue(),
				vi.spyOn(log, 'info').mockReturnValue()
			];
			for (let i = 0; i < 50; i++) noteAway(new Error('gone'), 1e12 + i * 1000);
			expect(error).toHaveBeenCalledTimes(1);
			expect(JSON.stringify(error.mock.calls)).not.toMatch(/\.ts:|stack/);
			noteAway(new Error('gone'), 1e12 + 11 * 60_000);
			expect(error).toHaveBeenCalledTimes(2);
			noteBack();
			noteBack();
			expect(info).toHaveBeenCalledTimes(1);
		});
	});
});
