import type { z } from 'zod';
import { shotInputs, trialRecord, type TrialRecord } from '$lib/core/shot';
import { listMaterials } from '../repositories/materials';
import { getMould } from '../repositories/moulds';
import { saveShot } from '../repositories/shots';
import { addTrial } from '../repositories/trials';
import type { DemoPiece } from './pieces';
import { fillerId } from './fillerId';
import { pouredBefore } from './pulls';
import { DAY_MS, idFrom, type Story } from './story';

/** Shots that are planned and not yet poured: the kinds that the pulls do not show. */
export const MORE_SHOTS: Readonly<
	Record<string, Partial<z.input<typeof shotInputs>> & { filler?: string; resin: string }>
> = {
	'Ammonite paperweight': {
		resin: 'Lantern white',
		pourTempC: 36,
		cups: [
			{ name: 'Old rope', recipeId: 'Old rope', sharePercent: 65 },
			{ name: 'Its own white', sharePercent: 35 }
		]
	},
	'Cobble tile': {
		resin: 'Harbour slow',
		kind: 'brushed',
		filler: 'Feather silica',
		wallMm: 4,
		coatMm: 1.5,
		stands: 'upright'
	},
	'Quay bollard, small': {
		resin: 'Weir extended',
		filler: 'Clean water',
		fillerPercent: 50,
		pourWay: 'open face'
	},
	'Rope fender': {
		resin: 'Fender flexible',
		pourWay: 'halves',
		brushS: 30,
		closeS: 25,
		inserts: [{ name: 'Weight of lead-free shot', massG: 40, volumeMl: 5.2 }]
	}
};

/** Shots of a slow resin that go into the pot: two of them are poured before the first is too thick. */
export async function pottedShot(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldId: string
): Promise<void> {
	await saveShot(
		shotInputs.parse({
			masterId,
			mouldIds: [mouldId],
			resinId: story.resinIds.get('Harbour slow')!,
			copies: 1,
			sprueVolumeMl: piece.sprueVolumeMl,
			sectionMm: piece.sectionMm,
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 44,
			usePot: true
		}),
		story.settings
	);
}

export async function moreShots(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldId: string,
	{ resin, filler, ...cast }: (typeof MORE_SHOTS)[string]
): Promise<void> {
	const mould = await getMould(mouldId);
	// planned ahead for a mould that is not in use yet
	if (mould.state !== 'active') return;
	const recipes = await listMaterials('recipe');
	const cups = cast.cups?.map((c) => ({
		...c,
		recipeId: recipes.find((r) => r.record.name === c.recipeId)?.id ?? ''
	}));
	const shotId = await saveShot(
		shotInputs.parse({
			masterId,
			mouldIds: [mouldId],
			resinId: story.resinIds.get(resin)!,
			copies: 2,
			sprueVolumeMl: piece.sprueVolumeMl,
			sectionMm: piece.sectionMm,
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 44,
			...cast,
			...(cups ? { cups } : {}),
			...(filler ? { fillerId: await fillerId(filler) } : {})
		}),
		story.settings
	);
	await pouredBefore(story, shotId, 3);
	if (!cast.inserts) return;
	const trial = (addedG: number, sat: TrialRecord['sat'], massG: number, underWaterPercent?: number) =>
		trialRecord.parse({ addedG, where: 'in the lower end', sat, massG, underWaterPercent });
	const tried = [
		trial(0, 'on its side', 128, 97),
		trial(25, 'leaning', 148, undefined),
		trial(40, 'sunk', 162, undefined)
	];
	for (const [i, record] of tried.entries()) {
		const at = new Date(story.nowMs - (9 - i) * DAY_MS);
		await addTrial(idFrom(story.random), masterId, shotId, record, at);
	}
}

/** A hollow figure in four rolled layers, weighted so that it stands. */
export async function hollowShot(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	mouldId: string
): Promise<void> {
	const shotId = await saveShot(
		shotInputs.parse({
			kind: 'filled',
			masterId,
			mouldIds: [mouldId],
			resinId: story.resinIds.get('Bellows gradual')!,
			copies: 2,
			sprueVolumeMl: piece.sprueVolumeMl,
			sectionMm: piece.sectionMm,
			wallMm: 4,
			rimLengthMm: 110,
			fillKind: 'plaster',
			inserts: [{ name: 'Threaded rod in the foot', massG: 14, volumeMl: 1.8 }],
			startTempC: 21,
			mouldTempC: 21,
			roomTempC: 21,
			relativeHumidity: 44
		}),
		story.settings
	);
	await pouredBefore(story, shotId, 4);
}
