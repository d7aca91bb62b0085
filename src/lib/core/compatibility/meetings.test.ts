import { expect, it } from 'vitest';
import { meetings, whatMeets, type Experience, type Thing } from '.';

const master: Thing = {
	kind: 'master',
	key: 'master:sulphur clay',
	name: 'sulphur clay',
	material: 'sulphur clay'
};
const rubber = (n: number, cureKind: 'addition' | 'condensation'): Thing => ({
	kind: 'rubber',
	key: `rubber:${n}`,
	name: `Rubber ${n}`,
	cureKind
});
const talc: Thing = {
	kind: 'release',
	key: 'release:talc',
	name: 'Talc',
	release: { kind: 'talc', paintable: 'as its kind' }
};

it('every thing of a group meets every thing of the others, and none of its own', () => {
	const [platinum, tin] = [rubber(1, 'addition'), rubber(2, 'condensation')];
	const pairs = [
		[master, platinum],
		[master, tin],
		[master, talc],
		[platinum, talc],
		[tin, talc]
	] as const;
	const wanted = new Set(pairs.flatMap(([a, b]) => whatMeets(a, b).map((w) => w.message)));
	const said = meetings([[master], [platinum, tin], [talc]]).map((w) => w.message);
	expect(new Set(said)).toEqual(wanted);
	// platinum and tin cure each other's faces ill, but these two never touch
	const [together] = [whatMeets(platinum, tin).map((w) => w.message)];
	expect(together.length).toBeGreaterThan(0);
	expect(said.some((m) => together.includes(m) && !wanted.has(m))).toBe(false);
});

it('sulphur under platinum is said once, however many moulds of it there are (common practice, no source)', () => {
	const said = meetings([[master], [rubber(1, 'addition'), rubber(1, 'addition')]]);
	expect(said.some((w) => w.severity === 'harm')).toBe(true);
	expect(new Set(said.map((w) => w.message)).size).toBe(said.length);
});

it('nothing meets nothing; own experience is said among the rest', () => {
	expect(meetings([])).toEqual([]);
	expect(meetings([[master], []])).toEqual([]);
	const own: Experience = {
		first: 'rubber:2',
		second: 'release:talc',
		verdict: 'never again',
		note: 'pinholes'
	};
	const said = meetings([[rubber(2, 'condensation')], [talc]], [own]);
	expect(said.map((w) => w.message).join(' ')).toContain('pinholes');
});
