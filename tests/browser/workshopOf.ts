/** A served workshop that checks run against. */
type Workshop = Record<'ANTHYPOS_URL' | 'DATABASE_URL', string>;

/** Checks that run beside each other have a workshop each, which `npm test` starts; whoever names one alone has that. */
export const workshops = JSON.parse(process.env['TEST_WORKSHOPS'] ?? '[]') as Workshop[];

/** This process works in the workshop of that place, from 0. */
export function takeWorkshop(place: number): void {
	Object.assign(process.env, workshops[place]);
}
