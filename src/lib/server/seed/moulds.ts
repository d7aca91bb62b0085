import { randomUUID } from 'node:crypto';
import { makingSteps } from '$lib/core/making';
import { mouldInputs } from '$lib/core/mould';
import { WORKSHOP_DEFAULTS } from '$lib/core/workshop';
import { addMakingEvents, beginMaking, getMaking } from '../repositories/makings';
import { listMaterials } from '../repositories/materials';
import { saveMould } from '../repositories/moulds';
import { fillerId } from './fillerId';
import type { DemoPiece } from './pieces';
import type { Story } from './story';

/** The other ways to make a mould, each as far as a bench would have it. */
export async function otherWays(
	story: Story,
	piece: DemoPiece,
	masterId: string,
	firstId: string
): Promise<void> {
	const common = {
		masterId,
		clearanceMm: 12,
		coverMm: 12,
		lossPercent: 5,
		roomTempC: 21,
		releaseId: ''
	};
	const [spray] = await listMaterials('release');
	const [pressed] = await listMaterials('thermoplastic');
	await saveMould(
		mouldInputs.parse({
			...common,
			label: 'Lamplighter, glove',
			kind: 'jacket',
			rubberId: story.rubberIds.get('Spindrift skin')!,
			rubberLot: 'SP-31',
			skinMm: 7,
			shellResinId: story.resinIds.get('Harbour slow')!,
			shellFillerId: await fillerId('Feather silica'),
			note: 'For the hollow ones in the window.'
		})
	);
	await saveMould(
		mouldInputs.parse({
			...common,
			label: 'Lamplighter, trial halves',
			kind: 'press',
			thermoplasticId: pressed!.id,
			clearanceMm: 8
		})
	);
	const halves = await saveMould(
		mouldInputs.parse({
			...common,
			label: 'Lamplighter, two halves',
			kind: 'two-part',
			rubberId: story.rubberIds.get('Slipway red')!,
			rubberLot: 'SR-904',
			releaseId: spray!.id,
			degas: 'vacuum',
			predecessorId: firstId,
			place: 'Bench'
		})
	);
	// its first half was poured an hour and a half ago
	await beginMaking(halves, WORKSHOP_DEFAULTS);
	const steps = makingSteps(await getMaking(halves));
	const until = steps.findIndex((s) => s.id === 'place-0');
	const fromMs = story.nowMs - 5_400_000 - until * 240_000;
	await addMakingEvents(
		halves,
		steps.slice(0, until + 1).map((s, i) => ({
			id: randomUUID(),
			kind: 'step-done' as const,
			stepId: s.id,
			atMs: Math.round(fromMs + i * 240_000)
		}))
	);
}

/** A wet mould that is planned for one cast in plaster. */
export async function quickCast(masterId: string): Promise<void> {
	await saveMould(
		mouldInputs.parse({
			kind: 'wet',
			masterId,
			label: 'Cobble tile, quick cast',
			clearanceMm: 15,
			coverMm: 15,
			lossPercent: 5,
			roomTempC: 21,
			waterTempC: 16,
			note: 'To see the face in plaster before rubber is spent on it.'
		})
	);
}
