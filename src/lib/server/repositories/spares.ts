import { rankSpares } from '$lib/core/shot';
import { listMasters } from './masters';
import { emptyMoulds } from './moulds';

/** The three moulds that would take a left-over best, of those that stand empty. */
export async function sparesFor(except: readonly string[], leftMl: number) {
	const [moulds, masters] = await Promise.all([emptyMoulds(), listMasters()]);
	const volumes = new Map(masters.map((m) => [m.id, m.volumeMl]));
	const free = moulds
		.filter((m) => !except.includes(m.id))
		// a mould of which nobody knows what it takes is no place for a left-over
		.flatMap(({ id, number, label, masterId }) => {
			const volumeMl = volumes.get(masterId);
			return volumeMl ? [{ id, number, label, volumeMl }] : [];
		});
	return rankSpares(leftMl, free)
		.slice(0, 3)
		.map(({ number, label, volumeMl }) => ({ number, label, volumeMl }));
}
