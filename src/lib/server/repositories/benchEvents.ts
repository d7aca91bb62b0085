import { QueryTypes, type Transaction } from 'sequelize';
import { db } from '../db/connection';
import { RefusedError } from '../errors';

/** Where the events of each kind of work stand. */
const OF = {
	pour: { table: 'pour_events', owner: 'pourId' },
	making: { table: 'making_events', owner: 'mouldId' }
} as const;

/** A clock that is wrong by days is a clock that is wrong; by years it is no clock, ms. */
const AHEAD_MS = 366 * 86_400_000;

interface BenchEvent {
	readonly id: string;
	readonly kind: string;
	readonly atMs: number;
}

/** The device that sends events. */
export interface Sender {
	/** What its clock lacks against this machine's, ms; nothing where it did not say. */
	clockOffMs?: number | undefined;
	/** The name of its session; nothing where nobody signs in. */
	device?: string | undefined;
}

/**
 * Adds events of a pour or a making, each once: one that is there already is the same one arriving again.
 * @param parse reads a stored body as events are read today, so that one of an earlier version is known again
 * @param from the device that sends them: kept with them, moves nothing
 * @throws RefusedError (422) for an id that another event has, and for a time over a year ahead
 */
export async function insertEvents<E extends BenchEvent>(
	of: keyof typeof OF,
	ownerId: string,
	events: readonly E[],
	parse: (body: unknown) => E,
	transaction: Transaction,
	from: Sender = {}
): Promise<void> {
	if (events.length === 0) return;
	const { table, owner } = OF[of];
	const rows = await db().query<{ id: string; ownerId: string; body: unknown }>(
		`SELECT id, ${owner} AS ownerId, body FROM ${table} WHERE id IN (:ids)`,
		{ type: QueryTypes.SELECT, replacements: { ids: events.map((e) => e.id) }, transaction }
	);
	const known = new Map(
		rows.map((r) => [
			r.id,
			`${r.ownerId} ${JSON.stringify(parse(typeof r.body === 'string' ? JSON.parse(r.body) : r.body))}`
		])
	);
	const now = new Date();
	for (const event of events) {
		const body = JSON.stringify(event);
		const was = known.get(event.id);
		if (was === `${ownerId} ${body}`) continue;
		if (was !== undefined)
			throw new RefusedError('Another event is kept under this id already: this one was not.', 'id', 422);
		if (event.atMs > now.getTime() + AHEAD_MS)
			throw new RefusedError('Its time lies over a year ahead: set the clock of this device.', 'atMs', 422);
		await db().query(
			`INSERT INTO ${table} (id, ${owner}, kind, at, body, receivedAt, clockOffMs, device) VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			{
				replacements: [
					event.id,
					ownerId,
					event.kind,
					new Date(event.atMs),
					body,
					now,
					from.clockOffMs ?? null,
					from.device ?? null
				],
				type: QueryTypes.INSERT,
				transaction
			}
		);
		known.set(event.id, `${ownerId} ${body}`);
	}
}

/** On which device each event of a pour was noted, by the event's id; those of whoever nobody asked are not in it. */
export async function devicesOf(pourId: string): Promise<Record<string, string>> {
	const rows = await db().query<{ id: string; device: string }>(
		'SELECT id, device FROM pour_events WHERE pourId = ? AND device IS NOT NULL',
		{ type: QueryTypes.SELECT, replacements: [pourId] }
	);
	return Object.fromEntries(rows.map((r) => [r.id, r.device]));
}
