import { statfsSync } from 'node:fs';
import { BaseError } from 'sequelize';
import { environment } from './environment';

/** Free space of the disk on which the database keeps its files. */
export interface Disk {
	freeBytes: number;
	/** `low`: it is said; `short`: pictures, files and books are refused; `full`: next to nothing can be kept. */
	state: 'fine' | 'low' | 'short' | 'full';
}

/** Below it next to nothing can be kept, bytes: less than the database wants to grow by at once. */
const FULL_BYTES = 24e6;
/** A reading holds for so long, ms. */
const HOLDS_MS = 2000;

/** What is said when the disk is full. */
export const DISK_FULL =
	'The disk of the machine that keeps this workshop is full: nothing more can be kept until there is room. What was kept is not lost; free some space there, then go on.';

/** @param lowBytes below it is said; large things are refused from a third of it */
export function diskOf(freeBytes: number, lowBytes: number): Disk {
	if (freeBytes < FULL_BYTES) return { freeBytes, state: 'full' };
	if (freeBytes < lowBytes / 3) return { freeBytes, state: 'short' };
	return { freeBytes, state: freeBytes < lowBytes ? 'low' : 'fine' };
}

let read: { atMs: number; disk: Disk | undefined } | undefined;

/** The database's disk now; nothing where it is not known to this machine. */
export function disk(nowMs = Date.now()): Disk | undefined {
	if (read && nowMs - read.atMs < HOLDS_MS && nowMs >= read.atMs) return read.disk;
	const { ANTHYPOS_DATA: folder, DISK_LOW_MB: lowMb } = environment();
	let now: Disk | undefined;
	try {
		if (folder) {
			const { bavail, bsize } = statfsSync(folder);
			now = diskOf(bavail * bsize, lowMb * 1e6);
		}
	} catch {
		// a folder that cannot be looked at says nothing
	}
	read = { atMs: nowMs, disk: now };
	return now;
}

/** MariaDB's numbers for a disk or a table space that takes nothing more: ER_DISK_FULL, ER_RECORD_FILE_FULL, ER_ERROR_ON_WRITE. */
const FULL_ERRORS = new Set([1021, 1114, 1026]);

/** Whether a failure is that of a disk that is full: by what the database says, or because it is gone and there is no room. */
export function isDiskFull(failure: unknown): boolean {
	if (!(failure instanceof BaseError)) return false;
	const { original } = failure as { original?: { errno?: number } };
	return FULL_ERRORS.has(original?.errno ?? 0);
}

/** Larger than what a form types: pictures, 3D files and books, bytes. */
const LARGE_BYTES = 256 * 1024;

/**
 * Why something that is sent is not taken for want of room; nothing when there is room for it. What is typed and what
 * happens at the bench is small, and is taken as long as the database takes it.
 */
export function noRoomFor(bytes: number, now = disk()): string | undefined {
	if (!now || now.state === 'fine' || bytes < LARGE_BYTES) return undefined;
	// a file lies in the database and, for a moment, in its journal
	const left = now.freeBytes - 2 * bytes;
	if (now.state !== 'low' || left < FULL_BYTES)
		return `There is too little room on the workshop’s disk for this (${Math.floor(now.freeBytes / 1e6)} MB free): nothing was taken. Free some space on the machine that keeps it, and send it again. What happens at the bench is still kept.`;
	return undefined;
}
