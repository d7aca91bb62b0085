import { benchSteps } from '../bench';
import { calculation, type Calculation } from '../calculation';
import { pourMeetings, resinThing, releaseThing, rigidThing } from '../compatibility';
import { masterRecord } from '../master';
import { composePlan, type PlanRecords } from '../plan';
import type { PourPlan } from '../plan/pourPlan';
import { planShot, shotFiller, thickestOf, type OtherPiece, type ShotContext } from '../shot';
import type { Warning, WorkingLine } from '../working';
import { InputError } from '../working';
import { WORKSHOP_DEFAULTS } from '../workshop';
import { boughtMould, given } from './castParts';
import { castableAnswer, castableQuery, type CastableQuery } from './castableCast';
import { castQuery, type CastQuery } from './castQuery';
import { z } from 'zod';

type Asked = z.output<typeof castQuery>;

/** Edge of the cube that holds as much, mm. */
const cubeMm = (ml: number) => Math.cbrt(ml * 1000);

/** Another piece as a shelf would say it: as thick as a cube of its volume unless told. */
function otherOf(o: Asked['others'][number]): OtherPiece {
	const edgeMm = cubeMm(o.cavityVolumeMl);
	return {
		mouldId: o.id,
		name: o.name,
		masterName: o.name,
		volumeMl: o.cavityVolumeMl,
		sprueMl: o.sprueVolumeMl,
		cavities: o.cavities,
		outsideMl: o.cavityVolumeMl + (6 * edgeMm ** 2 * o.wallMm) / 1000,
		mouldWallMm: o.wallMm,
		thinnestMm: o.thinnestMm,
		thickest: thickestOf({
			volumeMl: o.cavityVolumeMl,
			lengthMm: edgeMm,
			widthMm: edgeMm,
			heightMm: edgeMm,
			thickestMm: o.thickestMm
		})
	};
}

/** What a script gave, as the records of a shelf would say it. */
function contextOf({
	piece,
	mould,
	resin,
	fillers,
	recipes,
	others,
	workshop,
	fillerId
}: Asked): ShotContext {
	const edgeMm = cubeMm(piece.cavityVolumeMl);
	const widthMm = piece.widthMm ?? edgeMm;
	const heightMm = piece.heightMm ?? edgeMm;
	const known = fillers.map((f) => ({ id: f.id, ...shotFiller(f) }));
	const filler = known.find((f) => f.id === fillerId);
	if (fillerId && !filler)
		throw new InputError(['fillerId'], `Among the fillers there is none with the id ${fillerId}.`);
	return {
		cavityVolumeMl: piece.cavityVolumeMl,
		mouldWallMm: mould.wallMm,
		...(mould.wall ? { wall: mould.wall } : {}),
		open: mould.open,
		thickest: thickestOf({
			volumeMl: piece.cavityVolumeMl,
			lengthMm: widthMm,
			widthMm,
			heightMm,
			...(piece.thickestMm === undefined ? {} : { thickestMm: piece.thickestMm })
		}),
		mouldsVolumeMl:
			mould.outsideMl ?? mould.count * (piece.cavityVolumeMl + (6 * edgeMm ** 2 * mould.wallMm) / 1000),
		cavities: mould.count,
		skinAreaMm2: piece.skinAreaMm2 ?? 6 * edgeMm ** 2,
		radiusMm: widthMm / 2,
		heightMm,
		resin,
		...(filler ? { filler } : {}),
		fillers: known,
		recipes,
		others: others.map(otherOf),
		settings: { ...WORKSHOP_DEFAULTS, ...given(workshop) }
	};
}

/** The books that the plan of a cup is composed of, with one mould that was not made here. */
function recordsOf(q: Asked, context: ShotContext): PlanRecords {
	const { piece, mould, resin, release } = q;
	const record = masterRecord.parse({
		name: piece.name,
		material: 'other',
		footprint: 'rectangular',
		lengthMm: Math.max(1, 2 * context.radiusMm!),
		widthMm: Math.max(1, 2 * context.radiusMm!),
		heightMm: Math.max(1, context.heightMm!),
		readings: [{ method: 'typed', volumeMl: piece.cavityVolumeMl }],
		traps: []
	});
	const made = boughtMould(piece.name, piece.cavityVolumeMl, q.roomTempC);
	return {
		master: { record, volumeMl: piece.cavityVolumeMl },
		moulds: Array.from({ length: mould.count }, (_, i) => ({
			id: `mould-${i + 1}`,
			number: i + 1,
			label: piece.name,
			...made
		})),
		others: q.others.map((o, i) => ({
			id: o.id,
			number: mould.count + i + 1,
			label: o.name,
			...boughtMould(o.name, o.cavityVolumeMl, q.roomTempC)
		})),
		resin,
		...(release ? { release } : {}),
		tins: {},
		settings: context.settings,
		spares: [],
		recipes: context.recipes ?? [],
		touching: touching(q),
		experiences: [],
		stamps: []
	};
}

