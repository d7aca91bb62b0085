import { type Transaction } from 'sequelize';
import { db } from '../db/connection';

/**
 * What the version before noted with `by: 'device'` came from simulators. Pulls whose air was "read" by one have the
 * planned one, cycles of a pot say that they were simulated, and tins that learnt their speed from one forget it.
 * Running it again changes nothing. What was corrected in the ledger stays corrected.
 */
const STATEMENTS = [
	`UPDATE pulls p JOIN pours o ON o.id = p.pourId
	SET p.body = JSON_SET(p.body, '$.conditionsRead', FALSE,
		'$.roomTempC', JSON_EXTRACT(o.plan, '$.roomTempC'),
		'$.relativeHumidity', JSON_EXTRACT(o.plan, '$.relativeHumidity'),
		'$.mouldTempC', JSON_EXTRACT(o.plan, '$.mouldTempC'))
	WHERE JSON_VALUE(p.body, '$.conditionsRead') = TRUE
		AND NOT EXISTS (SELECT 1 FROM pull_corrections c WHERE c.pullId = p.id)
		AND EXISTS (SELECT 1 FROM pour_events e WHERE e.pourId = p.pourId AND e.kind = 'air-read'
			AND JSON_VALUE(e.body, '$.by') = 'device')`,
	`UPDATE pot_cycles v SET v.body = JSON_SET(v.body, '$.simulated', TRUE)
	WHERE EXISTS (SELECT 1 FROM pour_events e WHERE e.pourId = v.pourId AND e.kind = 'pressure-read'
		AND JSON_VALUE(e.body, '$.by') = 'device')`,
	`UPDATE containers c SET c.rateFactor = NULL, c.version = c.version + 1
	WHERE c.rateFactor IS NOT NULL AND EXISTS (
		SELECT 1 FROM pours o JOIN pour_events e ON e.pourId = o.id
		WHERE JSON_VALUE(o.plan, '$.containers.a') = c.id AND e.kind = 'temp-read'
			AND JSON_VALUE(e.body, '$.by') = 'device')`
];

/** Tells what simulators noted from what was read, in everything that follows from it. */
export async function markSimulated(transaction?: Transaction): Promise<void> {
	for (const statement of STATEMENTS) await db().query(statement, transaction ? { transaction } : {});
}
