import type { MessagePort } from 'node:worker_threads';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import type { ImportedPull, RowError } from '$lib/core/ledger';
import type { ShapeChoice } from '$lib/core/master';
import type { studyFile } from '$lib/core/master/study';
import type { MeshAnswer, MeshQuery } from '$lib/core/mesh';
import type { Help, OrdersPlan, Outlook, Workshop } from '$lib/core/orders';
import type { Starts } from '$lib/core/schedule';
import type { UnitSystem } from '$lib/core/units';

/** A sheet as plain data, so that it can be handed to a thread: what would be a function is a word. */
export type Sheet = Omit<TDocumentDefinitions, 'header' | 'footer'> & {
	/** What stands at the head of every sheet after the first, and with its number at the foot of each. */
	numbered?: string;
};

/** What takes long, by its name: what goes in and what comes out. All of it can be cloned. */
export interface HeavyTasks {
	/** What a 3D file says of a master with a choice. The bytes are used up. */
	study: { in: { bytes: Uint8Array; choice: ShapeChoice; date: string }; out: ReturnType<typeof studyFile> };
	/** The open interface's answer on a 3D file. The bytes are used up. */
	answer: { in: { bytes: Uint8Array; query: MeshQuery }; out: MeshAnswer };
	/** A sheet of paper as PDF. */
	sheet: { in: Sheet; out: Uint8Array };
	/** The rows of a notebook, as they were sent. */
	notebook: {
		in: { text: string; moulds: readonly number[]; nowMs: number; units: UnitSystem };
		out: { entry: string; pulls: ImportedPull[]; wrong: RowError[]; wrongCount: number };
	};
	/** A calculation of the open interface that may take seconds. */
	calculate: { in: { name: string; input: unknown }; out: unknown };
	/** The plan of the open orders, following the one before, and how sure its days are. */
	orders: {
		in: {
			workshop: Workshop;
			before: Starts;
			budgetMs: number;
			runs: number;
			/** Starts that a page worked out: they are checked, and no others are looked for. */
			given?: Starts;
		};
		out: { plan: OrdersPlan; outlooks: Outlook[] };
	};
	/** What would bring an order forward most. */
	helps: { in: { workshop: Workshop; plan: OrdersPlan; orderId: string; budgetMs: number }; out: Help[] };
	/** A workshop's book: opened here, and handed over bite by bite through the port. The bytes are used up. */
	book: { in: { bytes: Uint8Array; port: MessagePort }; out: null };
}
export type HeavyKind = keyof HeavyTasks;

/** What a thread is given. */
export type HeavyTask = {
	[K in HeavyKind]: { kind: K; input: HeavyTasks[K]['in']; progress?: MessagePort };
}[HeavyKind];
