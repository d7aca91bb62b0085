/**
 * One server of an address that may name several of a cluster: the first that lets us in, or the first of them.
 * @returns {Promise<string>} an address with one host
 */
export async function oneOf(databaseUrl) {
	const [, before, hosts, after] = /^(\w+:\/\/(?:[^@/]*@)?)([^/?]+)(.*)$/.exec(databaseUrl) ?? [];
	if (hosts === undefined || !hosts.includes(',')) return databaseUrl;
	const { createConnection } = await import('mariadb');
	const urls = hosts.split(',').map((host) => before + host.trim() + after);
	for (const url of urls) {
		try {
			const connection = await createConnection({ ...partsOf(url), connectTimeout: 2000 });
			await connection.query('SELECT 1 FROM DUAL').finally(() => connection.end());
			return url;
		} catch {
			// the next may answer
		}
	}
	return urls[0];
}

/**
 * Works on a connection to a server that an address names, and closes it.
 * @template T
 * @param {string} databaseUrl
 * @param {(connection: import('mariadb').Connection) => Promise<T>} work
 * @returns {Promise<T>}
 */
export async function onDatabase(databaseUrl, work) {
	const { createConnection } = await import('mariadb');
	const connection = await createConnection(partsOf(await oneOf(databaseUrl)));
	try {
		return await work(connection);
	} finally {
		await connection.end();
	}
}

function partsOf(url) {
	const { hostname, port, username, password, pathname } = new URL(url);
	return {
		host: hostname,
		port: Number(port || 3306),
		user: decodeURIComponent(username),
		password: decodeURIComponent(password),
		database: decodeURIComponent(pathname.slice(1))
	};
}
