import { describe, expect, it } from 'vitest';
import { DEMO_RESINS, DEMO_RUBBERS } from '../../server/seed/materials';
import { DEMO_PIECES } from '../../server/seed/pieces';
import { calibrate } from '../cure';
import { formFromMaster, masterForm, masterFromForm, masterRecord } from '../master';
import { WORKSHOP_DEFAULTS, workshopSettings } from '../workshop';
import { cureOf, mixable, resinRecord, rubberRecord } from '.';

const sheet = DEMO_RESINS[0]!;

describe('resin', () => {
	it.each(DEMO_RESINS.map((r) => [r.name, r] as const))(
		'%s of the demo agrees with itself and calibrates',
		(_name, resin) => {
			expect(resinRecord.safeParse(resin).success).toBe(true);
			expect(calibrate(cureOf(resinRecord.parse(resin))).warnings).toEqual([]);
		}
	);

	it('a contradiction of ratio and density is refused with its sum at the field', () => {
		const result = resinRecord.safeParse({ ...sheet, weightB: 50 });
		expect(result.error!.issues[0]!.path).toEqual(['weightB']);
		expect(result.error!.issues[0]!.message).toMatch(/100:90\.0 by weight; the sheet says 100:50\.0/);
	});

	it('both ratios and the density of A give the density of B', () => {
		const settled = mixable(resinRecord.parse({ ...sheet, densityBGPerMl: undefined }));
		expect(settled.densityBGPerMl).toBeCloseTo(0.99, 9);
	});

	it.each([
		[{ weightA: undefined, weightB: undefined, volumeA: undefined, volumeB: undefined }, 'weightA'],
		[{ weightB: undefined }, 'weightB'],
		[{ densityBGPerMl: undefined, volumeA: undefined, volumeB: undefined }, 'densityBGPerMl'],
		[{ name: '  ' }, 'name'],
		[{ name: 'x'.repeat(121) }, 'name'],
		[{ potLifeS: 0 }, 'potLifeS'],
		[{ viscosityMpaS: NaN }, 'viscosityMpaS'],
		[{ family: 'treacle' }, 'family']
	])('%j is refused at its field', (part, field) => {
		const result = resinRecord.safeParse({ ...sheet, ...part });
		expect(result.success).toBe(false);
		expect(result.error!.issues.map((i) => i.path[0])).toContain(field);
	});
});

it('rubbers of the demo are in range, and nonsense is not', () => {
	for (const rubber of DEMO_RUBBERS) expect(rubberRecord.safeParse(rubber).success).toBe(true);
	expect(rubberRecord.safeParse({ ...DEMO_RUBBERS[0]!, ratioB: 0 }).success).toBe(false);
});

describe('master', () => {
	it.each(DEMO_PIECES.map((p) => [p.master.name, p.master] as const))(
		'%s: the form shows the record and gives it back',
		(_name, record) => {
			expect(masterFromForm(formFromMaster(record))).toEqual(masterRecord.parse(record));
		}
	);

	it('a volume larger than the outer sizes is refused at the number that was typed', () => {
		const form = { ...formFromMaster(DEMO_PIECES[0]!.master), overflowMassG: 5000, waterTempC: 19 };
		const result = masterForm.safeParse(form);
		expect(result.error!.issues[0]).toMatchObject({ path: ['overflowMassG'] });
		expect(result.error!.issues[0]!.message).toMatch(/more than the outer sizes hold/);
	});

	it('what is missing is asked for at its field', () => {
		const result = masterForm.safeParse({
			name: '',
			material: 'wood',
			method: 'solids',
			pieces: [{ sign: 'add', shape: 'cone' }],
			footprint: 'round'
		});
		const fields = result.error!.issues.map((i) => i.path.join('.'));
		for (const field of ['name', 'lengthMm', 'heightMm', 'pieces.0.diameterMm', 'pieces.0.heightMm'])
			expect(fields).toContain(field);
		expect(fields).not.toContain('widthMm');
	});

	it('names come back as typed', () => {
		const name = `<script>alert("x")</script> O'Brien 🦀`;
		expect(masterFromForm({ ...formFromMaster(DEMO_PIECES[0]!.master), name }).name).toBe(name);
	});
});

it('the pot of the workshop is never run past its plate', () => {
	const result = workshopSettings.safeParse({
		...WORKSHOP_DEFAULTS,
		potRatedGaugeKpa: 300,
		potTargetGaugeKpa: 301
	});
	expect(result.error!.issues[0]!.path).toEqual(['potTargetGaugeKpa']);
});
