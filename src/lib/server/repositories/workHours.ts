import { USUAL_HOURS, workshopHours, type WorkshopHours } from '$lib/core/orders';
import { plain, tables } from '../db/models';
import type { Actor } from '../people/audit';
import { noted } from './keeping';
import { updateVersioned } from './versioned';

const ONLY_ROW = 1;

/** When people work, with its version; the usual hours in the zone of this machine before anything was said. */
export async function readHours(): Promise<{ hours: WorkshopHours; version: number }> {
	const row = await tables.workHours().findByPk(ONLY_ROW);
	if (!row) {
		const zone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
		return { hours: { ...USUAL_HOURS, zone }, version: 0 };
	}
	const { body, version } = plain(row);
	return { hours: workshopHours.parse({ ...USUAL_HOURS, ...body }), version };
}

/** Keeps the hours; `version` 0 means that none were kept before. */
export async function saveHours(hours: WorkshopHours, version: number, actor?: Actor): Promise<void> {
	await noted({ actor }, ['hours-changed', ''], async (transaction) => {
		if (version === 0) {
			const defaults = { id: ONLY_ROW, body: hours, version: 1 };
			const [, made] = await tables
				.workHours()
				.findOrCreate({ where: { id: ONLY_ROW }, defaults, transaction });
			if (made) return;
		}
		await updateVersioned(
			tables.workHours(),
			'page of hours',
			ONLY_ROW,
			version,
			{ body: hours },
			transaction
		);
	});
}
