import type { DeviceKind, DeviceReading } from './kinds';

/** Longer without a word, and a device counts as silent, s. */
export const SILENT_AFTER_S = 3;

/** What can be read at a bench at all: past it a reading is nonsense, not a surprise. */
const POSSIBLE: Readonly<Record<DeviceKind, { from: number; to: number; perS: number }>> = {
	// a cup that is lifted off takes its whole weight with it, so a scale may jump as it likes
	scale: { from: -50_000, to: 200_000, perS: Infinity },
	infraredThermometer: { from: -20, to: 300, perS: 60 },
	gauge: { from: -5, to: 2000, perS: 1500 },
	hygrometer: { from: -10, to: 60, perS: 10 }
};

export type DeviceState = 'waiting' | 'live' | 'silent' | 'nonsense';

export interface Judgement {
	state: DeviceState;
	/** What is wrong and what to do, in a sentence; nothing while it is well. */
	words: string;
}

const WELL: Judgement = { state: 'live', words: '' };

/**
 * Whether a device can be believed at a moment.
 * @param last its newest reading; nothing when it never spoke
 * @param before the reading before that
 * @param openedAtMs when it began to be listened to
 * @param capacity the scale's capacity in g, the pot's rating in kPa: twice that is nonsense too
 * @example
 * judgeReading('scale', undefined, undefined, 5000, 0); // { state: 'silent', words: 'Nothing heard for 5 s: look at its plug or battery, or type what you read.' }
 */
export function judgeReading(
	device: DeviceKind,
	last: DeviceReading | undefined,
	before: DeviceReading | undefined,
	nowMs: number,
	openedAtMs: number,
	capacity?: number
): Judgement {
	const quietS = (nowMs - (last?.atMs ?? openedAtMs)) / 1000;
	if (quietS > SILENT_AFTER_S) {
		return {
			state: 'silent',
			words: `Nothing heard for ${Math.round(quietS)} s: look at its plug or battery, or type what you read.`
		};
	}
	if (!last) return { state: 'waiting', words: '' };
	const { from, to, perS } = POSSIBLE[device];
	const most = capacity === undefined ? to : Math.min(to, 2 * capacity);
	const off = (words: string): Judgement => ({ state: 'nonsense', words });
	if (!Number.isFinite(last.value)) return off('It sends no number: type what you read.');
	if (last.value < from || last.value > most)
		return off(`It says ${last.value}, which cannot be: type what you read.`);
	if (device === 'scale' && capacity !== undefined && last.value < -capacity)
		return off(`It says ${last.value}, which cannot be: type what you read.`);
	if (
		device === 'hygrometer' &&
		last.second !== undefined &&
		!(Number.isFinite(last.second) && last.second >= 1 && last.second <= 100)
	)
		return off(`It says ${last.second} % humidity, which cannot be: type what you read.`);
	if (before && last.atMs > before.atMs) {
		const step = Math.abs(last.value - before.value) / ((last.atMs - before.atMs) / 1000);
		if (Math.abs(last.value - before.value) > 25 && step > perS)
			return off('It jumped further than anything here can: read again, or type.');
	}
	return WELL;
}
