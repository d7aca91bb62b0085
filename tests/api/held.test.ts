import { expect, it } from 'vitest';
import { base } from './http';

/** Programs that stand in front of a server drop an idle connection after a minute (common practice, no source). */
const IN_FRONT_S = 60;

it('an idle connection is held for longer than a program in front of it would: none writes into one that is closed', async () => {
	const answer = await fetch(`${base}/api/clocks`, { headers: { connection: 'keep-alive' } });
	await answer.arrayBuffer();
	const [, heldS] = /timeout=(\d+)/.exec(answer.headers.get('keep-alive') ?? '') ?? [];
	expect(Number(heldS)).toBeGreaterThan(IN_FRONT_S);
});