/** What meets: the resin, the face of the mould where it is told, and the release. */
const touching = ({ resin, mould, release }: Asked): PlanRecords['touching'] => ({
	resin: resinThing('asked', resin),
	moulds: mould.face ? [rigidThing(mould.face)] : [],
	...(release ? { release: releaseThing('asked', release) } : {})
});

/** The whole plan of a cast: what it takes, each cup as the bench would pour it, what is doubtful, the sums. */
export interface CastAnswer {
	massG: number;
	volumeMl: number;
	demouldS: number;
	batches: { copies: number; massG: number; potLifeS: number; slackS: number }[];
	/** One for each batch, as it would be kept. */
	plans: PourPlan[];
	/** Steps of the first batch, in the order of the work. */
	steps: ReturnType<typeof benchSteps>;
	warnings: Warning[];
	working: WorkingLine[];
}

/**
 * Plans a cast of any kind as the page of a shot does, with the records given inline.
 * @throws ZodError out of range; InputError for what cannot be cast so
 * @example
 * castAnswer({
 *   piece: { cavityVolumeMl: 64 },
 *   resin: urethane,
 *   sectionMm: 6,
 *   sprueVolumeMl: 0,
 *   copies: 1,
 *   startTempC: 21,
 *   mouldTempC: 21,
 *   roomTempC: 21,
 *   relativeHumidity: 45
 * }).steps.length; // 12
 */
export function castAnswer(raw: CastQuery): CastAnswer {
	const q = castQuery.parse(raw);
	const context = contextOf(q);
	const inputs = { ...q, masterId: 'asked', mouldIds: ['asked'], resinId: 'asked', releaseId: '', potId: '' };
	const planned = planShot(inputs, context);
	const records = recordsOf(q, context);
	const { shot } = planned;
	const plans = shot.batches.map((_, i): PourPlan => {
		const {
			stamps: _stamps,
			shotId: _shot,
			...plan
		} = composePlan({ id: '', number: 0, inputs, planned }, i, records);
		return {
			...plan,
			shotId: '',
			...(q.piece.traps === undefined ? {} : { traps: q.piece.traps }),
			// the wall as it was told, and not that of a mould from the books
			...(planned.where
				? {}
				: {
						section: {
							section: { shape: 'slab', thicknessMm: inputs.sectionMm },
							mouldWallMm: q.mould.wallMm,
							...(q.mould.wall ? { wall: q.mould.wall } : {})
						}
					})
		};
	});
	const meets = pourMeetings(touching(q));
	return {
		massG: shot.massG,
		volumeMl: shot.volumeMl,
		demouldS: shot.demouldS,
		batches: shot.batches.map((b) => ({
			copies: b.copies,
			massG: b.massG,
			potLifeS: b.potLifeS,
			slackS: b.slackS
		})),
		plans,
		steps: benchSteps(plans[0]!),
		warnings: [...shot.warnings, ...meets.map((w) => ({ ...w, code: 'touches' }))],
		working: [...shot.working]
	};
}

const ofResin = calculation(
	'cast',
	'The whole plan of any kind of cast as the page of a shot makes it: amounts, cups, clocks, steps, sums.',
	castQuery,
	{
		kind: 'rotocast',
		piece: { name: 'Hollow head', cavityVolumeMl: 4200, skinAreaMm2: 400_000, widthMm: 200, heightMm: 260 },
		mould: { wallMm: 10 },
		resin: {
			name: 'Gradual white',
			family: 'gradual urethane',
			densityAGPerMl: 1.1,
			densityBGPerMl: 1,
			volumeA: 1,
			volumeB: 1,
			potLifeS: 150,
			demouldS: 1800,
			character: 'gradual',
			viscosityMpaS: 150,
			note: ''
		},
		wallMm: 4.4,
		copies: 1,
		sprueVolumeMl: 0,
		sectionMm: 4.4,
		startTempC: 21,
		mouldTempC: 21,
		roomTempC: 21,
		relativeHumidity: 45
	},
	(_input, raw) => castAnswer(raw)
);
/** `cast` of the open interface: of a resin, or of what is given as `castable`. */
export const castCalculation: Calculation = {
	...ofResin,
	schema: z.union([castQuery, castableQuery]),
	// which of the two is asked for is known by its record, so that what is wrong is said at its field
	run: (raw) =>
		typeof raw === 'object' && raw !== null && 'castable' in raw
			? castableAnswer(raw as CastableQuery)
			: ofResin.run(raw)
};
