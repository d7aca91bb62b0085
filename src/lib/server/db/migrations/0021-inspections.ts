import { QueryTypes } from 'sequelize';
import { db } from '../connection';

const RENAMED = { vessel_looks: 'vessel_inspections', mould_looks: 'mould_inspections' } as const;

async function stands(table: string): Promise<boolean> {
	const rows = await db().query(
		'SELECT 1 FROM information_schema.tables WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = ?',
		{ type: QueryTypes.SELECT, replacements: [table] }
	);
	return rows.length > 0;
}

/** Looks at moulds and vessels have the field's own name; a run that was cut short goes on where it stopped. */
export async function up(): Promise<void> {
	for (const [was, is] of Object.entries(RENAMED))
		if (await stands(was)) await db().query(`RENAME TABLE ${was} TO ${is}`);
}
