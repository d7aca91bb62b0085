import { describe, expect, it } from 'vitest';
import { nodeName, parseAddress } from './address';

describe('the address of a database', () => {
	it.each([
		['mariadb://u:p@127.0.0.1:3306/w', ['127.0.0.1:3306'], 'u', 'p'],
		['mysql://u:p%40%2F@db/w', ['db:3306'], 'u', 'p@/'],
		['mariadb://u@a:1,b:2, [::1]:3/w', ['a:1', 'b:2', '::1:3'], 'u', ''],
		['mariadb://db/w?x=1', ['db:3306'], '', '']
	])('%s', (url, nodes, username, password) => {
		const address = parseAddress(url)!;
		expect(address.nodes.map(nodeName)).toEqual(nodes);
		expect(address).toMatchObject({ username, password, database: 'w' });
	});
	it.each([
		'',
		'localhost',
		'postgres://a@b/c',
		'mariadb://a@b',
		'mariadb://a@b:0/c',
		'mariadb://a@b:99999/c',
		'mariadb://a@b,:3306/c',
		'mariadb://%@b/c'
	])('"%s" is none', (url) => expect(parseAddress(url)).toBeUndefined());
});
