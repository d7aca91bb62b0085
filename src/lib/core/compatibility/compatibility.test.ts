import { expect, it } from 'vitest';
import { MASTER_MATERIALS } from '../master';
import type { ReleaseRecord, ResinRecord } from '../shelf';
import {
	experienceRecord,
	masterAndRubber,
	masterThing,
	releaseThing,
	resinAndMould,
	resinThing,
	rubberThing,
	thermoplasticThing,
	whatMeets,
	type Experience,
	type Thing
} from '.';

// the trade's table of what may touch what: common practice, no source
it.each([
	['sulphur clay', 'addition', ['inhibition']],
	['sulphur clay', 'condensation', []],
	['resin print', 'addition', ['inhibition']],
	['resin print', 'condensation', []],
	['wood', 'addition', ['porous']],
	['plaster', 'condensation', ['porous']],
	['sulphur-free clay', 'addition', []],
	['metal', 'addition', []],
	['other', 'addition', ['trial-patch']]
] as const)('%s under %s rubber', (material, cureKind, codes) => {
	expect(masterAndRubber(material, cureKind).map((w) => w.code)).toEqual(codes);
});

it('every warning says what to do, and inhibition asks for a trial patch', () => {
	for (const material of MASTER_MATERIALS) {
		for (const w of masterAndRubber(material, 'addition')) expect(w.action.length).toBeGreaterThan(10);
	}
	expect(masterAndRubber('resin print', 'addition')[0]!.action).toMatch(/small patch/);
});

it('polyester swells, urethane soaks in, epoxy is kind', () => {
	expect(resinAndMould('clear polyester').map((w) => w.code)).toEqual(['styrene-swells']);
	expect(resinAndMould('fast urethane').map((w) => w.code)).toEqual(['urethane-soaks']);
	expect(resinAndMould('epoxy')).toEqual([]);
});

const platinum = rubberThing('p', { name: 'Plat', cureKind: 'addition', use: 'pour' });
const tin = rubberThing('t', { name: 'Tin', cureKind: 'condensation', use: 'pour' });
const resin = (family: ResinRecord['family']) => resinThing('r', { name: 'Resin', family });
const release = (kind: ReleaseRecord['kind']) =>
	releaseThing('s', { name: 'Rel', kind, paintable: 'as its kind' });
const codes = (a: Thing, b: Thing) => whatMeets(a, b).map((w) => w.code);

// the same table, by the thing that is poured
it.each([
	[masterThing('latex'), platinum, ['inhibition']],
	[masterThing('amine-cured epoxy'), platinum, ['inhibition']],
	[masterThing('tin-cured rubber'), platinum, ['inhibition', 'bonds']],
	[masterThing('platinum-cured rubber'), tin, ['bonds']],
	[masterThing('wood', true), tin, []],
	[resin('clear polyester'), masterThing('polystyrene'), ['dissolves']],
	[resin('flexible urethane'), masterThing('filament print'), ['sticks']],
	[resin('fast urethane'), masterThing('plaster'), ['damp']],
	[resin('epoxy'), thermoplasticThing('k', 'Kettle'), []],
	[resin('fast urethane'), thermoplasticThing('k', 'Kettle'), ['heat-softens']],
	[release('silicone spray'), platinum, ['oil-is-no-separator']],
	[release('silicone spray'), resin('epoxy'), ['ruins-paint']],
	[release('wax'), resin('epoxy'), ['not-paintable']],
	[release('barrier coat'), resin('fast urethane'), ['barrier-bonds']],
	[release('talc'), resin('fast urethane'), []]
])('%o meets %o', (a, b, expected) => {
	expect(codes(a, b)).toEqual(expected);
	expect(codes(b, a)).toEqual(expected);
});

it('own experience comes first, the last word counts, and fine never hides a harm', () => {
	const [a, b] = [masterThing('resin print'), platinum];
	const own = (verdict: Experience['verdict']): Experience => ({
		first: b.key,
		second: a.key,
		verdict,
		note: 'as found'
	});
	expect(whatMeets(a, b, [own('fine')]).map((w) => w.code)).toEqual(['own-fine', 'inhibition']);
	expect(whatMeets(a, b, [own('fine'), own('never again')])[0]).toMatchObject({
		code: 'own-never-again',
		severity: 'harm'
	});
	const soaks = [resin('fast urethane'), platinum] as const;
	const fine: Experience = { first: soaks[0].key, second: soaks[1].key, verdict: 'fine', note: '' };
	expect(whatMeets(...soaks, [fine]).map((w) => w.code)).toEqual(['own-fine']);
	expect(experienceRecord.safeParse({ ...fine, second: fine.first }).success).toBe(false);
	expect(experienceRecord.safeParse({ ...fine, second: 'moon:cheese' }).success).toBe(false);
});
