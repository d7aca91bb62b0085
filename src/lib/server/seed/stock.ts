import {
	colourRecord,
	containerRecord,
	recipeRecord,
	releaseRecord,
	markCupRecord,
	thermoplasticRecord
} from '$lib/core/shelf';
import { saveContainer } from '../repositories/containers';
import { saveExperience } from '../repositories/experiences';
import { saveMaterial } from '../repositories/materials';
import {
	DEMO_COLOURS,
	DEMO_EXPERIENCES,
	DEMO_RECIPE,
	DEMO_RELEASES,
	DEMO_CUPS,
	DEMO_THERMOPLASTICS
} from './materials';
import { castableShelf } from './castables';
import { fillerId } from './fillerId';
import { DAY_MS } from './story';

/** Colours, a recipe in doses, releases, and what was found when things met. */
export async function colourShelf(resins: Map<string, string>, rubbers: Map<string, string>): Promise<void> {
	const colours = new Map<string, string>();
	for (const colour of DEMO_COLOURS)
		colours.set(colour.name, await saveMaterial('colour', colourRecord.parse(colour)));
	const { resin, doses, ...recipe } = DEMO_RECIPE;
	await saveMaterial(
		'recipe',
		recipeRecord.parse({
			...recipe,
			resinId: resins.get(resin)!,
			doses: doses.map(({ colour, ...dose }) => ({ ...dose, colourId: colours.get(colour)! }))
		})
	);
	for (const release of DEMO_RELEASES) await saveMaterial('release', releaseRecord.parse(release));
	await castableShelf();
	for (const c of DEMO_CUPS) await saveMaterial('cup', markCupRecord.parse(c));
	for (const t of DEMO_THERMOPLASTICS) await saveMaterial('thermoplastic', thermoplasticRecord.parse(t));
	const keyOf = (thing: string) => {
		const [kind, name] = thing.split(':') as [string, string];
		const id = kind === 'rubber' ? rubbers.get(name) : kind === 'resin' ? resins.get(name) : name;
		return `${kind}:${id!}`;
	};
	for (const { first, second, ...e } of DEMO_EXPERIENCES)
		await saveExperience({ ...e, first: keyOf(first), second: keyOf(second) });
}

/** What stands on the shelf from a day on. */
const shelfOf =
	(nowMs: number, sinceDays: number) =>
	(
		materialId: string | undefined,
		part: 'A' | 'B' | 'whole',
		lot: string,
		sizeG: number,
		weighedG: number,
		openDays: number,
		openings: number,
		flushed = false,
		useBy = ''
	) =>
		saveContainer(
			containerRecord.parse({
				materialId: materialId!,
				part,
				lot,
				sizeG,
				weighedG,
				openedOn: dayOf(nowMs, openDays),
				useBy,
				openings,
				flushed,
				slowerPercent: openDays > 200 ? 15 : 0
			}),
			new Date(nowMs - sinceDays * DAY_MS)
		);
const dayOf = (nowMs: number, ageDays: number) =>
	new Date(nowMs - ageDays * DAY_MS).toISOString().slice(0, 10);

/** What was bought lately, since the tins before it are empty. */
export async function boughtLately(nowMs: number, resins: Map<string, string>): Promise<void> {
	const tin = shelfOf(nowMs, 2);
	await tin(resins.get('Harbour slow'), 'A', 'HS-0533', 5000, 4800, 2, 1, true);
	await tin(resins.get('Harbour slow'), 'B', 'HS-0533', 4500, 4300, 2, 1);
}

/** Tins of different age: fresh, running out, long open, past their date. */
export async function stockShelf(
	nowMs: number,
	resins: Map<string, string>,
	rubbers: Map<string, string>
): Promise<void> {
	const tin = shelfOf(nowMs, 200);
	await tin(resins.get('Lantern white'), 'A', 'LW-2291', 10_000, 9400, 40, 6, true);
	await tin(resins.get('Lantern white'), 'B', 'LW-2291', 9000, 8500, 40, 6);
	await tin(resins.get('Harbour slow'), 'A', 'HS-0417', 5000, 3000, 210, 9);
	await tin(resins.get('Harbour slow'), 'B', 'HS-0417', 4500, 2700, 210, 9);
	await tin(resins.get('Glasswater clear'), 'A', 'GW-118', 1500, 900, 70, 10, true);
	await tin(resins.get('Glasswater clear'), 'B', 'GW-118', 1300, 800, 70, 10, true);
	await tin(resins.get('Amber clear'), 'whole', 'AC-77', 5000, 600, 120, 14, false, dayOf(nowMs, 12));
	await tin(await fillerId('Feather silica'), 'whole', 'FS-12', 1000, 640, 90, 12);
	await tin(await fillerId('Slate flour'), 'whole', '', 5000, 3100, 130, 20);
	await tin(rubbers.get('Tidal grey'), 'A', 'TG-5', 5000, 3900, 30, 4);
	await tin(rubbers.get('Tidal grey'), 'B', 'TG-5', 5000, 3950, 30, 4);
}
