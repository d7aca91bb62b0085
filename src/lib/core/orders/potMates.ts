import type { Planned } from './planOrders';

/** What is cast for the same closing as something else. */
export interface PotMate {
	pieceName: string;
	moulds: string;
}

/**
 * Tells of each activity of a plan what is cast for the same closing of the pot, in the order in which it is poured;
 * nothing of whatever goes in alone.
 * @example
 * potMatesIn(planOrders(ammonites).activities)({ lineId: 'l1', number: 1 }); // []
 */
export function potMatesIn(
	activities: readonly Planned[]
): (of: Pick<Planned, 'lineId' | 'number'>) => PotMate[] {
	const casts = new Map(activities.flatMap((a) => (a.part === 'cast' ? [[a.id, a] as const] : [])));
	return ({ lineId, number }) => {
		const own = `${lineId}/${number}`;
		return (casts.get(`${own}/cast`)?.load ?? []).flatMap((id) => {
			const cast = id === own ? undefined : casts.get(`${id}/cast`);
			return cast ? [{ pieceName: cast.pieceName ?? 'cast', moulds: (cast.moulds ?? []).join(', ') }] : [];
		});
	};
}

/**
 * Mates in words.
 * @example
 * mateWords([{ pieceName: 'Buoy', moulds: 'M5' }, { pieceName: 'Gull', moulds: 'M7, M8' }]); // 'Buoy in M5 and Gull in M7, M8'
 */
export const mateWords = (mates: readonly PotMate[]): string =>
	mates.map((m) => `${m.pieceName} in ${m.moulds}`).join(' and ');
