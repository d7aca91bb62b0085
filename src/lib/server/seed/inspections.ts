import { QueryTypes } from 'sequelize';
import type { CauseId, Fault } from '$lib/core/faults';
import { mouldInspection } from '$lib/core/wear';
import { db } from '../db/connection';
import { confirmCause } from '../repositories/ledgerCorrections';
import { listMoulds } from '../repositories/moulds';
import { addMouldInspection, families } from '../repositories/wear';
import { DAY_MS, idFrom, type Story } from './story';

/** Looks at the moulds on their way, with what each foretold. */
export async function inspectMoulds(story: Story): Promise<void> {
	const { random, nowMs } = story;
	const lives = await families();
	for (const mould of await listMoulds()) {
		if (mould.pulls < 6) continue;
		const worn = mould.state === 'retired';
		const times = await db().query<{ combinedAt: Date }>(
			'SELECT combinedAt FROM pulls WHERE mouldId = ? ORDER BY combinedAt',
			{ type: QueryTypes.SELECT, replacements: [mould.id] }
		);
		const every = 9;
		for (let k = every; k <= times.length; k += every) {
			const share = worn ? k / times.length : k / 70;
			const wear = (by: number) =>
				Math.max(0, Math.min(5, Math.round(5 * share * by + random() * 0.8 - 0.4)));
			const scores = {
				detail: wear(0.7),
				tear: wear(0.9),
				stain: wear(1),
				stick: wear(0.6),
				flash: wear(0.5)
			};
			const id = idFrom(random);
			await addMouldInspection(
				mould.id,
				id,
				mouldInspection.parse({
					scores,
					spots: share > 0.5 ? [{ x: 62, y: 40, what: 'tear at the undercut' }] : [],
					note: ''
				}),
				new Date(new Date(times[k - 1]!.combinedAt).getTime() + 3_600_000),
				undefined,
				{ pulls: k, families: lives }
			);
		}
		if (worn) {
			await addMouldInspection(
				mould.id,
				idFrom(random),
				mouldInspection.parse({
					scores: { detail: 4, tear: 5, stain: 4, stick: 3, flash: 4 },
					spots: [{ x: 62, y: 40, what: 'torn through' }],
					note: 'Kept for the shape of its seam.'
				}),
				new Date(nowMs - 94 * DAY_MS),
				undefined,
				{ families: lives }
			);
		}
	}
}

/** Some faults have had their cause confirmed. */
export async function confirmSome({ random, nowMs }: Story): Promise<void> {
	const rows = await db().query<{ pullId: string; fault: Fault }>('SELECT pullId, fault FROM pull_faults', {
		type: QueryTypes.SELECT
	});
	const usual: Partial<Record<Fault, CauseId>> = {
		foam: 'damp-air',
		soft: 'undermixed',
		'face-bubbles': 'trapped-air',
		flash: 'uneven-closing',
		'dull-detail': 'worn-mould'
	};
	for (const { pullId, fault } of rows)
		if (usual[fault] && random() < 0.6) await confirmCause(pullId, fault, usual[fault], new Date(nowMs));
}
