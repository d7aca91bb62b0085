import { randomUUID } from 'node:crypto';
import type { Experience } from '$lib/core/compatibility';
import { plain, tables } from '../db/models';
import { makeOnce } from '../db/makeOnce';
import type { Actor } from '../people/audit';
import { noted } from './keeping';

interface KeptExperience extends Experience {
	id: string;
	createdAt: Date;
}

/** Everything that was found when two things met, oldest first. */
export async function listExperiences(): Promise<KeptExperience[]> {
	const rows = await tables.experiences().findAll({ order: [['createdAt', 'ASC']] });
	return rows.map((row) => {
		const { id, body, createdAt } = plain(row);
		return { id, ...body, createdAt };
	});
}

export async function saveExperience(
	body: Experience,
	id: string = randomUUID(),
	actor?: Actor
): Promise<string> {
	const row = { id, firstKey: body.first, secondKey: body.second, body };
	return makeOnce(id, () =>
		noted({ actor }, ['experience-kept', metOf(body)], (transaction) =>
			tables.experiences().create(row, { transaction })
		)
	);
}

/** Takes one back; one that is gone already is gone. */
export async function removeExperience(id: string, actor?: Actor): Promise<void> {
	const row = await tables.experiences().findByPk(id);
	if (!row) return;
	await noted({ actor }, ['experience-removed', metOf(plain(row).body)], (transaction) =>
		row.destroy({ transaction })
	);
}

const metOf = ({ first, second }: Experience) => `${first} and ${second}`;
