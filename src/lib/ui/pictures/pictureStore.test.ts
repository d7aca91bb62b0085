import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { PictureStore, type KeptPicture } from './pictureStore';

const NOW = Date.parse('2026-11-30T10:00:00Z');
const picture = (id: string, daysAgo: number, piece = 'new'): KeptPicture => ({
	id,
	piece,
	name: `${id}.jpg`,
	takenAtMs: NOW - daysAgo * 86_400_000,
	kept: new Blob([id]),
	strokes: [{ says: 'piece', wide: 0.03, points: [0.1, 0.2, 0.3, 0.2] }]
});
const ids = (rows: KeptPicture[]) => rows.map((r) => r.id);

describe('pictures on this device', () => {
	it('come back in the order in which they were taken, with what was painted; each piece has its own', async () => {
		const store = new PictureStore();
		for (const p of [picture('b', 1), picture('a', 3), picture('other', 1, 'm7')]) await store.put(p);
		const kept = await new PictureStore().all('new', NOW);
		expect(ids(kept)).toEqual(['a', 'b']);
		expect(kept[0]!.strokes).toEqual(picture('a', 3).strokes);
		await store.drop('new', 'a');
		expect(ids(await store.all('new', NOW))).toEqual(['b']);
		expect(ids(await store.all('m7', NOW))).toEqual(['other']);
	});
	it('are forgotten after a month, of whichever piece', async () => {
		const store = new PictureStore();
		await store.put(picture('old', 31, 'm8'));
		await store.put(picture('young', 29, 'm8'));
		expect(ids(await store.all('m9', NOW))).toEqual([]);
		expect(ids(await store.all('m8', NOW))).toEqual(['young']);
		// gone, not only left out
		expect(ids(await store.all('m8', NOW - 5 * 86_400_000))).toEqual(['young']);
	});
	it('are cleared with what was typed once the master is kept', async () => {
		const store = new PictureStore();
		await store.put(picture('x', 0, 'm10'));
		const typed = { piece: 'm10', rulerMm: 99.4, flatTop: true, waterMl: 31 };
		await store.type(typed);
		expect(await store.typed('m10')).toEqual(typed);
		await store.clear('m10');
		expect([await store.all('m10'), await store.typed('m10')]).toEqual([[], undefined]);
	});
});
