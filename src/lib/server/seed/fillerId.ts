import { listMaterials } from '../repositories/materials';

/** A filler of the shelf by its name. */
export async function fillerId(name: string): Promise<string> {
	const found = (await listMaterials('filler')).find((f) => f.record.name === name);
	if (!found) throw new Error(`demo: there is no filler ${name}`);
	return found.id;
}
