import type { z } from 'zod';
import { stepsOf } from '$lib/core/bench';
import { shotInputs } from '$lib/core/shot';
import { plain, tables } from '../db/models';
import { listMaterials } from '../repositories/materials';
import { beginToday } from '../repositories/beginPour';
import { addEvents, getPour } from '../repositories/pours';
import { saveShot } from '../repositories/shots';
import { fillerId } from './fillerId';
import { makeMould } from './piece';
import { DEMO_PIECES, type DemoPiece } from './pieces';
import { MORE_SHOTS } from './shots';
import { DAY_MS, idFrom, type Story } from './story';

/** A shot of one copy as it is opened: one of those that were poured before, or the way that the piece is usually cast. */
type Cast = Partial<z.input<typeof shotInputs>> & { filler?: string; resin?: string };
const OPEN: readonly { piece: string; resin: string; of: 'more' | 'own' | Cast }[] = [
	{ piece: 'Stage anvil', resin: 'Bellows gradual', of: 'own' },
	{
		piece: 'Lamplighter figure',
		resin: 'Bellows gradual',
		of: {
			kind: 'filled',
			wallMm: 4,
			rimLengthMm: 110,
			fillKind: 'plaster',
			fillWhere: 'outside',
			out: 'flexible'
		}
	},
	{ piece: 'Amber block with a fern', resin: '', of: 'own' },
	{ piece: 'Ship’s nameplate letters', resin: '', of: 'own' },
	{ piece: 'Cobble tile', resin: '', of: 'more' },
	{ piece: 'Ammonite paperweight', resin: '', of: 'more' },
	{ piece: 'Rope fender', resin: '', of: 'more' }
];

/** One cast of each kind stands begun at the bench, each in a mould of its own: nothing of it is mixed yet. */
export async function openOfEachKind(story: Story): Promise<void> {
	for (const { piece: name, resin, of } of OPEN) {
		const piece = DEMO_PIECES.find((p) => p.master.name === name)!;
		const master = await tables.masters().findOne({ where: { name } });
		const masterId = plain(master!).id;
		const { filler, resin: theirs, ...cast } = await castOf(piece, of);
		const mouldId = await makeMould(story, piece, masterId, story.nowMs - 12 * DAY_MS);
		const shotId = await saveShot(
			shotInputs.parse({
				masterId,
				mouldIds: [mouldId],
				resinId: story.resinIds.get(resin || theirs || piece.resins[0]!)!,
				copies: 1,
				sprueVolumeMl: piece.sprueVolumeMl,
				sectionMm: piece.sectionMm,
				startTempC: 21,
				mouldTempC: 21,
				roomTempC: 21,
				relativeHumidity: 44,
				...cast,
				...(filler ? { fillerId: await fillerId(filler) } : {})
			}),
			story.settings
		);
		await begun(story, await beginToday(shotId, 0, story.settings));
	}
}

/** How the piece is cast, with its colours by their ids. */
async function castOf(piece: DemoPiece, of: (typeof OPEN)[number]['of']): Promise<Cast> {
	const cast: Cast = of === 'own' ? (piece.cast ?? {}) : of === 'more' ? MORE_SHOTS[piece.master.name]! : of;
	if (!cast.cups) return cast;
	const recipes = await listMaterials('recipe');
	const cups = cast.cups.map((c) => ({
		...c,
		recipeId: recipes.find((r) => r.record.name === c.recipeId)?.id ?? ''
	}));
	return { ...cast, cups };
}

/** Its mould was looked over a quarter of an hour ago, and somebody was called away. */
async function begun(story: Story, pourId: string): Promise<void> {
	const [first] = stepsOf((await getPour(pourId)).plan);
	await addEvents(pourId, [
		{ id: idFrom(story.random), kind: 'step-done', stepId: first!.id, atMs: story.nowMs - 900_000 }
	]);
}
