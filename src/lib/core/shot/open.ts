import { z } from 'zod';
import { cup, tempC } from '../cure/cup';
import { cureRecord } from '../cure/record';
import { WALL_KINDS } from '../cure/wall';
import { mix, mixInput, mixResinInput } from '../mix/mix';
import { digits } from '../units';
import { InputError, type Warning, type WorkingLine } from '../working';
import { budget } from '../budget/budget';
import { rotocast, rotocastInput } from './kinds/rotocast/rotocast';
import { sectionsOf } from './thickest';
import { lossInput, shotStep, solidShot, solidShotInput } from './kinds/solid/solid';

const roto = rotocastInput.shape;
const solid = solidShotInput.shape;

/** A shot of any kind as scripts ask for it. */
export const shotQuery = z.strictObject({
	/** `extended`: with filler through and through; `filled` is its old name. */
	kind: z
		.enum(['solid', 'rotocast', 'extended', 'filled'], { error: 'A shot is solid, rotocast or extended.' })
		.transform((kind) => (kind === 'filled' ? 'extended' : kind)),
	cavityVolumeMl: solid.cavityVolumeMl.optional(),
	areaMm2: roto.areaMm2.optional(),
	wallMm: roto.wallMm.optional(),
	layers: roto.layers,
	sprueVolumeMl: solid.sprueVolumeMl,
	copies: solid.copies,
	cavitiesAtOnce: z.number().int().min(1, 'At least one mould.').max(200).optional(),
	resin: mixResinInput,
	catalyst: solid.catalyst,
	cure: cureRecord,
	fillers: mixInput.shape.fillers,
	loss: lossInput.default({ by: 'film' }),
	/** Of the fresh mix without its fillers. */
	viscosityMpaS: z.number().positive().max(1e7).default(150),
	sectionMm: z.number().min(0.5, 'Under 0.5 mm: check the unit.').max(500).default(6),
	/** The thickest place, a limb: it gets hottest and cools last. */
	thickestMm: z.number().min(0.5, 'Under 0.5 mm: check the unit.').max(500).optional(),
	mouldWallMm: z.number().min(0.5).max(500).default(12),
	wall: z.enum(WALL_KINDS).optional(),
	steps: z.array(shotStep).min(1, 'At least one step.').max(20),
	startTempC: tempC('the temperature of the resin'),
	mouldTempC: tempC('the temperature of the mould').optional(),
	roomTempC: tempC('the temperature of the room'),
	marginPercent: z.number().min(0).max(90).optional(),
	scaleResolutionG: z.number().positive().max(1000).default(1)
});
export type ShotQuery = z.input<typeof shotQuery>;

type Amount = { massG: number; volumeMl: number };
export interface ShotAnswer {
	volumeMl: number;
	massG: number;
	a: Amount;
	b: Amount;
	fillers: (Amount & { name: string })[];
	/** Cups; of a rotocast one for each layer of each copy. */
	batches: { copies: number; massG: number; potLifeS: number; slackS: number; startS?: number }[];
	demouldS: number;
	working: WorkingLine[];
	warnings: Warning[];
}

const need = <T>(value: T | undefined, path: string, message: string): T => {
	if (value === undefined) throw new InputError([path], message);
	return value;
};

/**
 * Sizes a shot for the open interface: solid, or extended by a filler through and through, by its
 * cavity; rotocast by area and wall.
 * @throws ZodError out of range; InputError where the size of the kind is missing
 * @example
 * shotAnswer({
 *   kind: 'solid',
 *   cavityVolumeMl: 120,
 *   copies: 1,
 *   resin: mixable(urethane),
 *   cure: cureOf(urethane),
 *   steps: [{ name: 'mix', durationS: 40 }],
 *   startTempC: 21,
 *   roomTempC: 21
 * }).a.massG; // 66.891
 */
export function shotAnswer(raw: ShotQuery): ShotAnswer {
	const q = shotQuery.parse(raw);
	return q.kind === 'rotocast' ? rolled(q, raw) : poured(q, raw);
}

