import mariadb, { type Connection } from 'mariadb';
import { log } from '../log';
import { nodeName, type DbAddress, type DbNode } from './address';

/** So long a node is given to say that it can be used, ms. */
const ANSWERS_WITHIN_MS = 1500;
/** A node that was found good is not asked again for so long, ms. */
const GOOD_FOR_MS = 1000;

/** Whether a node lets us in and can be used: one that lost the others of its cluster lets in and answers nothing. */
async function isGood(node: DbNode, { username, password, database }: DbAddress): Promise<boolean> {
	let connection: Connection | undefined;
	try {
		connection = await mariadb.createConnection({
			...node,
			user: username,
			password,
			database,
			connectTimeout: ANSWERS_WITHIN_MS,
			socketTimeout: ANSWERS_WITHIN_MS
		});
		await connection.query('SELECT 1 FROM DUAL');
		const [ready] = await connection.query<{ Value: string }[]>("SHOW STATUS LIKE 'wsrep_ready'");
		return !ready || ready.Value === 'ON';
	} catch {
		return false;
	} finally {
		connection?.destroy();
	}
}

/**
 * The node of a cluster that is asked: the first of the list that can be used, until it fails; then the next that can.
 * All connections of this process go to one node, so that what it wrote it reads.
 */
export class Nodes {
	#at = 0;
	#goodAtMs = -Infinity;
	#choosing: Promise<DbNode> | undefined;

	constructor(
		readonly address: DbAddress,
		readonly good: (node: DbNode, address: DbAddress) => Promise<boolean> = isGood
	) {}

	get several(): boolean {
		return this.address.nodes.length > 1;
	}
	get current(): DbNode {
		return this.address.nodes[this.#at]!;
	}
	/** It failed: the next connection looks for one that does not. */
	doubt(): void {
		this.#goodAtMs = -Infinity;
	}
	/** The node for a new connection; where none can be used, the one that was asked last, whose failure is then told. */
	choose(nowMs = Date.now()): Promise<DbNode> {
		if (!this.several || nowMs - this.#goodAtMs < GOOD_FOR_MS) return Promise.resolve(this.current);
		this.#choosing ??= this.#look(nowMs).finally(() => (this.#choosing = undefined));
		return this.#choosing;
	}
	async #look(nowMs: number): Promise<DbNode> {
		const { nodes } = this.address;
		for (let i = 0; i < nodes.length; i++) {
			const at = (this.#at + i) % nodes.length;
			if (!(await this.good(nodes[at]!, this.address))) continue;
			if (at !== this.#at)
				log.warn({ from: nodeName(this.current), to: nodeName(nodes[at]!) }, 'asks another node');
			this.#at = at;
			this.#goodAtMs = nowMs;
			break;
		}
		return this.current;
	}
}
