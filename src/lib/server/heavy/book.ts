import { MessageChannel } from 'node:worker_threads';
import type { BackupTable } from '$lib/core/openData';
import type { Refusal } from '$lib/core/outcome';
import { handedOver, heavy, type Asker } from './pool';

export type BookRow = Record<string, unknown>;

/** Some rows of one table; one that is a picture or a 3D file comes alone, with its bytes. */
export interface Bite {
	kind: 'bite';
	table: BackupTable;
	rows: BookRow[];
	file?: Uint8Array;
}
export type BookMessage =
	Bite | { kind: 'end' } | { kind: 'opened'; photosLacking: number; meshesLacking: number };

/** A checked book that lies open in a thread. */
export interface OpenBook {
	photosLacking: number;
	meshesLacking: number;
	/** From its first row, each time that it is called: work that begins again reads it again. */
	bites: () => AsyncGenerator<Bite>;
	close: () => void;
}

/** Opens a workshop's book beside the server. The bytes are used up. @returns what is wrong with it, if anything is */
export async function openBook(bytes: Uint8Array, asker: Asker): Promise<OpenBook | Refusal> {
	const { port1, port2 } = new MessageChannel();
	const heard: BookMessage[] = [];
	let wake = () => {};
	port1.on('message', (message: BookMessage) => {
		heard.push(message);
		wake();
	});
	const ended = heavy('book', { bytes, port: port2 }, asker, [...handedOver(bytes), port2]);
	/** The next message, or how the thread ended without one. */
	const next = async (): Promise<BookMessage | Refusal> => {
		if (heard.length === 0)
			await Promise.race([
				new Promise<void>((resolve) => (wake = resolve)),
				// what it threw is thrown here
				ended
			]);
		const message = heard.shift();
		if (message) return message;
		const outcome = await ended;
		return outcome.ok ? { kind: 'end' } : outcome;
	};
	ended.catch(() => undefined);
	const first = await next();
	if ('ok' in first || first.kind !== 'opened') {
		port1.close();
		return 'ok' in first
			? first
			: { ok: false, errors: [{ path: '', message: 'The book could not be opened.' }] };
	}
	return {
		...first,
		async *bites() {
			for (let ask: 'next' | 'again' = 'again'; ; ask = 'next') {
				port1.postMessage(ask);
				const message = await next();
				if ('ok' in message || message.kind !== 'bite') return;
				yield message;
			}
		},
		close: () => port1.postMessage('close')
	};
}
