import { randomUUID } from 'node:crypto';
import type { Experience } from '$lib/core/compatibility';
import { plain, tables } from '../db/models';
import { makeOnce } from '../db/makeOnce';

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

export async function saveExperience(body: Experience, id: string = randomUUID()): Promise<string> {
	return makeOnce(id, () =>
		tables.experiences().create({ id, firstKey: body.first, secondKey: body.second, body })
	);
}

export async function removeExperience(id: string): Promise<void> {
	await tables.experiences().destroy({ where: { id } });
}
