import { createHash } from 'node:crypto';
import {
	existsSync,
	lstatSync,
	mkdirSync,
	mkdtempSync,
	readFileSync,
	renameSync,
	writeFileSync
} from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { MessageChannel, type MessagePort, type Transferable } from 'node:worker_threads';
import { Tinypool } from 'tinypool';
import source from 'virtual:thread-heavy';
import { MeshError } from '$lib/core/mesh';
import type { Outcome } from '$lib/core/outcome';
import { environment } from '../environment';
import { BusyError, RefusedError } from '../errors';
import type { HeavyKind, HeavyTasks } from './tasks';
import { Turns, type Waiting } from './turns';

/** Threads: one core is left to answer with. */
const THREADS = Math.max(1, availableParallelism() - 1);
/** So much of its own memory one task may take, MB: a file of millions of triangles fits, a bomb does not. */
const MEMORY_MB = 2048;
/** So many may wait, of one client and of all. */
const MOST_WAITING = { own: 12, all: 100 };
/** A thread that nobody needs ends after so long, ms. */
const IDLE_MS = 20_000;
/** So long each may be worked on, ms: files by MESH_TIME_LIMIT_MS, a whole book by its size. */
const LIMIT_MS: Readonly<Record<HeavyKind, () => number>> = {
	study: () => environment().MESH_TIME_LIMIT_MS,
	answer: () => environment().MESH_TIME_LIMIT_MS,
	sheet: () => 30_000,
	notebook: () => 30_000,
	calculate: () => 30_000,
	orders: () => 60_000,
	helps: () => 60_000,
	book: () => 15 * 60_000
};

/** Who asks, and for how long. */
export interface Asker {
	/** Whose turn it is: a person, or an address. */
	client: string;
	/** Ends the work when the request ends. */
	signal?: AbortSignal | undefined;
	/** A name by which the page asks how far it is, made there. */
	ticket?: string | undefined;
}

interface Work extends Waiting {
	start: () => void;
}

/** How far a piece of work is. */
export type HowFar = { state: 'waiting'; before: number } | { state: 'working'; share: number };

const turns = new Turns<Work>();
const tickets = new Map<string, () => HowFar>();
let busy = 0;
let pool: Tinypool | undefined;

/** The threads' script, in a folder that is nobody's but ours, by the name of its content. */
function scriptFile(): string {
	const mine = process.getuid?.();
	let folder = join(tmpdir(), `anthypos-threads-${mine ?? 'x'}`);
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	const found = lstatSync(folder);
	if (!found.isDirectory() || found.uid !== (mine ?? found.uid) || (found.mode & 0o022) !== 0)
		folder = mkdtempSync(join(tmpdir(), 'anthypos-threads-'));
	const file = join(folder, `${createHash('sha256').update(source).digest('hex').slice(0, 16)}.mjs`);
	if (!existsSync(file) || readFileSync(file, 'utf8') !== source) {
		const part = `${file}.${process.pid}`;
		writeFileSync(part, source, { mode: 0o600 });
		renameSync(part, file);
	}
	return file;
}

function threads(): Tinypool {
	pool ??= new Tinypool({
		filename: scriptFile(),
		minThreads: 0,
		maxThreads: THREADS,
		idleTimeout: IDLE_MS,
		resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB }
	});
	return pool;
}

function startNext(): void {
	while (busy < THREADS) {
		const work = turns.next();
		if (!work) return;
		busy++;
		work.start();
	}
}

/** Waits for a turn. @throws BusyError when too many wait; MeshError when nobody waits for it any more */
async function turn(
	client: string,
	signal: AbortSignal | undefined,
	tell: (far: () => HowFar) => void
): Promise<void> {
	if (busy < THREADS) {
		busy++;
		return;
	}
	if (turns.sizeOf(client) >= MOST_WAITING.own || turns.size >= MOST_WAITING.all)
		throw new BusyError(turns.size);
	await new Promise<void>((resolve, reject) => {
		const work: Work = { client, start: () => (signal?.removeEventListener('abort', left), resolve()) };
		const left = () => {
			if (turns.remove(work)) reject(gone());
		};
		signal?.addEventListener('abort', left, { once: true });
		tell(() => ({ state: 'waiting', before: (turns.before(work) ?? 0) + 1 }));
		turns.push(work);
	});
}

const gone = () => new MeshError('Nobody waits for this any more.');
const seconds = (ms: number) => Math.max(1, Math.round(ms / 1000));

/** What is said when a task is given up. */
function givenUp(kind: HeavyKind, why: 'time' | 'memory'): Error {
	const long = `over ${seconds(LIMIT_MS[kind]())} s`;
	if (kind === 'study' || kind === 'answer')
		return new MeshError(
			`This file takes ${why === 'time' ? `${long} to work out` : 'more memory than there is for one'}, and is given up so that others get their turn: save it with fewer triangles, or as one closed body.`
		);
	return new RefusedError(
		`This takes ${why === 'time' ? long : 'more memory than there is for one piece of work'}, and is given up so that others get their turn.`,
		undefined,
		413
	);
}

/**
 * Does heavy work in a thread beside the server: fair between clients, bounded in time and memory, ended when its
 * request ends.
 * @throws BusyError when too many wait; MeshError or RefusedError when it is given up
 */
export async function heavy<K extends HeavyKind>(
	kind: K,
	input: HeavyTasks[K]['in'],
	{ client, signal, ticket }: Asker,
	transferList: readonly Transferable[] = []
): Promise<Outcome<HeavyTasks[K]['out']>> {
	if (signal?.aborted) throw gone();
	let progress: { near: MessagePort; far: MessagePort } | undefined;
	try {
		await turn(client, signal, (far) => ticket && tickets.set(ticket, far));
		try {
			if (ticket) {
				const { port1, port2 } = new MessageChannel();
				let share = 0;
				port1.on('message', (told: number) => (share = told));
				port1.unref();
				progress = { near: port1, far: port2 };
				tickets.set(ticket, () => ({ state: 'working', share }));
			}
			return await inThread(kind, input, signal, transferList, progress?.far);
		} finally {
			busy--;
			startNext();
		}
	} finally {
		progress?.near.close();
		if (ticket) tickets.delete(ticket);
	}
}

async function inThread<K extends HeavyKind>(
	kind: K,
	input: HeavyTasks[K]['in'],
	signal: AbortSignal | undefined,
	transferList: readonly Transferable[],
	progress: MessagePort | undefined
): Promise<Outcome<HeavyTasks[K]['out']>> {
	const timeUp = AbortSignal.timeout(LIMIT_MS[kind]());
	try {
		return (await threads().run(
			{ kind, input, ...(progress ? { progress } : {}) },
			{
				signal: signal ? AbortSignal.any([signal, timeUp]) : timeUp,
				transferList: [...transferList, ...(progress ? [progress] : [])] as never
			}
		)) as Outcome<HeavyTasks[K]['out']>;
	} catch (error) {
		if (signal?.aborted) throw gone();
		if (timeUp.aborted) throw givenUp(kind, 'time');
		if ((error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY') throw givenUp(kind, 'memory');
		throw error;
	}
}

/** How far the work with this ticket is; nothing where it is done, or another process does it. */
export const howFar = (ticket: string): HowFar | undefined => tickets.get(ticket)?.();

/** The whole buffer of some bytes, to be handed over; nothing when they are a part of something larger. */
export const handedOver = (bytes: Uint8Array): readonly Transferable[] =>
	bytes.byteLength === bytes.buffer.byteLength ? [bytes.buffer as ArrayBuffer] : [];
