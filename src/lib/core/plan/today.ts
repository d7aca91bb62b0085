import { cup } from '../cure';
import { valueOf } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { isTooDamp } from '../humidity';
import type { InspectionDue } from '../pressurePot';
import {
	chemistryOf,
	containerHealth,
	containerSpeed,
	cureOf,
	LOW_SHARE,
	shotsLeft,
	tinsInUse,
	type ContainerRecord,
	type ResinRecord
} from '../shelf';
import type { WorkshopSettings } from '../workshop';

/** A tin of the resin as the shelf has it. */
export interface TodayTin {
	record: ContainerRecord;
	remainingG: number;
	emptied: boolean;
	rateFactor: number | null;
}

/** What something would be poured with today. */
export interface PourToday {
	massG: number;
	/** Of its cup at today's room, s; nothing where the record does not reach. */
	potLifeS: number | null;
	/** Copies that the tins in use hold; nothing where there are no tins in the books. */
	enoughFor: number | null;
	/** Why it had better wait. */
	wait: string | null;
}

/** A thing that wants doing soon, and whether its time has passed. */
export interface Wanted {
	what: string;
	late: boolean;
}

type Air = Pick<WorkshopSettings, 'roomTempC' | 'relativeHumidity' | 'stopHumidityPercent'>;

function enoughFor(resin: ResinRecord, tins: readonly TodayTin[], massG: number): number | null {
	const left = (parts: string[]) => {
		const of = tins.filter((t) => !t.emptied && parts.includes(t.record.part));
		return of.length ? of.reduce((sum, t) => sum + t.remainingG, 0) : undefined;
	};
	return shotsLeft(resin, massG, { a: left(['A', 'whole']), b: left(['B']) }) ?? null;
}

const potLifeOf = (asked: Parameters<typeof cup>[0]): number | null =>
	valueOf(outcomeOf(() => cup(asked).potLifeS)) ?? null;

/**
 * What is poured again as it was poured last, held against shelf, room and air of today.
 * @param massG all that is mixed for it, g
 * @param cupG the one cup whose clock counts, g: of a cast in layers one layer
 * @param tins of this resin, in the order of the shelf
 * @example
 * pourToday(urethane, { massG: 114, cupG: 114 }, [], {
 *   roomTempC: 23,
 *   relativeHumidity: 70,
 *   stopHumidityPercent: 50
 * }).wait; // '70 % humidity: this workshop stops from 50 %'
 */
export function pourToday(
	resin: ResinRecord,
	{ massG, cupG }: { massG: number; cupG: number },
	tins: readonly TodayTin[],
	air: Air
): PourToday {
	const tin = tinsInUse(tins.map((t) => ({ ...t, part: t.record.part }))).a;
	const enough = enoughFor(resin, tins, massG);
	const damp = chemistryOf(resin.family) === 'urethane' && isTooDamp(air);
	return {
		massG,
		potLifeS: potLifeOf({
			resin: cureOf(resin, tin && containerSpeed(tin.record.slowerPercent, tin.rateFactor)),
			massG: cupG,
			startTempC: air.roomTempC,
			roomTempC: air.roomTempC
		}),
		enoughFor: enough,
		wait:
			enough === 0
				? 'too little of it on the shelf'
				: damp
					? `${Math.round(air.relativeHumidity)} % humidity: this workshop stops from ${Math.round(air.stopHumidityPercent)} %`
					: null
	};
}

const DAY_MS = 86_400_000;

/**
 * What a vessel's looks want, in one line a vessel: the one that is wanted by its name, several by their number; nothing
 * while all are fine.
 * @example
 * inspectionsWanted('Pot', inspectionsDue(pressure, [], 0, 0, 400 * 86_400_000), 400 * 86_400_000)?.late; // true
 */
export function inspectionsWanted(
	vessel: string,
	dues: readonly InspectionDue[],
	nowMs: number
): Wanted | undefined {
	const wanted = dues
		.filter((d) => d.state !== 'fine' && d.state !== 'never')
		.toSorted((x, y) => x.dueAtMs - y.dueAtMs);
	const [first] = wanted;
	if (!first) return undefined;
	const late = wanted.some((d) => d.state !== 'soon');
	const soon = `in ${Math.max(0, Math.ceil((first.dueAtMs - nowMs) / DAY_MS))} days or ${first.cyclesLeft} cycles`;
	if (wanted.length > 1)
		return {
			what: late
				? `${vessel}: refused, ${wanted.length} looks`
				: `${vessel}: ${wanted.length} looks, the first ${soon}`,
			late
		};
	const words: Partial<Record<InspectionDue['state'], string>> = {
		failed: 'failed its look',
		due: 'past its due date',
		soon: `due ${soon}`
	};
	return { what: `${vessel}, ${first.name.toLowerCase()}: ${words[first.state]}`, late };
}

/** A mould is near its end when the careful figure of its last look leaves so few pulls (a default of ours). */
export const NEAR_END_PULLS = 4;

/**
 * A mould that wants a successor; nothing while it has pulls enough.
 * @example
 * successorWanted('M4', 3)?.late; // false
 */
export function successorWanted(mould: string, pullsLeft: number): Wanted | undefined {
	if (pullsLeft > NEAR_END_PULLS) return undefined;
	const left = pullsLeft <= 0 ? 'may be at its end' : `as few as ${pullsLeft} pulls left`;
	return { what: `${mould}: ${left}, pour its successor`, late: pullsLeft <= 0 };
}

/**
 * A tin that runs out or is doubtful; nothing while it is neither.
 * @example
 * stockWanted('White A', { record: tin, remainingG: 40 }, 'urethane', '2026-02-10', {
 *   roomTempC: 23,
 *   relativeHumidity: 40,
 *   stopHumidityPercent: 50
 * })?.late; // true
 */
export function stockWanted(
	name: string,
	tin: Pick<TodayTin, 'record' | 'remainingG'>,
	chemistry: Parameters<typeof containerHealth>[1],
	today: string,
	air: Air
): Wanted | undefined {
	const { record, remainingG } = tin;
	const low = remainingG < LOW_SHARE * record.sizeG;
	if (!low && containerHealth(record, chemistry, today, air).level !== 'doubtful') return undefined;
	const part = record.part === 'whole' ? '' : ` ${record.part}`;
	return { what: `${name}${part}: ${low ? 'running out' : 'doubtful, try a small cup first'}`, late: low };
}