function poured(q: z.output<typeof shotQuery>, raw: ShotQuery): ShotAnswer {
	if (q.kind === 'extended' && q.fillers.length === 0)
		throw new InputError(['fillers'], 'An extended shot has a filler: give at least one.');
	const shot = solidShot({
		cavityVolumeMl: need(q.cavityVolumeMl, 'cavityVolumeMl', 'Type the volume of the cavity, such as 85 ml.'),
		sprueVolumeMl: q.sprueVolumeMl,
		loss: q.loss,
		copies: q.copies,
		cavitiesAtOnce: q.cavitiesAtOnce ?? Math.min(200, q.copies),
		resin: raw.resin,
		...(raw.catalyst ? { catalyst: raw.catalyst } : {}),
		...(raw.fillers ? { fillers: raw.fillers } : {}),
		cure: raw.cure,
		viscosityMpaS: q.viscosityMpaS,
		where: sectionsOf(q, { mouldWallMm: q.mouldWallMm, wall: q.wall }),
		steps: q.steps,
		startTempC: q.startTempC,
		mouldTempC: q.mouldTempC ?? q.roomTempC,
		roomTempC: q.roomTempC,
		...(q.marginPercent === undefined ? {} : { marginPercent: q.marginPercent }),
		scaleResolutionG: q.scaleResolutionG
	});
	const all = (of: (b: (typeof shot.batches)[number]) => Amount): Amount => ({
		massG: shot.batches.reduce((s, b) => s + of(b).massG, 0),
		volumeMl: shot.batches.reduce((s, b) => s + of(b).volumeMl, 0)
	});
	return {
		volumeMl: shot.volumeMl,
		massG: shot.massG,
		a: all((b) => b.a),
		b: all((b) => b.b),
		fillers: shot.batches[0]!.fillers.map((f, i) => ({ name: f.name, ...all((b) => b.fillers[i]!) })),
		batches: shot.batches.map(({ copies, massG, potLifeS, slackS }) => ({ copies, massG, potLifeS, slackS })),
		demouldS: shot.demouldS,
		working: shot.working,
		warnings: shot.warnings
	};
}

function rolled(q: z.output<typeof shotQuery>, raw: ShotQuery): ShotAnswer {
	const per = (volumeMl: number) =>
		mix({
			resin: raw.resin,
			...(raw.catalyst ? { catalyst: raw.catalyst } : {}),
			...(raw.fillers ? { fillers: raw.fillers } : {}),
			target: { volumeMl },
			scaleResolutionG: q.scaleResolutionG
		});
	const fresh = per(100);
	if (fresh.viscosityFactor === null)
		throw new InputError(['fillers'], 'So much filler no longer runs, and cannot be rolled.');
	const cast = rotocast({
		resin: raw.cure,
		areaMm2: need(q.areaMm2, 'areaMm2', 'Type the skin to cover, such as 420 cm2.'),
		wallMm: need(q.wallMm, 'wallMm', 'Type the wall, such as 4 mm.'),
		...(q.layers === undefined ? {} : { layers: q.layers }),
		densityGPerMl: fresh.total.densityGPerMl,
		viscosityMpaS: q.viscosityMpaS * fresh.viscosityFactor,
		roomTempC: q.roomTempC,
		mouldTempC: q.mouldTempC ?? q.roomTempC,
		startTempC: q.startTempC,
		mouldWallMm: q.mouldWallMm,
		...(q.wall ? { wall: q.wall } : {}),
		mixS: q.steps[0]!.durationS,
		...(q.loss.by === 'percent' ? { lossPercent: q.loss.percent } : {})
	});
	const cups = cast.layers.map((l) => {
		const mixed = per(l.volumeMl);
		const { potLifeS } = cup({
			resin: raw.cure,
			massG: mixed.a.massG + mixed.b.massG,
			startTempC: q.startTempC,
			roomTempC: q.roomTempC
		});
		const { slackS } = budget({
			steps: q.steps.map(({ name, durationS }) => ({ name, durationS })),
			potLifeS,
			...(q.marginPercent === undefined ? {} : { marginPercent: q.marginPercent })
		});
		return { mixed, batch: { copies: 1, massG: mixed.total.massG, potLifeS, slackS, startS: l.startS } };
	});
	const all = (of: (m: (typeof cups)[number]['mixed']) => Amount): Amount => ({
		massG: q.copies * cups.reduce((s, c) => s + of(c.mixed).massG, 0),
		volumeMl: q.copies * cups.reduce((s, c) => s + of(c.mixed).volumeMl, 0)
	});
	const total = all((m) => m.total);
	return {
		volumeMl: total.volumeMl,
		massG: total.massG,
		a: all((m) => m.a),
		b: all((m) => m.b),
		fillers: cups[0]!.mixed.fillers.map((f, i) => ({ name: f.name, ...all((m) => m.fillers[i]!) })),
		batches: Array.from({ length: q.copies }, () => cups.map((c) => c.batch)).flat(),
		demouldS: cast.demouldS,
		working: [
			...cast.working,
			{
				what: 'Cups',
				sum: `${q.copies} × ${cast.layers.length} layers`,
				result: `${digits(total.massG)} g in all`
			}
		],
		warnings: cast.warnings
	};
}
