import { digits } from '$lib/core/units';

/** Room on a disk in words: megabytes, and from a thousand of them gigabytes. */
export const volumeOfDisk = (bytes: number): string =>
	bytes < 1e9 ? `${digits(Math.floor(bytes / 1e6))} MB` : `${digits(bytes / 1e9)} GB`;
