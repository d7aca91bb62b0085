// Runs in threads beside the server: one task, one answer. Bundled whole by the build, see vite.config.ts.
import { runCalculation } from '../../core/calc';
import { fieldErrors } from '../../core/fieldErrors';
import { importInput, readNotebook } from '../../core/ledger';
import { studyFile } from '../../core/master/study';
import { meshAnswer, MeshError } from '../../core/mesh';
import { outlooks, planFrom, planOrders, whatHelps } from '../../core/orders';
import { refusal, type Outcome } from '../../core/outcome';
import { openBook } from './book.thread';
import { sheetBytes } from './sheet.thread';
import type { HeavyKind, HeavyTask, HeavyTasks } from './tasks';

type Solved<K extends HeavyKind> = Outcome<HeavyTasks[K]['out']>;

/** So long a plan's days are played through at most, ms; a few times in any case. */
const CHANCE_MS = 1200;
const fine = <T>(value: T): Outcome<T> => ({ ok: true, value });
/** So many wrong rows are told: more than anybody mends at once. */
const MOST_TOLD = 200;

function notebook({ text, moulds, nowMs, units }: HeavyTasks['notebook']['in']): Solved<'notebook'> {
	let typed: unknown;
	try {
		typed = JSON.parse(text);
	} catch {
		return refusal('The notebook could not be read: choose the file again.');
	}
	const input = importInput.safeParse(typed);
	if (!input.success) return refusal(fieldErrors(input.error)?.[0]?.message ?? 'It could not be read.');
	const { pulls, errors } = readNotebook(input.data, { moulds: new Set(moulds), nowMs, units });
	const wrong = errors.slice(0, MOST_TOLD);
	return fine({
		entry: input.data.entry,
		pulls: wrong.length > 0 ? [] : pulls,
		wrong,
		wrongCount: errors.length
	});
}

function plannedOrders({
	workshop,
	before,
	budgetMs,
	runs,
	given
}: HeavyTasks['orders']['in']): Solved<'orders'> {
	const clockMs = () => performance.now();
	const checked = given && planFrom(workshop, given, before);
	if (checked && !checked.ok)
		return refusal(`It does not hold any more: ${checked.breaches[0]!.message} Look for it again.`);
	const plan = checked?.plan ?? planOrders(workshop, before, { budgetMs, clockMs });
	const played =
		plan.status === 'feasible' ? outlooks(workshop, plan, { runs, budgetMs: CHANCE_MS, clockMs }) : [];
	return fine({ plan, outlooks: played });
}

async function solve(task: HeavyTask): Promise<Outcome<unknown>> {
	const share = task.progress && ((done: number) => task.progress!.postMessage(done));
	switch (task.kind) {
		case 'study':
			return fine(studyFile(task.input.bytes, task.input.choice, task.input.date, share));
		case 'answer':
			return fine(meshAnswer(task.input.bytes, task.input.query));
		case 'sheet':
			return fine(await sheetBytes(task.input));
		case 'notebook':
			return notebook(task.input);
		case 'calculate':
			return runCalculation(task.input.name, task.input.input)!;
		case 'orders':
			return plannedOrders(task.input);
		case 'helps': {
			const { workshop, plan, orderId, budgetMs } = task.input;
			return fine(whatHelps(workshop, plan, orderId, { budgetMs, clockMs: () => performance.now() }));
		}
		case 'book':
			return openBook(task.input.bytes, task.input.port);
	}
}

/** What whoever asked caused is an outcome; everything else is thrown. */
export default async function run(task: HeavyTask): Promise<Outcome<unknown>> {
	try {
		return await solve(task);
	} catch (error) {
		if (error instanceof MeshError) return refusal(error.message);
		throw error;
	} finally {
		task.progress?.close();
	}
}
