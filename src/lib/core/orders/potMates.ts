import type { Planned } from './planOrders';

/**
 * Tells of each activity of a plan what is cast for the same closing of the pot, in words, in the order in which it is
 * poured; nothing of whatever goes in alone.
 * @example
 * potMatesIn(planOrders(ammonites).activities)({ lineId: 'l1', number: 1 }); // []
 */
export function potMatesIn(
	activities: readonly Planned[]
): (of: Pick<Planned, 'lineId' | 'number'>) => string[] {
	const casts = new Map(activities.flatMap((a) => (a.part === 'cast' ? [[a.id, a] as const] : [])));
	return ({ lineId, number }) => {
		const own = `${lineId}/${number}`;
		return (casts.get(`${own}/cast`)?.load ?? []).flatMap((id) => {
			const cast = id === own ? undefined : casts.get(`${id}/cast`);
			return cast ? [`${cast.pieceName ?? 'cast'} in ${(cast.moulds ?? []).join(', ')}`] : [];
		});
	};
}
