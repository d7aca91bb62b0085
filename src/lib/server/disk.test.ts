import { mkdtempSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DatabaseError } from 'sequelize';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { awayResponse, isAway } from './away';
import { disk, DISK_FULL, diskOf, isDiskFull, noRoomFor } from './disk';

const failed = (errno: number) =>
	new DatabaseError(Object.assign(new Error('x'), { sql: 'INSERT', errno }) as never);
let nowMs = 1e12;

describe('the disk under the database', () => {
	afterEach(() => vi.unstubAllEnvs());

	it('is looked at where its folder is known, and not guessed where it is not', () => {
		const folder = mkdtempSync(join(tmpdir(), 'anthypos-disk-'));
		vi.stubEnv('ANTHYPOS_DATA', folder);
		const { bavail, bsize } = statfsSync(folder);
		// others write to the same disk meanwhile
		expect(disk((nowMs += 10_000))!.freeBytes / (bavail * bsize)).toBeCloseTo(1, 1);
		rmSync(folder, { recursive: true });
		expect(disk((nowMs += 10_000))).toBeUndefined();
		vi.stubEnv('ANTHYPOS_DATA', '');
		expect(disk((nowMs += 10_000))).toBeUndefined();
	});

	it.each([
		[5e9, 'fine'],
		[0.99e9, 'low'],
		[0.3e9, 'short'],
		[10e6, 'full'],
		[0, 'full']
	] as const)('with %d bytes free is %s', (free, state) => expect(diskOf(free, 1e9).state).toBe(state));

	it('takes no large thing that would fill it, and what is typed always', () => {
		expect(noRoomFor(8e6, diskOf(5e9, 1e9))).toBeUndefined();
		expect(noRoomFor(8e6, diskOf(0.8e9, 1e9))).toBeUndefined();
		// twice its size and a little: in the tables and in the journal
		expect(noRoomFor(395e6, diskOf(0.8e9, 1e9))).toMatch(/too little room.*800 MB free.*nothing was taken/);
		expect(noRoomFor(1e6, diskOf(0.3e9, 1e9))).toMatch(/300 MB free/);
		expect(noRoomFor(20_000, diskOf(0, 1e9))).toBeUndefined();
		expect(noRoomFor(8e6, undefined)).toBeUndefined();
	});

	it('that is full is named, and come back to like a database that is away', async () => {
		// MariaDB's list of error codes: ER_DISK_FULL, ER_RECORD_FILE_FULL; ER_DUP_ENTRY is none
		expect([1021, 1114, 1062].map((n) => isDiskFull(failed(n)))).toEqual([true, true, false]);
		expect(isAway(failed(1114))).toBe(true);
		const asked = (accept: string) =>
			awayResponse(new Request('http://x/', { headers: { accept } }), failed(1114));
		expect(await asked('text/html').text()).toMatch(/<h1>The workshop’s disk is full<\/h1>/);
		expect(await asked('application/json').json()).toMatchObject({ message: DISK_FULL });
	});
});
