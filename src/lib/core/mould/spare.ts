/** A mould that waits for its rubber. */
export interface WaitingJob {
	id: string;
	label: string;
	massG: number;
	rubberId: string;
}

/**
 * Jobs that mixed rubber left over could still serve before it sets, the largest that it fills first. Only
 * jobs in the same rubber: two kinds in one cup do not cure.
 * @example
 * jobsForSpare(200, 'b', [
 *   { id: '1', label: 'small', rubberId: 'b', massG: 150 },
 *   { id: '2', label: 'other', rubberId: 'c', massG: 50 }
 * ]).map((j) => j.id); // ['1']
 */
export function jobsForSpare(spareG: number, rubberId: string, waiting: readonly WaitingJob[]): WaitingJob[] {
	let left = spareG;
	return [...waiting]
		.filter((j) => j.rubberId === rubberId && j.massG > 0)
		.sort((a, b) => b.massG - a.massG)
		.filter((j) => {
			if (j.massG > left) return false;
			left -= j.massG;
			return true;
		});
}
