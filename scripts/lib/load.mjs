// A workshop of many years, written straight into a database: for the load bench and nothing else.
import { randomUUID } from 'node:crypto';
import { createConnection } from 'mariadb';

const PULLS = 100_000;
const MOULDS = 300;
const GRADES = ['good', 'good', 'good', 'needs-work', 'scrap'];
const FAULTS = ['foam', 'flash', 'short-shot', 'inner-bubbles', 'soft'];

/** Copies the demo's first mould and pull until there are enough of both. */
export async function fillLarge(databaseUrl) {
	const url = new URL(databaseUrl);
	const db = await createConnection({
		host: url.hostname,
		port: Number(url.port),
		user: decodeURIComponent(url.username),
		password: decodeURIComponent(url.password),
		database: url.pathname.slice(1),
		bigIntAsNumber: true
	});
	try {
		const [mould] = await db.query("SELECT * FROM moulds WHERE state = 'active' LIMIT 1");
		const [pull] = await db.query('SELECT * FROM pulls WHERE pourId IS NOT NULL LIMIT 1');
		const [{ top }] = await db.query('SELECT MAX(number) AS top FROM moulds');
		const text = (v) => (typeof v === 'string' ? v : JSON.stringify(v));
		const ids = [];
		for (let i = 0; i < MOULDS; i++) {
			const id = randomUUID();
			ids.push(id);
			await db.query(
				`INSERT INTO moulds (id, number, label, masterId, rubberId, state, place, inputs, plan, pouredAt, readyAt, version, createdAt, updatedAt)
				VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 1, NOW(3), NOW(3))`,
				[
					id,
					top + 1 + i,
					`Load ${i}`,
					mould.masterId,
					mould.rubberId,
					i % 4 ? 'active' : 'retired',
					'',
					text(mould.inputs),
					text(mould.plan),
					mould.pouredAt,
					mould.readyAt
				]
			);
		}
		const body = typeof pull.body === 'string' ? JSON.parse(pull.body) : pull.body;
		const now = Date.now();
		for (let from = 0; from < PULLS; from += 500) {
			const rows = [];
			const faults = [];
			for (let i = from; i < Math.min(PULLS, from + 500); i++) {
				const id = randomUUID();
				const grade = GRADES[i % GRADES.length];
				const found = grade === 'good' ? [] : [FAULTS[i % FAULTS.length]];
				const at = new Date(now - i * 20 * 60_000);
				rows.push([
					id,
					null,
					ids[i % MOULDS],
					pull.masterName,
					i % 3 ? pull.resinName : 'Another resin',
					1,
					grade,
					at,
					JSON.stringify({ ...body, massG: 50 + (i % 400), relativeHumidity: 30 + (i % 40), faults: found }),
					`${pull.masterName} Load ${i % MOULDS} ${i % 997 === 0 ? 'rarity' : 'usual'}`,
					at,
					at
				]);
				for (const f of found) faults.push([id, f]);
			}
			await db.batch(
				'INSERT INTO pulls (id, pourId, mouldId, masterName, resinName, copies, grade, combinedAt, body, searchText, createdAt, updatedAt) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
				rows
			);
			if (faults.length) await db.batch('INSERT INTO pull_faults (pullId, fault) VALUES (?, ?)', faults);
		}
		await db.query(`REPLACE INTO mould_pulls (mouldId, pulls, lastPullAt, lastPullId)
			SELECT mouldId, COUNT(*), MAX(combinedAt), SUBSTRING(MAX(CONCAT(DATE_FORMAT(combinedAt, '%Y%m%d%H%i%s%f'), id)), 21)
			FROM pulls GROUP BY mouldId`);
		await db.query(`UPDATE pulls p JOIN (
			SELECT id, ROW_NUMBER() OVER (PARTITION BY mouldId ORDER BY combinedAt, id) AS n FROM pulls
		) x ON x.id = p.id SET p.pullNumber = x.n WHERE p.pullNumber <> x.n`);
		await db.query('ANALYZE TABLE pulls, pull_faults, moulds');
		return { pulls: PULLS, moulds: MOULDS, mouldId: ids[1] };
	} finally {
		await db.end();
	}
}
