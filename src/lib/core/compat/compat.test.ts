import { expect, it } from 'vitest';
import { MASTER_MATERIALS } from '../master';
import { masterAndRubber, resinAndMould } from '.';

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
