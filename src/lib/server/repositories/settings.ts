import { WORKSHOP_DEFAULTS, workshopSettings, type WorkshopSettings } from '$lib/core/workshop';
import { RowCache, stampOf } from '../db/rowCache';
import { plain, tables } from '../db/models';
import type { Actor } from '../people/audit';
import { noted } from './keeping';
import { updateVersioned } from './versioned';

const ONLY_ROW = 1;
const kept = new RowCache<WorkshopSettings>(1);

/** The workshop's settings with their version; the defaults before anything was saved. */
export async function readSettings(): Promise<{ settings: WorkshopSettings; version: number }> {
	const row = await tables.settings().findByPk(ONLY_ROW);
	if (!row) return { settings: { ...WORKSHOP_DEFAULTS }, version: 0 };
	const { body, version, updatedAt } = plain(row);
	const settings = kept.get(String(ONLY_ROW), stampOf({ version, updatedAt }), () =>
		workshopSettings.parse({ ...WORKSHOP_DEFAULTS, ...body })
	);
	return { settings, version };
}

/** Saves the settings; `version` 0 means that none were saved before. */
export async function saveSettings(
	settings: WorkshopSettings,
	version: number,
	actor?: Actor
): Promise<void> {
	await noted({ actor }, ['settings-changed', ''], async (transaction) => {
		if (version === 0) {
			const defaults = { id: ONLY_ROW, body: settings, version: 1 };
			const [, made] = await tables
				.settings()
				.findOrCreate({ where: { id: ONLY_ROW }, defaults, transaction });
			if (made) return;
		}
		await updateVersioned(
			tables.settings(),
			'page of settings',
			ONLY_ROW,
			version,
			{ body: settings },
			transaction
		);
	});
}
