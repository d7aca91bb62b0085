import { QueryTypes } from 'sequelize';
import { Umzug, type UmzugStorage } from 'umzug';
import { log } from '../log';
import { db } from './connection';
import { alone } from './lock';
import * as loop from './migrations/0001-loop';
import * as containers from './migrations/0002-containers';
import * as experiences from './migrations/0003-experiences';
import * as meshes from './migrations/0004-meshes';
import * as moulds from './migrations/0005-moulds';
import * as devices from './migrations/0006-devices';
import * as trials from './migrations/0007-trials';
import * as ledger from './migrations/0008-ledger';
import * as mouldPulls from './migrations/0009-mould-pulls';
import * as pullPhotos from './migrations/0010-pull-photos';
import * as pullsRevision from './migrations/0011-pulls-revision';
import * as wholeShots from './migrations/0012-whole-shots';
import * as provenance from './migrations/0013-provenance';
import * as keptSteps from './migrations/0014-kept-steps';
import * as demouldPresses from './migrations/0015-demould-presses';
import * as ids from './migrations/0016-ids';
import * as loosePours from './migrations/0017-loose-pours';
import * as names from './migrations/0018-names';
import * as containerPhotos from './migrations/0020-container-photos';
import * as inspections from './migrations/0021-inspections';
import * as stock from './migrations/0022-stock';
import * as clockOff from './migrations/0023-clock-off';
import * as orders from './migrations/0024-orders';
import * as leftOver from './migrations/0025-left-over';
import * as people from './migrations/0026-people';
import * as eventDevice from './migrations/0027-event-device';
import * as mended from './migrations/0028-mended';
import * as unmeasured from './migrations/0019-unmeasured-masters';

const MIGRATIONS = [
	{ name: '0001-loop', up: () => loop.up() },
	{ name: '0002-containers', up: () => containers.up() },
	{ name: '0003-experiences', up: () => experiences.up() },
	{ name: '0004-meshes', up: () => meshes.up() },
	{ name: '0005-moulds', up: () => moulds.up() },
	{ name: '0006-devices', up: () => devices.up() },
	{ name: '0007-trials', up: () => trials.up() },
	{ name: '0008-ledger', up: () => ledger.up() },
	{ name: '0009-mould-pulls', up: () => mouldPulls.up() },
	{ name: '0010-pull-photos', up: () => pullPhotos.up() },
	{ name: '0011-pulls-revision', up: () => pullsRevision.up() },
	{ name: '0012-whole-shots', up: () => wholeShots.up() },
	{ name: '0013-provenance', up: () => provenance.up() },
	{ name: '0014-kept-steps', up: () => keptSteps.up() },
	{ name: '0015-demould-presses', up: () => demouldPresses.up() },
	{ name: '0016-ids', up: () => ids.up() },
	{ name: '0017-loose-pours', up: () => loosePours.up() },
	{ name: '0018-names', up: () => names.up() },
	{ name: '0019-unmeasured-masters', up: () => unmeasured.up() },
	{ name: '0020-container-photos', up: () => containerPhotos.up() },
	{ name: '0021-inspections', up: () => inspections.up() },
	{ name: '0022-stock', up: () => stock.up() },
	{ name: '0023-clock-off', up: () => clockOff.up() },
	{ name: '0024-orders', up: () => orders.up() },
	{ name: '0025-left-over', up: () => leftOver.up() },
	{ name: '0026-people', up: () => people.up() },
	{ name: '0027-event-device', up: () => eventDevice.up() },
	{ name: '0028-mended', up: () => mended.up() }
];

const LOCK = 'anthypos-migrate';
/** A large database takes its time, and the others wait for it. */
const LOCK_WAIT_S = 300;

/** Names of the migrations that ran, kept in a table of the same database. */
const storage: UmzugStorage = {
	async executed() {
		const rows = await db().query<{ name: string }>('SELECT name FROM migrations ORDER BY name', {
			type: QueryTypes.SELECT
		});
		return rows.map((row) => row.name);
	},
	async logMigration({ name }) {
		await db().query('INSERT IGNORE INTO migrations (name) VALUES (?)', { replacements: [name] });
	},
	async unlogMigration({ name }) {
		await db().query('DELETE FROM migrations WHERE name = ?', { replacements: [name] });
	}
};

/**
 * Brings the database up to this version. Several processes may start at once: the first one holds a
 * lock, the others wait and then find nothing left to do.
 */
export const migrate = (): Promise<void> =>
	alone(LOCK, LOCK_WAIT_S, async () => {
		await db().query('CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(120) PRIMARY KEY)');
		const umzug = new Umzug({ migrations: MIGRATIONS, storage, logger: undefined });
		const ran = await umzug.up();
		if (ran.length > 0) log.info({ migrations: ran.map((m) => m.name) }, 'database migrated');
	});
