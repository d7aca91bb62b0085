import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_RUBBERS, DEMO_THERMOPLASTICS } from '../../server/seed/materials';
import { DEMO_PIECES } from '../../server/seed/pieces';
import { masterVolumeMl } from '../master';
import { rubberRecord, thermoplasticRecord } from '../shelf';
import {
	closingOf,
	cavityVolumeMl,
	mouldInputs,
	MOULD_KINDS,
	outsideMl,
	planMould,
	spread,
	standingOf,
	wallMm
} from '.';

const materials = {
	rubber: rubberRecord.parse(DEMO_RUBBERS[0]),
	thermoplastic: thermoplasticRecord.parse(DEMO_THERMOPLASTICS[0])
};
const made = (master: (typeof DEMO_PIECES)[number]['master'], over: object = {}) => {
	const inputs = mouldInputs.parse({
		label: 'x',
		masterId: 'm',
		rubberId: 'r',
		thermoplasticId: 't',
		clearanceMm: 12,
		coverMm: 14,
		lossPercent: 0,
		roomTempC: 23,
		skinMm: 6,
		shellMm: 8,
		rigidWallMm: 5,
		...over
	});
	return { inputs, plan: planMould(inputs, master, materials) };
};
const areaMm2 = (f: ReturnType<typeof standingOf>['footprint']) =>
	f.shape === 'round' ? (Math.PI * f.diameterMm ** 2) / 4 : f.lengthMm * f.widthMm;
const master = DEMO_PIECES.find((p) => p.master.footprint === 'rectangular')!.master;
const round = DEMO_PIECES.find((p) => p.master.footprint === 'round')!.master;

describe('what a closed mould takes up', () => {
	it.each(MOULD_KINDS)('%s: it holds its master, and stands on more than that', (kind) => {
		for (const piece of [master, round]) {
			const m = made(piece, { kind });
			const { footprint, heightMm } = standingOf(m, piece);
			expect(areaMm2(footprint)).toBeGreaterThan(
				piece.footprint === 'round' ? (Math.PI * piece.lengthMm ** 2) / 4 : piece.lengthMm * piece.widthMm
			);
			expect(heightMm).toBeGreaterThan(kind === 'open-face' ? piece.heightMm - 1e-9 : piece.heightMm);
			expect(outsideMl(m, masterVolumeMl(piece)!)).toBeGreaterThan(masterVolumeMl(piece)!);
		}
	});

	it('a block is its box or its tube, by hand', () => {
		const box = standingOf(made(master), master);
		expect(box).toEqual({
			footprint: {
				shape: 'rectangular',
				lengthMm: master.lengthMm + 24,
				widthMm: master.widthMm + 24
			},
			heightMm: master.heightMm + 14
		});
		const tube = standingOf(made(round, { shape: 'tube' }), round);
		expect(tube).toEqual({
			footprint: { shape: 'round', diameterMm: round.lengthMm + 24 },
			heightMm: round.heightMm + 14
		});
		const { plan } = made(master);
		expect(outsideMl(made(master), masterVolumeMl(master)!)).toBeCloseTo(cavityVolumeMl(plan.cavity!), 9);
	});

	it('bricks stand on their widest course, as high as their courses', () => {
		const m = made(master, { shape: 'bricks', brickPitchMm: 8, brickHeightMm: 10 });
		if (m.plan.cavity?.shape !== 'courses') throw new Error('no courses');
		const { footprint, heightMm } = standingOf(m, master);
		expect(heightMm).toBeCloseTo(m.plan.cavity.heightMm, 9);
		expect(footprint).toEqual({
			shape: 'rectangular',
			lengthMm: Math.max(...m.plan.cavity.courses.map((c) => c.lengthMm)),
			widthMm: Math.max(...m.plan.cavity.courses.map((c) => c.widthMm))
		});
		// whole bricks, no closer than the clearance
		if (footprint.shape !== 'rectangular') throw new Error('not rectangular');
		expect(footprint.lengthMm % 8).toBeCloseTo(0, 9);
		expect(footprint.lengthMm).toBeGreaterThanOrEqual(master.lengthMm + 24);
	});

	it('a jacket is its skin and shell round the piece; heat goes through both', () => {
		const m = made(master, { kind: 'jacket' });
		expect(wallMm(m)).toBe(14);
		expect(standingOf(m, master)).toEqual({
			footprint: {
				shape: 'rectangular',
				lengthMm: master.lengthMm + 28,
				widthMm: master.widthMm + 28
			},
			heightMm: master.heightMm + 28
		});
		expect(outsideMl(m, 100)).toBeCloseTo(100 + m.plan.rubber.volumeMl + m.plan.jacket!.shell.volumeMl, 9);
	});

	it('a rigid mould is its own outer sizes', () => {
		const m = made(master, { kind: 'rigid' });
		const { lengthMm, widthMm, heightMm } = m.plan.rigid!.outerMm;
		expect(wallMm(m)).toBe(5);
		expect(standingOf(m, master)).toEqual({
			footprint: { shape: 'rectangular', lengthMm, widthMm },
			heightMm
		});
		expect(outsideMl(m, 1)).toBeCloseTo((lengthMm * widthMm * heightMm) / 1000, 9);
	});

	it('how it is closed: as its kind unless it is said, with what too little and too much do', () => {
		for (const kind of MOULD_KINDS) {
			const usual = closingOf(made(master, { kind }));
			expect(usual.how.length).toBeGreaterThan(0);
			expect(closingOf(made(master, { kind, closing: 'tape' })).how).not.toBe(
				closingOf(made(master, { kind, closing: 'boards-clamps' })).how
			);
		}
		// moulds from before there were kinds are blocks of one piece
		const { inputs, plan } = made(master);
		const old = { ...inputs, kind: undefined, closing: undefined } as unknown as typeof inputs;
		expect(closingOf({ inputs: old, plan })).toEqual(closingOf({ inputs, plan }));
	});
});

describe('copies over moulds', () => {
	it('each is filled before the next, none past its cavities, none lost while there is room', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 60 }),
				fc.array(fc.integer({ min: 1, max: 8 }), { maxLength: 10 }),
				(copies, cavities) => {
					const got = spread(
						copies,
						cavities.map((c, id) => ({ id, cavities: c }))
					);
					const room = cavities.reduce((sum, c) => sum + c, 0);
					expect(got.reduce((sum, m) => sum + m.copies, 0)).toBe(Math.min(copies, room));
					got.forEach((m, i) => {
						expect(m.copies).toBeGreaterThan(0);
						expect(m.copies).toBeLessThanOrEqual(m.cavities);
						if (i < got.length - 1) expect(m.copies).toBe(m.cavities);
						expect(m.id).toBe(i);
					});
				}
			)
		);
	});
});
