import type { Net } from './net';

/** What a schedule is judged by, in this order: seconds late by weight, then the end of the last, s. */
export interface Value {
	lateS: number;
	finishS: number;
}

/** Value of starts. */
export function valueOf(net: Net, startS: Float64Array): Value {
	let lateS = 0;
	let finishS = 0;
	for (let i = 0; i < net.n; i++) {
		const end = startS[i]! + net.durationS[i]!;
		if (end > finishS && net.counts[i]) finishS = end;
		if (end > net.dueS[i]!) lateS += net.weight[i]! * (end - net.dueS[i]!);
	}
	return { lateS, finishS };
}

/** Whether the first is the better one. */
export const better = (a: Value, b: Value): boolean =>
	a.lateS < b.lateS || (a.lateS === b.lateS && a.finishS < b.finishS);
