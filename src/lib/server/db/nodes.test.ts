import { describe, expect, it, vi } from 'vitest';
import { log } from '../log';
import { nodeName, parseAddress } from './address';
import { Nodes } from './nodes';

const address = parseAddress('mariadb://u:p@a,b,c/w')!;
/** A cluster of which some nodes can be used, and how often each was asked. */
function cluster(...good: string[]) {
	vi.spyOn(log, 'warn').mockReturnValue();
	const asked: string[] = [];
	const usable = new Set(good);
	const nodes = new Nodes(address, (node) => (asked.push(node.host), Promise.resolve(usable.has(node.host))));
	return { nodes, asked, usable };
}

describe('the node that is asked', () => {
	it('is the first that can be used, and stays it', async () => {
		const { nodes, asked, usable } = cluster('b', 'c');
		expect(nodeName(await nodes.choose(0))).toBe('b:3306');
		usable.add('a');
		// one that was good just now is not asked again, and a better one is not gone back to
		await nodes.choose(500);
		await nodes.choose(5000);
		expect(nodes.current.host).toBe('b');
		expect(asked).toEqual(['a', 'b', 'b']);
	});
	it('that failed is left for the next, round to the first', async () => {
		const { nodes, usable } = cluster('c');
		await nodes.choose(0);
		usable.clear();
		usable.add('a');
		nodes.doubt();
		expect((await nodes.choose(1)).host).toBe('a');
	});
	it('is looked for once by all who want it at the same time', async () => {
		const { nodes, asked } = cluster('c');
		const all = await Promise.all(Array.from({ length: 20 }, () => nodes.choose(0)));
		expect(new Set(all.map((n) => n.host))).toEqual(new Set(['c']));
		expect(asked).toEqual(['a', 'b', 'c']);
	});
	it('where none can be used is the one before: its failure is what is told', async () => {
		const { nodes } = cluster();
		expect((await nodes.choose(0)).host).toBe('a');
	});
	it('of one server is that server, and nobody is asked', async () => {
		const good = vi.fn();
		expect((await new Nodes(parseAddress('mariadb://db/w')!, good).choose()).host).toBe('db');
		expect(good).not.toHaveBeenCalled();
	});
});
