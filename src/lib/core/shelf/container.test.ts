import { describe, expect, it } from 'vitest';
import { containerHealth, containerRecord, remainingG } from './container';

const fresh = containerRecord.parse({
	materialId: 'x',
	part: 'A',
	sizeG: 5000,
	weighedG: 4000,
	openedOn: '2026-11-01'
});
const health = (over: object, humidity = 40, chemistry: 'urethane' | 'polyester' = 'urethane') =>
	containerHealth({ ...fresh, ...over }, chemistry, '2026-11-23', {
		relativeHumidity: humidity,
		stopHumidityPercent: 50
	});

describe('containers (limits: common practice, no source)', () => {
	it('fresh stock is fine', () => {
		expect(health({})).toMatchObject({ level: 'fine', reasons: [], openDays: 22 });
	});
	it('an isocyanate open for half a year is doubtful, a B side after ten months watched', () => {
		expect(health({ openedOn: '2026-04-01' }).level).toBe('doubtful');
		expect(health({ part: 'B', openedOn: '2026-01-10' }).level).toBe('watch');
		expect(health({ part: 'whole', openedOn: '2026-04-01' }, 40, 'polyester').level).toBe('fine');
	});
	it('damp air makes openings count for more, dry gas for less', () => {
		expect(health({ openings: 10 }, 40).level).toBe('fine');
		expect(health({ openings: 10 }, 60).level).toBe('watch');
		expect(health({ openings: 10, flushed: true }, 60).level).toBe('fine');
	});
	it('the use-by date comes before everything', () => {
		expect(health({ useBy: '2026-11-22' })).toMatchObject({ level: 'doubtful' });
		expect(health({ useBy: '2026-11-23' }).level).toBe('fine');
	});
	it('never holds less than nothing', () => {
		expect(remainingG(100, 30)).toBe(70);
		expect(remainingG(100, 130)).toBe(0);
	});
	it.each([
		[{ weighedG: 9000 }, 'weighedG'],
		[{ sizeG: 0 }, 'sizeG'],
		[{ openedOn: 'yesterday' }, 'openedOn'],
		[{ openings: 1.5 }, 'openings'],
		[{ part: 'C' }, 'part']
	])('%j is refused at its field', (over, field) => {
		const result = containerRecord.safeParse({ ...fresh, ...over });
		expect(result.error!.issues.map((i) => i.path[0])).toContain(field);
	});
});
