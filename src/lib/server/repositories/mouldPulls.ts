import type { Transaction } from 'sequelize';
import { db } from '../db/connection';

// the moment in twenty figures, then the id: the greatest of them is the last pull
const COUNT = `SELECT mouldId, COUNT(*), MAX(combinedAt),
		SUBSTRING(MAX(CONCAT(DATE_FORMAT(combinedAt, '%Y%m%d%H%i%s%f'), id)), 21)
	FROM pulls`;

/**
 * Counts and numbers the pulls of moulds anew, in the transaction that changed the ledger. A list of a hundred
 * thousand pulls is never counted to show a page.
 * @param mouldIds those that changed; all of them when it is left out
 */
export async function recount(transaction: Transaction, mouldIds?: readonly string[]): Promise<void> {
	if (mouldIds?.length === 0) return;
	const which = mouldIds ? 'WHERE mouldId IN (:ids)' : '';
	const asked = { transaction, replacements: { ids: mouldIds ?? [] } };
	await db().query(`DELETE FROM mould_pulls ${which}`, asked);
	await db().query(
		`INSERT INTO mould_pulls (mouldId, pulls, lastPullAt, lastPullId) ${COUNT} ${which} GROUP BY mouldId`,
		asked
	);
	await db().query(
		`UPDATE pulls p JOIN (
			SELECT id, ROW_NUMBER() OVER (PARTITION BY mouldId ORDER BY combinedAt, id) AS n FROM pulls ${which}
		) x ON x.id = p.id SET p.pullNumber = x.n WHERE p.pullNumber <> x.n`,
		asked
	);
}
