import { Op } from 'sequelize';
import { mouldInputs } from '$lib/core/mould';
import { tables } from '../db/models';
import { saveMaster } from '../repositories/masters';
import { getMould, saveMould, setMouldState } from '../repositories/moulds';
import { showPiece } from './looksLike';
import { otherWays, quickCast } from './moulds';
import type { DemoPiece } from './pieces';
import { openPour, pullSeries } from './pulls';
import { hollowShot, MORE_SHOTS, moreShots, pottedShot } from './shots';
import { DAY_MS, type Story } from './story';

/** Pieces of an order that go into the pot with one closing. */
const POTTED = ['Quay bollard, small', 'Ammonite paperweight'];

/** One piece with its moulds, pulls and plans. */
export async function tellPiece(story: Story, piece: DemoPiece): Promise<void> {
	const masterId = await saveMaster(piece.master, null);
	await showPiece(masterId, piece);
	const mouldIds: string[] = [];
	for (const ageDays of piece.mouldAgesDays) {
		mouldIds.push(await makeMould(story, piece, masterId, story.nowMs - ageDays * DAY_MS));
	}
	const name = piece.master.name;
	// the oldest ammonite mould wears out; the shards are poured two at a time
	if (name === 'Ammonite paperweight') {
		await pullSeries(story, piece, masterId, [mouldIds[0]!], {
			count: 34,
			fromDays: 165,
			toDays: 95,
			wearFrom: 26
		});
		const worn = await getMould(mouldIds[0]!);
		await setMouldState(worn.id, worn.version, 'retired');
		await pullSeries(story, piece, masterId, [mouldIds[1]!], {
			count: 21,
			fromDays: 94,
			toDays: 2,
			wearFrom: 99
		});
		const planned = await makeMould(story, piece, masterId, story.nowMs - 2.2 * 3_600_000, false);
		await tables.moulds().update({ label: 'Ammonite paperweight, fourth' }, { where: { id: planned } });
		await pullSeries(story, piece, masterId, [mouldIds[2]!], {
			count: 6,
			fromDays: 40,
			toDays: 4,
			wearFrom: 99
		});
	} else if (name === 'Ice shard') {
		await pullSeries(story, piece, masterId, mouldIds, { count: 7, fromDays: 55, toDays: 6, wearFrom: 99 });
	} else if (name === 'Quay bollard, small') {
		await tables
			.moulds()
			.update(
				{ state: 'new', pouredAt: null, readyAt: null },
				{ where: { id: { [Op.in]: mouldIds.slice(0, 1) } } }
			);
	} else {
		await pullSeries(story, piece, masterId, mouldIds.slice(0, 1), {
			count: piece.pulls ?? 12,
			fromDays: 75,
			toDays: 3,
			wearFrom: 99,
			// the tile never took what the film in the cup was thought to keep
			...(name === 'Cobble tile' ? { took: [1, 1.02, 0.99] } : {})
		});
		if (mouldIds[1])
			await pullSeries(story, piece, masterId, [mouldIds[1]], {
				count: 5,
				fromDays: 26,
				toDays: 1,
				wearFrom: 99
			});
	}
	if (name === 'Lamplighter figure') {
		await openPour(story, piece, masterId, mouldIds[1]!);
		await otherWays(story, piece, masterId, mouldIds[0]!);
		await hollowShot(story, piece, masterId, mouldIds[0]!);
	}
	if (POTTED.includes(name)) await pottedShot(story, piece, masterId, mouldIds.at(-1)!);
	if (name === 'Cobble tile') await quickCast(masterId);
	if (MORE_SHOTS[name]) await moreShots(story, piece, masterId, mouldIds.at(-1)!, MORE_SHOTS[name]);
}

export async function makeMould(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	atMs: number,
	cured = true
): Promise<string> {
	const inputs = mouldInputs.parse({
		label: piece.master.name,
		masterId,
		rubberId: story.rubberIds.get(piece.rubber)!,
		shape: piece.shape,
		clearanceMm: piece.shape === 'tube' ? 8 : 12,
		coverMm: 14,
		lossPercent: 4,
		roomTempC: 21,
		place: piece.place,
		note: ''
	});
	const id = await saveMould(inputs);
	const { plan } = await getMould(id);
	await tables.moulds().update(
		{
			state: cured ? 'active' : 'new',
			pouredAt: new Date(atMs),
			readyAt: new Date(atMs + plan.readyInS * 1000)
		},
		{ where: { id } }
	);
	return id;
}
