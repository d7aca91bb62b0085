import { spawn } from 'node:child_process';
import { root } from './paths.mjs';

/**
 * Runs a command to its end in the project's folder.
 * `show`: true hands the terminal to it, false keeps what it prints, 'both' keeps it and prints it too.
 * @returns {Promise<{ code: number, output: string }>} exit code and what it printed (when kept)
 */
export function run(command, args, { env = {}, show = true, input, cwd = root } = {}) {
	return new Promise((resolve, reject) => {
		const child = spawn(command, args, {
			cwd,
			env: { ...process.env, ...env },
			stdio: [
				input === undefined ? 'ignore' : 'pipe',
				...(show === true ? ['inherit', 'inherit'] : ['pipe', 'pipe'])
			]
		});
		let output = '';
		let unsaid = '';
		// whole lines: another command may be printing beside it
		const keep = (part) => {
			output += part;
			if (show !== 'both') return;
			unsaid += part;
			const whole = unsaid.lastIndexOf('\n') + 1;
			process.stdout.write(unsaid.slice(0, whole));
			unsaid = unsaid.slice(whole);
		};
		child.stdout?.setEncoding('utf8').on('data', keep);
		child.stderr?.setEncoding('utf8').on('data', keep);
		child.on('error', reject);
		child.on('close', (code) => {
			process.stdout.write(unsaid);
			resolve({ code: code ?? 1, output });
		});
		if (input !== undefined) child.stdin.end(input);
	});
}

/** Waits until `test` gives something true, or gives up after a bounded time. */
export async function until(test, { withinMs, everyMs = 100 }) {
	const end = Date.now() + withinMs;
	for (;;) {
		const value = await test();
		if (value) return value;
		if (Date.now() > end) return undefined;
		await new Promise((done) => setTimeout(done, everyMs));
	}
}

/** Whether a process with this id lives. */
export function alive(pid) {
	try {
		process.kill(pid, 0);
		return true;
	} catch (error) {
		return error.code === 'EPERM';
	}
}

/** Asks a process to end and waits; after `withinMs` it is ended without asking. */
export async function end(pid, { withinMs = 10_000, signal = 'SIGTERM' } = {}) {
	if (!alive(pid)) return;
	process.kill(pid, signal);
	if (await until(() => !alive(pid), { withinMs })) return;
	process.kill(pid, 'SIGKILL');
	await until(() => !alive(pid), { withinMs: 3000 });
}
