import { existsSync } from 'node:fs';
import { delimiter, join } from 'node:path';
import { run } from './run.mjs';
import { say, Stop } from './say.mjs';

/** Full path of a command, looked for where Debian puts servers too. */
export function which(command) {
	const folders = [...(process.env.PATH ?? '').split(delimiter), '/usr/sbin', '/usr/local/sbin', '/sbin'];
	return folders.map((folder) => join(folder, command)).find((path) => existsSync(path));
}

/**
 * Makes sure that a command is there, from Debian's packages if need be.
 * @param {{ command: string, packageName: string, what: string }} wanted
 */
export async function ensureCommand({ command, packageName, what }) {
	if (which(command)) return which(command);
	const byHand = `Install ${what} yourself (Debian: apt-get install ${packageName}) and start again.`;
	if (!which('apt-get')) throw new Stop(`${what} is not installed and there is no apt-get here. ${byHand}`);
	const isRoot = process.getuid?.() === 0;
	if (!isRoot && !which('sudo')) {
		throw new Stop(`${what} is not installed, and neither root nor sudo is at hand. ${byHand}`);
	}
	// sudo drops the environment, so it is handed over by env
	const quiet = 'DEBIAN_FRONTEND=noninteractive';
	const apt = (args, show) =>
		run(isRoot ? 'env' : 'sudo', [...(isRoot ? [] : ['env']), quiet, 'apt-get', ...args], { show });
	say(`Installing ${what} from Debian's packages …`);
	const install = ['install', '-y', '--no-install-recommends', '-qq', packageName];
	let result = await apt(['update', '-qq'], false);
	if (result.code === 0) result = await apt(install, false);
	if (result.code !== 0 || !which(command)) {
		throw new Stop(`${what} could not be installed:\n${result.output.trim().slice(-1500)}\n${byHand}`);
	}
	return which(command);
}
