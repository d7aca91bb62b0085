import { describe, expect, it } from 'vitest';
import { sizingOfCube } from '../examples.testing';
import { polyester, urethane } from '../shot/kinds/shots.testing';
import { valueOf } from '../outcome';
import { sizing, sizingWhatIf, type SizingQuestion } from '.';

const asked = (more: object = {}, record = polyester): SizingQuestion => ({
	...sizingOfCube,
	resin: { ...sizingOfCube.resin, record },
	inputs: { ...sizingOfCube.inputs, ...more }
});
const share = (q: SizingQuestion) => valueOf(sizingWhatIf(q, []))!.share;
const codes = (q: SizingQuestion) => valueOf(sizing(q).shot)!.shot.warnings.map((w) => w.code);

describe('the share of catalyst that is proposed', () => {
	it('lies within 1 and 2 %, and this shot does not crack with it', () => {
		const { percent, recordPercent } = share(asked())!;
		expect(percent).toBeGreaterThanOrEqual(1);
		expect(percent).toBeLessThanOrEqual(2);
		expect(recordPercent).toBe(polyester.catalystPercent);
		expect(codes(asked({ catalystPercent: percent! }))).not.toContain('may-crack');
	});
	const room = (tempC: number) => ({ startTempC: tempC, mouldTempC: tempC, roomTempC: tempC });
	it('is more in a cold room than in a warm one (common practice, no source)', () => {
		expect(share(asked(room(12)))!.percent!).toBeGreaterThan(share(asked(room(21)))!.percent!);
	});
	it('is none where the least of them cracks, as the shot itself says', () => {
		expect(share(asked(room(30)))!.percent).toBeNull();
		expect(codes(asked({ ...room(30), catalystPercent: 1 }))).toContain('may-crack');
	});
	it('nothing of it for a resin that is not catalysed', () => {
		expect(share(asked({}, urethane))).toBeUndefined();
	});
});
