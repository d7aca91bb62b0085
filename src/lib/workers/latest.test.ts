import { expect, it } from 'vitest';
import { latest } from './latest';

it('answers the first and the newest question, and none that was overtaken', async () => {
	const asked: number[] = [];
	const answers: number[] = [];
	const ask = latest(
		async (q: number) => {
			asked.push(q);
			await new Promise((done) => setTimeout(done, 5));
			return q;
		},
		(a) => answers.push(a)
	);
	ask(1);
	ask(2);
	ask(3);
	await new Promise((done) => setTimeout(done, 40));
	expect(asked).toEqual([1, 3]);
	expect(answers).toEqual([1, 3]);
	ask(4);
	await new Promise((done) => setTimeout(done, 20));
	expect(answers).toEqual([1, 3, 4]);
});
