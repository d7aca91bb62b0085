import type { Planned } from './planOrders';

/**
 * What is cast for the same closing as a cast of the plan, in words, in the order in which it is poured; nothing of
 * whatever goes in alone.
 * @example
 * potMatesOf({ lineId: 'l1', number: 1 }, planOrders(ammonites).activities); // []
 */
export function potMatesOf(
	{ lineId, number }: Pick<Planned, 'lineId' | 'number'>,
	activities: readonly Planned[]
): string[] {
	const own = `${lineId}/${number}`;
	const load = activities.find((a) => a.id === `${own}/cast`)?.load ?? [];
	return load.flatMap((id) => {
		const cast = id === own ? undefined : activities.find((a) => a.id === `${id}/cast`);
		return cast ? [`${cast.pieceName ?? 'cast'} in ${(cast.moulds ?? []).join(', ')}`] : [];
	});
}
