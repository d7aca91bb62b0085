import { lowerBound } from './bound';
import { earliestStarts } from './earliest';
import { netOf } from './net';
import type { Project } from './project';

/**
 * No schedule of a project ends before this, s; 0 where nothing can be said, since its lags contradict each other.
 * @example
 * endsNoSoonerS({ resources: [], activities: [{ id: 'a', durationS: 60, needs: [] }] }); // 60
 */
export function endsNoSoonerS(project: Project): number {
	const net = netOf(project);
	const earliest = earliestStarts(net);
	return earliest.ok ? lowerBound(net, earliest.startS).finishS : 0;
}
