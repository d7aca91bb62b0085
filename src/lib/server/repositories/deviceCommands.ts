import { QueryTypes } from 'sequelize';
import { deviceCommand, type DeviceCommand } from '$lib/core/devices';
import { db } from '../db/connection';
import { getPour } from './pours';

/**
 * Adds commands, each once however often it arrives. They count from when they arrive: a tablet whose clock is
 * off still pours now. @throws NotFoundError when there is no such pour */
export async function addCommands(pourId: string, commands: readonly DeviceCommand[]): Promise<void> {
	await getPour(pourId);
	const nowMs = Date.now();
	for (const [i, said] of commands.entries()) {
		const command = { ...deviceCommand.parse(said), atMs: nowMs + i };
		await db().query('INSERT IGNORE INTO device_commands (id, pourId, at, body) VALUES (?, ?, ?, ?)', {
			replacements: [command.id, pourId, new Date(command.atMs), JSON.stringify(command)],
			type: QueryTypes.INSERT
		});
	}
}

/** Everything that was done to the devices of a pour, the earliest first. */
export async function readCommands(pourId: string): Promise<DeviceCommand[]> {
	const rows = await db().query<{ body: string | DeviceCommand }>(
		'SELECT body FROM device_commands WHERE pourId = ? ORDER BY at, id',
		{ replacements: [pourId], type: QueryTypes.SELECT }
	);
	return rows.map(({ body }) => (typeof body === 'string' ? (JSON.parse(body) as DeviceCommand) : body));
}
